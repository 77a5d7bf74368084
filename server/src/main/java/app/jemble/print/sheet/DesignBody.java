package app.jemble.print.sheet;

import app.jemble.core.paper.Align;
import app.jemble.core.paper.LabelDesign;
import app.jemble.core.paper.LabelDesign.Face;
import app.jemble.core.paper.PrintOrder;
import app.jemble.problem.Problem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;

/**
 * What is printed on labels and how, as a screen shows and changes it, and as it is stored.
 *
 * @param points the size of the text, of 1/72 inch
 * @param margin that is left free within a label, in millimetres
 */
public record DesignBody(
    @NotNull @Valid SheetBody sheet,
    String lines,
    @NotNull Face face,
    double points,
    @NotNull Align align,
    double margin,
    @NotNull PrintOrder order) {

  public static DesignBody of(LabelDesign design) {
    return new DesignBody(
        SheetBody.of(design.sheet()),
        design.lines(),
        design.face(),
        design.points(),
        design.align(),
        design.margin(),
        design.order());
  }

  /** The design; a problem when it cannot be printed. */
  public LabelDesign sound() {
    try {
      return new LabelDesign(sheet.sound(), lines, face, points, align, margin, order);
    } catch (IllegalArgumentException e) {
      throw Problem.wrong("design", e.getMessage());
    }
  }
}
