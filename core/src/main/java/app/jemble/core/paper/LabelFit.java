package app.jemble.core.paper;

/**
 * How large a label's lines are printed. Text that is too wide or too high shrinks by half points;
 * what does not fit at the smallest size is said, and never cut.
 */
public final class LabelFit {

  /** Nothing smaller is read by everybody (common practice). */
  public static final double SMALLEST_POINTS = 7;

  private static final double STEP = 0.5;

  /** From one baseline to the next, in sizes of the text (common practice). */
  private static final double LINE = 1.2;

  /** Millimetres in a point of 1/72 inch. */
  public static final double POINT = 25.4 / 72;

  private LabelFit() {}

  /**
   * What came of it.
   *
   * @param points at which it is printed
   * @param fits whether it does
   * @param shrunk whether it is smaller than was asked for
   */
  public record Fit(double points, boolean fits, boolean shrunk) {}

  /**
   * The largest size up to the one that is asked for at which all lines fit.
   *
   * @param widest how wide the widest line is, in sizes of the text
   * @param lines how many there are
   * @param place what is left of the label within its margins
   */
  public static Fit of(double widest, int lines, Box place, double wanted) {
    double points = wanted;
    while (points > SMALLEST_POINTS && !fits(widest, lines, place, points)) {
      points = Math.max(SMALLEST_POINTS, points - STEP);
    }
    return new Fit(points, fits(widest, lines, place, points), points < wanted);
  }

  private static boolean fits(double widest, int lines, Box place, double points) {
    return height(lines, points) <= place.height() && widest * points * POINT <= place.width();
  }

  /** How high so many lines are, in millimetres. */
  public static double height(int lines, double points) {
    return lines * points * LINE * POINT;
  }
}
