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
}
