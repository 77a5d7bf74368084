package app.jemble.core.paper;

/**
 * What is printed on labels, and how.
 *
 * @param sheet on which
 * @param lines template lines; those that come out empty close up
 * @param points the size of the text, of 1/72 inch, unless it must shrink
 * @param margin that is left free within a label on each side, in millimetres
 */
public record LabelDesign(
    SheetLayout sheet,
    String lines,
    Face face,
    double points,
    Align align,
    double margin,
    PrintOrder order) {

  /** What most addresses are printed with. */
  public static final String USUAL_LINES = "{{name}}\n{{organisation.name}}\n{{address.lines}}";

  /** A label's usual size (common practice). */
  private static final double USUAL_POINTS = 10;

  private static final double USUAL_MARGIN = 3;
  private static final double LARGEST_POINTS = 72;
  private static final int LONGEST_LINES = 2000;

  /** Signs of some scripts reach over their line by less. */
  private static final double LEAST_MARGIN = 1;

  /** The look of the letters. */
  public enum Face {
    SANS,
    SERIF
  }

  /**
   * @throws IllegalArgumentException in a sentence, when it cannot be printed
   */
  public LabelDesign {
    if (lines == null || lines.length() > LONGEST_LINES) {
      throw new IllegalArgumentException("A label has at most 2,000 characters of text.");
    }
    if (!(points >= LabelFit.SMALLEST_POINTS && points <= LARGEST_POINTS)) {
      throw new IllegalArgumentException("The text of a label is 7 to 72 points high.");
    }
    boolean narrow = !(margin >= LEAST_MARGIN);
    if (narrow || 2 * margin >= Math.min(sheet.first().width(), sheet.first().height())) {
      throw new IllegalArgumentException(
          "Leave at least 1 mm free around a label, and some of the label itself.");
    }
  }

  /** An address on a sheet, as most have it. */
  public static LabelDesign usual(SheetLayout sheet) {
    double least = Math.min(sheet.first().width(), sheet.first().height());
    double margin = Math.min(USUAL_MARGIN, least / 4);
    return new LabelDesign(
        sheet, USUAL_LINES, Face.SANS, USUAL_POINTS, Align.START, margin, PrintOrder.POSTCODE);
  }

  /** What is left of a label within its margins. */
  public Box within(Box label) {
    return new Box(
        label.left() + margin,
        label.top() + margin,
        label.width() - 2 * margin,
        label.height() - 2 * margin);
  }
}
