package app.jemble.core.paper;

import java.util.List;

/**
 * Where things stand on a letter, so that its address shows in the window of an envelope. Lengths
 * are in millimetres from the upper left corner of the page.
 *
 * <p>The two forms of DIN 5008 have an address field of 85 by 45 mm, 20 mm from the left edge, 27
 * or 45 mm from the upper one, and fold marks at 87 and 192 or at 105 and 210 mm; both from memory.
 * That of a US Letter lies in the window of a No. 10 envelope, folded in three (common practice).
 */
public enum LetterForm {
  DIN_A("A4, window high", PaperSize.A4, new Box(20, 27, 85, 45), 85, List.of(87.0, 192.0)),
  DIN_B("A4, window low", PaperSize.A4, new Box(20, 45, 85, 45), 103, List.of(105.0, 210.0)),
  US(
      "Letter",
      PaperSize.LETTER,
      new Box(22.2, 50.8, 88.9, 31.75),
      96.5,
      List.of(279.4 / 3, 2 * 279.4 / 3));

  /** What is written keeps this far from the edges of the page. */
  public static final double MARGIN = 20;

  /** That on the left is wider, for holes. */
  public static final double LEFT_MARGIN = 25;

  /** The sender's line above the address, its smaller type included. */
  private static final double SENDER_LINE = 4;

  /** Letters reach this far below their line. */
  private static final double BELOW = 1;

  private final String words;
  private final PaperSize paper;
  private final Box field;
  private final double textTop;
  private final List<Double> folds;

  LetterForm(String words, PaperSize paper, Box field, double textTop, List<Double> folds) {
    this.words = words;
    this.paper = paper;
    this.field = field;
    this.textTop = textTop;
    this.folds = folds;
  }

  /** As people choose it. */
  public String words() {
    return words;
  }

  public PaperSize paper() {
    return paper;
  }

  /** What shows in the window of the envelope. */
  public Box field() {
    return field;
  }

  /** Where the sender's own address stands, small, above the reader's. */
  public Box senderLine() {
    return new Box(LEFT_MARGIN, field.top(), field.right() - LEFT_MARGIN, SENDER_LINE);
  }

  /** Where the reader's address stands. */
  public Box address() {
    return new Box(
        LEFT_MARGIN,
        field.top() + SENDER_LINE,
        field.right() - LEFT_MARGIN,
        field.height() - SENDER_LINE - BELOW);
  }

  /** Where the text of the first page begins, from the upper edge. */
  public double textTop() {
    return textTop;
  }

  /** Where it is folded, from the upper edge. */
  public List<Double> folds() {
    return folds;
  }
}
