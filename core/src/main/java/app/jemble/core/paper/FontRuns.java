package app.jemble.core.paper;

import java.awt.Font;
import java.util.ArrayList;
import java.util.List;

/** A line parted into runs, each in the first of several fonts that has its letters. */
public final class FontRuns {

  /**
   * A run.
   *
   * @param from in UTF-16 units, and so is {@code to}, which is not of it
   * @param font the place of its font among those that were given
   */
  public record Run(int from, int to, int font) {}

  private FontRuns() {}

  /** Of a letter that none of them has, the first is taken. */
  public static List<Run> of(String line, List<Font> fonts) {
    List<Run> runs = new ArrayList<>();
    int from = 0;
    int font = -1;
    for (int i = 0; i < line.length(); ) {
      int letter = line.codePointAt(i);
      int has = font >= 0 && staysIn(fonts.get(font), letter) ? font : first(fonts, letter);
      if (font >= 0 && has != font) {
        runs.add(new Run(from, i, font));
        from = i;
      }
      font = has;
      i += Character.charCount(letter);
    }
    if (font >= 0) {
      runs.add(new Run(from, line.length(), font));
    }
    return runs;
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

  private static int first(List<Font> fonts, int letter) {
    for (int i = 0; i < fonts.size(); i++) {
      if (fonts.get(i).canDisplay(letter)) {
        return i;
      }
    }
    return 0;
  }

  /** Letters of a text that none of the fonts has, each once. */
  public static String lacking(String text, List<Font> fonts) {
    StringBuilder lacking = new StringBuilder();
    text.codePoints()
        .filter(c -> !Character.isWhitespace(c) && Character.getType(c) != Character.FORMAT)
        .filter(c -> fonts.stream().noneMatch(font -> font.canDisplay(c)))
        .distinct()
        .forEach(lacking::appendCodePoint);
    return lacking.toString();
  }
}
