package app.jemble.core.paper;

import java.util.List;

/**
 * A line as it is set: signs of fonts in their places, as they stand from left to right.
 *
 * @param text that it was made of, in the order in which it is read
 * @param runs each in one font
 * @param width of the whole, in sizes of the text
 * @param rightToLeft whether its first letter is of a script that runs so
 */
public record ShapedLine(String text, List<Run> runs, double width, boolean rightToLeft) {

  public ShapedLine {
    runs = List.copyOf(runs);
  }

  /**
   * What stands together in one font.
   *
   * @param font the place of the font among those of the {@link Shaper}
   */
  public record Run(int font, List<Cluster> clusters) {
    public Run {
      clusters = List.copyOf(clusters);
    }
  }

  /**
   * Letters that are drawn as one, mostly a single one.
   *
   * @param text the letters, in the order in which they are read
   * @param signs the widest first; the others are marks at it
   */
  public record Cluster(String text, List<Sign> signs) {
    public Cluster {
      signs = List.copyOf(signs);
    }
  }

  /**
   * A sign of a font.
   *
   * @param id the glyph's number in the font
   * @param x where it stands, from the left end of the line, in sizes of the text
   * @param y above the baseline
   */
  public record Sign(int id, double x, double y) {}
}
