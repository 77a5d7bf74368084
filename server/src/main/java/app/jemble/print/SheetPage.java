package app.jemble.print;

import app.jemble.core.record.PersonId;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;

/**
 * One page of a run, as it is printed.
 *
 * @param page from 0
 * @param pages how many there are
 */
record SheetPage(int page, int pages, List<SheetLabel> labels) {

  /**
   * A label on it.
   *
   * @param place on the sheet, from 0
   * @param left of the label itself, moved as everything is; in millimetres
   * @param personId null where the person is no longer on record
   * @param words of all its lines, to change them
   * @param own whether they are for this run alone
   * @param points the size of the text
   * @param returnedOn the day on which it came back, or null
   */
  record SheetLabel(
      int place,
      double left,
      double top,
      @Schema(nullable = true) PersonId personId,
      String name,
      String words,
      boolean own,
      double points,
      boolean fits,
      boolean shrunk,
      @Schema(nullable = true) LocalDate returnedOn,
      List<SheetLine> lines) {}

  /**
   * A line of a label; lengths in millimetres from the label's upper left corner.
   *
   * @param width as it is printed
   */
  record SheetLine(String text, double left, double baseline, double width, boolean rightToLeft) {}
}
