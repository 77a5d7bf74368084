package app.jemble.core.paper;

/**
 * A rectangle on a page, in millimetres.
 *
 * @param left from the left edge of the page
 * @param top from its upper edge
 */
public record Box(double left, double top, double width, double height) {

  /** A hundredth of a millimetre: less than any printer can tell. */
  private static final double SLACK = 0.01;

  public double right() {
    return left + width;
  }

  public double bottom() {
    return top + height;
  }

  /** Moved to the right and down; negative lengths move to the left and up. */
  public Box moved(double right, double down) {
    return new Box(left + right, top + down, width, height);
  }

  /** Whether it lies within another, or on its edge. */
  public boolean isWithin(Box other) {
    return left >= other.left - SLACK
        && top >= other.top - SLACK
        && right() <= other.right() + SLACK
        && bottom() <= other.bottom() + SLACK;
  }

  /** Whether both have more in common than an edge. */
  public boolean overlaps(Box other) {
    return left < other.right() - SLACK
        && other.left < right() - SLACK
        && top < other.bottom() - SLACK
        && other.top < bottom() - SLACK;
  }
}
