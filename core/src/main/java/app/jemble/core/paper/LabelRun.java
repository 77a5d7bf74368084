package app.jemble.core.paper;

/**
 * Which label of which page is whose, when some are printed one after another.
 *
 * @param start the first label that is still on the first page, from 0
 * @param copies how many of each, one after another
 * @param offsetAcross by which all are moved to the right, in millimetres; negative: to the left
 * @param offsetDown likewise, down
 */
public record LabelRun(
    SheetLayout sheet, int start, int copies, double offsetAcross, double offsetDown) {

  private static final int MOST_COPIES = 1000;

  /** A printer that is off by more prints on other labels (common practice). */
  private static final double MOST_OFFSET = 20;

  /**
   * @throws IllegalArgumentException in a sentence, when it cannot be printed
   */
  public LabelRun {
    if (start < 0 || start >= sheet.labels()) {
      throw new IllegalArgumentException(
          "The sheet has labels 1 to " + sheet.labels() + "; begin at one of them.");
    }
    if (copies < 1 || copies > MOST_COPIES) {
      throw new IllegalArgumentException("Print 1 to 1,000 of each label.");
    }
    if (!(Math.abs(offsetAcross) <= MOST_OFFSET) || !(Math.abs(offsetDown) <= MOST_OFFSET)) {
      throw new IllegalArgumentException("A sheet can be moved by at most 20 mm.");
    }
  }

  /**
   * Where something is printed.
   *
   * @param page from 0
   * @param label from 0
   */
  public record Spot(int page, int label, Box box) {}

  /**
   * Where a copy of somebody's label is printed.
   *
   * @param item whose, from 0, in the order in which they are printed
   * @param copy from 0
   */
  public Spot spot(int item, int copy) {
    long place = start + (long) item * copies + copy;
    int label = (int) (place % sheet.labels());
    Box box = sheet.label(label).moved(offsetAcross, offsetDown);
    return new Spot(Math.toIntExact(place / sheet.labels()), label, box);
  }

  /** How many pages so many items take; 0 take none. */
  public int pages(int items) {
    return items == 0 ? 0 : spot(items - 1, copies - 1).page() + 1;
  }
}
