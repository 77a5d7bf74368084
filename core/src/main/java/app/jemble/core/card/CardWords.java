package app.jemble.core.card;

import java.util.regex.Pattern;

/**
 * Words that are placed on a card.
 *
 * @param text template text; a new line begins where it has one
 * @param left where its place begins, as a share of the picture's width, 0 to 1
 * @param top the same of its height
 * @param width of its place, as a share
 * @param height of its place, as a share
 * @param size of the letters as they are wanted, in pixels of a picture 1200 wide; 12 to 300
 * @param colour such as {@code #46551f}
 */
public record CardWords(
    String text,
    double left,
    double top,
    double width,
    double height,
    int size,
    String colour,
    Align align) {

  private static final Pattern COLOUR = Pattern.compile("#[0-9a-fA-F]{6}");

  /** To which side of their place words stand. */
  public enum Align {
    LEFT,
    CENTRE,
    RIGHT
  }

  public CardWords {
    if (!(left >= 0 && top >= 0 && width > 0.02 && height > 0.02)
        || left + width > 1.0001
        || top + height > 1.0001) {
      throw new IllegalArgumentException("Words stand within the picture.");
    }
    if (size < 12 || size > 300) {
      throw new IllegalArgumentException("Letters are 12 to 300 high.");
    }
    if (!COLOUR.matcher(colour).matches()) {
      throw new IllegalArgumentException("A colour is written as #46551f.");
    }
  }

  /** The same place with other words. */
  public CardWords saying(String words) {
    return new CardWords(words, left, top, width, height, size, colour, align);
  }
}
