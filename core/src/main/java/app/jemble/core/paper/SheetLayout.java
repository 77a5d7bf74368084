package app.jemble.core.paper;

/**
 * A sheet of labels: a page, and equal labels in rows on it. An envelope is a sheet of one.
 *
 * @param name as colleagues call it
 * @param across how many labels stand beside one another
 * @param down how many stand below one another
 * @param first the first label; its width and height are those of all
 * @param pitchAcross from the left edge of a label to that of the next, in millimetres
 * @param pitchDown from the upper edge of a label to that of the one below
 */
public record SheetLayout(
    String name,
    PaperSize paper,
    int across,
    int down,
    Box first,
    double pitchAcross,
    double pitchDown) {

  /** No sheet has more in a row. */
  private static final int MOST = 100;

  /** No label is smaller, in millimetres. */
  private static final double LEAST = 5;

  /**
   * @throws IllegalArgumentException in a sentence, when labels would lie over one another, or
   *     beyond the page
   */
  public SheetLayout {
    if (name == null || name.isBlank()) {
      throw new IllegalArgumentException("Give the sheet a name.");
    }
    if (across < 1 || down < 1 || across > MOST || down > MOST) {
      throw new IllegalArgumentException("A sheet has 1 to 100 labels across, and as many down.");
    }
    if (!(first.width() >= LEAST) || !(first.height() >= LEAST)) {
      throw new IllegalArgumentException("A label is at least 5 mm wide and high.");
    }
    Box second = first.moved(pitchAcross, 0);
    Box below = first.moved(0, pitchDown);
    if (across > 1 && (!(pitchAcross > 0) || first.overlaps(second))
        || down > 1 && (!(pitchDown > 0) || first.overlaps(below))) {
      throw new IllegalArgumentException("These labels would lie over one another.");
    }
    Box last = first.moved((across - 1) * pitchAcross, (down - 1) * pitchDown);
    Box page = new Box(0, 0, paper.width(), paper.height());
    if (!first.isWithin(page) || !last.isWithin(page)) {
      throw new IllegalArgumentException("These labels would not all lie on the page.");
    }
  }

  public int labels() {
    return across * down;
  }

  /**
   * Where a label lies.
   *
   * @param place from 0, row by row from the left
   */
  public Box label(int place) {
    if (place < 0 || place >= labels()) {
      throw new IllegalArgumentException("There is no label " + (place + 1) + " on this sheet.");
    }
    return first.moved(place % across * pitchAcross, place / across * pitchDown);
  }
}
