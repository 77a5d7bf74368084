package app.jemble.core.notice;

/**
 * How much a notice says: phones cut what is longer (common practice). Characters are code points.
 */
public final class NoticeLimits {

  public static final int TITLE = 60;
  public static final int WORDS = 180;

  private NoticeLimits() {}

  /** How many characters more a title may have; below zero where it is too long. */
  public static int leftOfTitle(String title) {
    return TITLE - length(title);
  }

  /** The same of its words. */
  public static int leftOfWords(String words) {
    return WORDS - length(words);
  }

  /** By how many characters a title is too long; 0 when it is not. */
  public static int overTitle(String title) {
    return Math.max(0, -leftOfTitle(title));
  }

  /** By how many characters its words are too long; 0 when they are not. */
  public static int overWords(String words) {
    return Math.max(0, -leftOfWords(words));
  }

  private static int length(String text) {
    return text.codePointCount(0, text.length());
  }
}
