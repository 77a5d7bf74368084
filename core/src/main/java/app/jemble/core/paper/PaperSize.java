package app.jemble.core.paper;

/** Sizes of paper, upright, in millimetres: ISO 216, ISO 269, and US Letter of 8.5 by 11 inches. */
public enum PaperSize {
  A4("A4", 210, 297),
  LETTER("Letter", 215.9, 279.4),
  DL("Envelope DL", 220, 110),
  C5("Envelope C5", 229, 162);

  private final String words;
  private final double width;
  private final double height;

  PaperSize(String words, double width, double height) {
    this.words = words;
    this.width = width;
    this.height = height;
  }

  /** As people call it. */
  public String words() {
    return words;
  }

  public double width() {
    return width;
  }

  public double height() {
    return height;
  }
}
