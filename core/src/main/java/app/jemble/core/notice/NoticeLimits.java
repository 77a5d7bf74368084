package app.jemble.core.notice;

/**
 * How much a notice says: phones cut what is longer (common practice). Characters are code points.
 */
public final class NoticeLimits {

  public static final int TITLE = 60;
  public static final int WORDS = 180;

  private NoticeLimits() {}

  /** By how many characters a title is too long; 0 when it is not. */
  public static int overTitle(String title) {
    return over(title, TITLE);
  }

  /** By how many characters its words are too long; 0 when they are not. */
  public static int overWords(String words) {
    return over(words, WORDS);
  }

  private static int over(String text, int most) {
    return Math.max(0, text.codePointCount(0, text.length()) - most);
  }
}
