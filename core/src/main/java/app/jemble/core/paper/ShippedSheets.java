package app.jemble.core.paper;

import java.util.List;
import java.util.Locale;

/**
 * The sheets that everybody can buy, by size and count. Numbers only, after the geometry in
 * Debian's {@code glabels-data}; the same sheet varies by about a millimetre between makers.
 */
public final class ShippedSheets {

  public static final List<SheetLayout> ALL =
      List.of(
          sheet(PaperSize.A4, 3, 7, new Box(7.21, 15.15, 63.5, 38.1), 66.04, 38.1),
          sheet(PaperSize.A4, 3, 8, new Box(7.21, 12.9, 63.5, 33.9), 66.04, 33.9),
          sheet(PaperSize.A4, 2, 7, new Box(4.63, 15.15, 99.1, 38.1), 101.64, 38.1),
          sheet(PaperSize.A4, 2, 8, new Box(4.63, 12.9, 99.1, 33.9), 101.64, 33.9),
          sheet(PaperSize.A4, 2, 4, new Box(4.63, 13.1, 99.1, 67.7), 101.64, 67.7),
          sheet(PaperSize.A4, 3, 8, new Box(0, 0.5, 70, 37), 70, 37),
          sheet(PaperSize.LETTER, 3, 10, new Box(4.76, 12.7, 66.675, 25.4), 69.85, 25.4),
          sheet(PaperSize.LETTER, 2, 10, new Box(3.97, 12.7, 101.6, 25.4), 106.36, 25.4),
          sheet(PaperSize.LETTER, 2, 5, new Box(3.97, 12.7, 101.6, 50.8), 106.36, 50.8),
          envelope(PaperSize.DL, new Box(110, 52, 100, 48)),
          envelope(PaperSize.C5, new Box(119, 84, 100, 64)));

  private ShippedSheets() {}

  private static SheetLayout sheet(
      PaperSize paper, int across, int down, Box first, double pitchAcross, double pitchDown) {
    String name =
        String.format(
            Locale.ROOT,
            "%s: %d of %s × %s mm",
            paper.words(),
            across * down,
            millimetres(first.width()),
            millimetres(first.height()));
    return new SheetLayout(name, paper, across, down, first, pitchAcross, pitchDown);
  }

  /** A sheet of one; the address stands below and right of its middle (common practice). */
  private static SheetLayout envelope(PaperSize paper, Box address) {
    return new SheetLayout(paper.words(), paper, 1, 1, address, 0, 0);
  }

  private static String millimetres(double length) {
    String tenths = String.format(Locale.ROOT, "%.1f", length);
    return tenths.endsWith(".0") ? tenths.substring(0, tenths.length() - 2) : tenths;
  }
}
