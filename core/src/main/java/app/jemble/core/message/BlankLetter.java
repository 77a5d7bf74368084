package app.jemble.core.message;

/**
 * What a message that begins from nothing begins with: the usual greeting, room to write, and the
 * sender's signature. Its shape is common practice.
 */
public final class BlankLetter {

  /** The body, as a template holds it. */
  public static final String BODY =
      "<p>Dear {{first_name or \"friend\"}},</p><p></p>{{&gt; signature}}";

  private BlankLetter() {}
}
