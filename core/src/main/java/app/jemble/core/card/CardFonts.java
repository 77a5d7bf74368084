package app.jemble.core.card;

import java.awt.Font;
import java.awt.font.TextAttribute;
import java.text.AttributedString;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** The fonts that words are drawn with: of several scripts, the first that has a letter. */
public final class CardFonts {

  private final List<Font> fonts;
  private final Map<Float, List<Font>> sized = new ConcurrentHashMap<>();

  /**
   * @param fonts in order of preference, at any size
   */
  public CardFonts(List<Font> fonts) {
    this.fonts = List.copyOf(fonts);
  }

  /** A line with each run in the font that has its letters. */
  AttributedString styled(String line, float size) {
    List<Font> at =
        sized.computeIfAbsent(size, s -> fonts.stream().map(f -> f.deriveFont(s)).toList());
    AttributedString styled = new AttributedString(line);
    int from = 0;
    Font font = null;
    for (int i = 0; i < line.length(); ) {
      int letter = line.codePointAt(i);
      Font has = font != null && staysIn(font, letter) ? font : of(at, letter);
      if (font != null && !has.equals(font)) {
        styled.addAttribute(TextAttribute.FONT, font, from, i);
        from = i;
      }
      font = has;
      i += Character.charCount(letter);
    }
    styled.addAttribute(TextAttribute.FONT, font, from, line.length());
    return styled;
  }

  /** Blanks and marks go with the letter before them, so that a word is shaped as one. */
  private static boolean staysIn(Font font, int letter) {
    int type = Character.getType(letter);
    boolean goesAlong =
        Character.isWhitespace(letter)
            || type == Character.NON_SPACING_MARK
            || type == Character.COMBINING_SPACING_MARK
            || type == Character.FORMAT;
    return goesAlong && font.canDisplay(letter);
  }

  private static Font of(List<Font> at, int letter) {
    return at.stream().filter(font -> font.canDisplay(letter)).findFirst().orElse(at.get(0));
  }

  /** Letters of a text that none of the fonts has. */
  public String lacking(String text) {
    StringBuilder lacking = new StringBuilder();
    text.codePoints()
        .filter(c -> !Character.isWhitespace(c) && Character.getType(c) != Character.FORMAT)
        .filter(c -> fonts.stream().noneMatch(font -> font.canDisplay(c)))
        .distinct()
        .forEach(lacking::appendCodePoint);
    return lacking.toString();
  }
}
