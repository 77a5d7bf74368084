package app.jemble.core.message;

/**
 * A message's name in links that must be short: the beginning of its public token, 72 random bits.
 */
public final class ShortName {

  /** Letters of a short name. */
  public static final int LENGTH = 12;

  /** What stands where there is no message, as long as one that leaves. */
  private static final String SAMPLE = "sample-00000";

  private ShortName() {}

  /**
   * @param token a public token; empty for what does not leave
   */
  public static String of(String token) {
    return token.isEmpty() ? SAMPLE : token.substring(0, LENGTH);
  }

  /** Whether what stands in a link is one, and not a whole token. */
  public static boolean isOne(String name) {
    return name.matches("[A-Za-z0-9_-]{" + LENGTH + "}");
  }
}
