package app.jemble.core.pace;

/**
 * How fast messages leave: waves of so many people, so far apart.
 *
 * @param people in one wave, 1 or more
 * @param gapSeconds from one wave to the next, 0 or more
 */
public record Pace(int people, long gapSeconds) {

  public static final Pace ALL_AT_ONCE = new Pace(Integer.MAX_VALUE, 0);

  public Pace {
    if (people < 1) {
      throw new IllegalArgumentException("A wave is of at least one person.");
    }
    if (gapSeconds < 0) {
      throw new IllegalArgumentException("A wave cannot leave before the one it follows.");
    }
  }
}
