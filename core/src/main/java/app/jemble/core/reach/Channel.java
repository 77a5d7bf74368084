package app.jemble.core.reach;

import java.util.Arrays;
import java.util.List;

/** A way to reach a person. */
public enum Channel {
  EMAIL("E-mail", "by e-mail", "the mail service"),
  TEXT("Text message", "by text", "the text service"),
  APP("App", "in the app", "the push services"),
  POST("Post", "by post", "the post");

  private final String words;
  private final String onIt;
  private final String carrier;

  Channel(String words, String onIt, String carrier) {
    this.words = words;
    this.onIt = onIt;
    this.carrier = carrier;
  }

  public String words() {
    return words;
  }

  /** How something goes this way: "by text". */
  public String onIt() {
    return onIt;
  }

  /** Who carries what goes this way, as people say it. */
  public String carrier() {
    return carrier;
  }

  /** The names of those on which people take messages out of the house themselves. */
  public static List<String> byHand() {
    return Arrays.stream(values()).filter(Channel::isByHand).map(Channel::name).toList();
  }

  /** Whether people take it out of the house themselves, printed. */
  public boolean isByHand() {
    return this == POST;
  }

  /** Whether it makes a phone ring, so that it keeps to the quiet hours of its person. */
  public boolean rings() {
    return this == TEXT || this == APP;
  }
}
