package app.jemble.core.reach;

/** A way to reach a person. */
public enum Channel {
  EMAIL("E-mail"),
  TEXT("Text message"),
  APP("App"),
  POST("Post");

  private final String words;

  Channel(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Whether it makes a phone ring, so that it keeps to the quiet hours of its person. */
  public boolean rings() {
    return this == TEXT || this == APP;
  }
}
