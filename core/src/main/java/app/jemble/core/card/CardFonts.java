package app.jemble.core.card;

import app.jemble.core.paper.FontRuns;
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
    for (FontRuns.Run run : FontRuns.of(line, at)) {
      styled.addAttribute(TextAttribute.FONT, at.get(run.font()), run.from(), run.to());
    }
    return styled;
  }

  /** Letters of a text that none of the fonts has. */
  public String lacking(String text) {
    return FontRuns.lacking(text, fonts);
  }
}
