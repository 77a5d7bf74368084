package app.jemble.core.response;

/**
 * The 95% score interval of a share (E. B. Wilson, "Probable inference, the law of succession, and
 * statistical inference", 1927).
 *
 * @param low lower end, 0 to 1
 * @param high upper end, 0 to 1
 */
public record Interval(double low, double high) {

  /** The 97.5th percentile of the standard normal distribution. */
  private static final double Z = 1.959963984540054;

  /**
   * The interval for {@code count} of {@code total}; 81 of 263 gives 0.2553 to 0.3662.
   *
   * @throws IllegalArgumentException when count is not between 0 and total, or total is 0
   */
  public static Interval of(long count, long total) {
    if (total < 1 || count < 0 || count > total) {
      throw new IllegalArgumentException(count + " of " + total + " is no share");
    }
    double n = total;
    double p = count / n;
    double z2 = Z * Z;
    double centre = p + z2 / (2 * n);
    double spread = Z * Math.sqrt(p * (1 - p) / n + z2 / (4 * n * n));
    double scale = 1 + z2 / n;
    return new Interval(
        Math.max(0, (centre - spread) / scale), Math.min(1, (centre + spread) / scale));
  }
}
