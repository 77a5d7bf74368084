package app.jemble.core.paper;

import app.jemble.core.paper.ShapedLine.Cluster;
import app.jemble.core.paper.ShapedLine.Run;
import app.jemble.core.paper.ShapedLine.Sign;
import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.awt.font.GlyphVector;
import java.awt.geom.Point2D;
import java.text.Bidi;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;

/**
 * Sets lines in fonts: letters are joined as their script asks (by the JDK's HarfBuzz), and what
 * runs from right to left stands so (Unicode Standard Annex 9, by the JDK).
 */
public final class Shaper {

  /** Signs are measured at this size, so that rounding does not show. */
  private static final int UNITS = 1000;

  private static final FontRenderContext CONTEXT = new FontRenderContext(null, true, true);

  /** The JDK's number for a sign that is not drawn. */
  private static final int INVISIBLE = 0xFFFE;

  /** Places and postcodes come again and again. */
  private static final int KEPT = 2000;

  private final List<Font> fonts;
  private final Map<String, ShapedLine> lately = new Lately();

  /** Lines that were set last. */
  private static final class Lately extends LinkedHashMap<String, ShapedLine> {
    private static final long serialVersionUID = 1L;

    Lately() {
      super(KEPT, 0.75f, true);
    }

    @Override
    protected boolean removeEldestEntry(Map.Entry<String, ShapedLine> eldest) {
      return size() > KEPT;
    }
  }

  /**
   * @param fonts in order of preference, at any size
   */
  public Shaper(List<Font> fonts) {
    this.fonts = fonts.stream().map(font -> font.deriveFont((float) UNITS)).toList();
  }

  public ShapedLine shape(String line) {
    ShapedLine known;
    synchronized (lately) {
      known = lately.get(line);
    }
    if (known == null) {
      known = set(line);
      synchronized (lately) {
        lately.put(line, known);
      }
    }
    return known;
  }

  private ShapedLine set(String line) {
    if (line.isEmpty()) {
      return new ShapedLine("", List.of(), 0, false);
    }
    Bidi bidi = new Bidi(line, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT);
    char[] letters = line.toCharArray();
    List<Run> runs = new ArrayList<>();
    double x = 0;
    for (int[] part : inSight(line, bidi)) {
      x = set(letters, part, x, runs);
    }
    return new ShapedLine(line, runs, x / UNITS, !bidi.baseIsLeftToRight());
  }

  /** Letters of a text that none of the fonts has, each once. */
  public String lacking(String text) {
    return FontRuns.lacking(text, fonts);
  }

  /** Parts of one direction and one font as they stand from the left: from, to, font, level. */
  private List<int[]> inSight(String line, Bidi bidi) {
    List<int[]> parts = new ArrayList<>();
    for (int i = 0; i < bidi.getRunCount(); i++) {
      int start = bidi.getRunStart(i);
      int level = bidi.getRunLevel(i);
      for (FontRuns.Run run : FontRuns.of(line.substring(start, bidi.getRunLimit(i)), fonts)) {
        parts.add(new int[] {start + run.from(), start + run.to(), run.font(), level});
      }
    }
    byte[] levels = new byte[parts.size()];
    for (int i = 0; i < levels.length; i++) {
      levels[i] = (byte) parts.get(i)[3];
    }
    Object[] inSight = parts.toArray();
    Bidi.reorderVisually(levels, 0, inSight, 0, inSight.length);
    List<int[]> ordered = new ArrayList<>();
    for (Object part : inSight) {
      ordered.add((int[]) part);
    }
    return ordered;
  }

  private double set(char[] letters, int[] part, double x, List<Run> runs) {
    char[] own = Arrays.copyOfRange(letters, part[0], part[1]);
    int flags = part[3] % 2 == 1 ? Font.LAYOUT_RIGHT_TO_LEFT : Font.LAYOUT_LEFT_TO_RIGHT;
    GlyphVector set = fonts.get(part[2]).layoutGlyphVector(CONTEXT, own, 0, own.length, flags);
    runs.add(new Run(part[2], clusters(own, set, x)));
    return x + set.getGlyphPosition(set.getNumGlyphs()).getX();
  }

  /** Signs that come of the same letters stand beside one another. */
  private static List<Cluster> clusters(char[] letters, GlyphVector set, double x) {
    NavigableSet<Integer> starts = new TreeSet<>(Set.of(letters.length));
    for (int i = 0; i < set.getNumGlyphs(); i++) {
      starts.add(base(letters, set.getGlyphCharIndex(i)));
    }
    List<Cluster> clusters = new ArrayList<>();
    List<Sign> signs = new ArrayList<>();
    double widest = 0;
    for (int i = 0; i < set.getNumGlyphs(); i++) {
      int start = base(letters, set.getGlyphCharIndex(i));
      int id = set.getGlyphCode(i);
      if (id < INVISIBLE) {
        Point2D at = set.getGlyphPosition(i);
        double advance = set.getGlyphPosition(i + 1).getX() - at.getX();
        Sign sign = new Sign(id, (x + at.getX()) / UNITS, -at.getY() / UNITS);
        signs.add(advance > widest ? 0 : signs.size(), sign);
        widest = Math.max(widest, advance);
      }
      boolean ends =
          i + 1 == set.getNumGlyphs() || base(letters, set.getGlyphCharIndex(i + 1)) != start;
      if (ends) {
        int end = Objects.requireNonNull(starts.higher(start));
        clusters.add(new Cluster(new String(letters, start, end - start), signs));
        signs.clear();
        widest = 0;
      }
    }
    return clusters;
  }

  /** The letter that a mark is of. */
  private static int base(char[] letters, int index) {
    int base = index;
    while (base > 0 && Character.getType(letters[base]) == Character.NON_SPACING_MARK) {
      base--;
    }
    return base;
  }
}
