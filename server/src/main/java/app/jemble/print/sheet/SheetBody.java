package app.jemble.print.sheet;

import app.jemble.core.paper.Box;
import app.jemble.core.paper.PaperSize;
import app.jemble.core.paper.SheetLayout;
import app.jemble.problem.Problem;
import jakarta.validation.constraints.NotNull;

/**
 * A sheet as a screen shows and changes it, and as it is stored; lengths in millimetres.
 *
 * @param left of the first label, from the left edge of the page
 * @param top from its upper edge
 * @param width of each label
 * @param pitchAcross from the left edge of a label to that of the next
 */
public record SheetBody(
    String name,
    @NotNull PaperSize paper,
    int across,
    int down,
    double left,
    double top,
    double width,
    double height,
    double pitchAcross,
    double pitchDown) {

  public static SheetBody of(SheetLayout sheet) {
    return new SheetBody(
        sheet.name(),
        sheet.paper(),
        sheet.across(),
        sheet.down(),
        sheet.first().left(),
        sheet.first().top(),
        sheet.first().width(),
        sheet.first().height(),
        sheet.pitchAcross(),
        sheet.pitchDown());
  }

  /** The sheet; a problem when there can be none such. */
  public SheetLayout sound() {
    try {
      return new SheetLayout(
          name == null ? "" : name.strip(),
          paper,
          across,
          down,
          new Box(left, top, width, height),
          pitchAcross,
          pitchDown);
    } catch (IllegalArgumentException e) {
      throw Problem.wrong("sheet", e.getMessage());
    }
  }
}
