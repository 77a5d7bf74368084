package app.jemble.core.paper;

import java.util.ArrayList;
import java.util.List;

/**
 * Sets the lines of one label into its place: one below the other, in the middle between its upper
 * and its lower edge.
 */
public final class LabelSetting {

  /** Where the baseline lies in a line, from its top, in sizes of the text (common practice). */
  private static final double BASELINE = 0.9;

  private LabelSetting() {}

  /**
   * A line in its place.
   *
   * @param left where it begins on the left, from the left edge of the label, in millimetres
   * @param baseline from the upper edge of the label
   * @param width in millimetres
   */
  public record PlacedLine(ShapedLine line, double left, double baseline, double width) {}

  /** A label that is set. */
  public record SetLabel(List<PlacedLine> lines, LabelFit.Fit fit) {
    public SetLabel {
      lines = List.copyOf(lines);
    }
  }

  /**
   * @param lines without empty ones
   */
  public static SetLabel of(LabelDesign design, List<ShapedLine> lines) {
    Box label = new Box(0, 0, design.sheet().first().width(), design.sheet().first().height());
    Box place = design.within(label);
    double widest = lines.stream().mapToDouble(ShapedLine::width).max().orElse(0);
    LabelFit.Fit fit = LabelFit.of(widest, lines.size(), place, design.points());
    double size = fit.points() * LabelFit.POINT;
    double top = place.top() + (place.height() - LabelFit.height(lines.size(), fit.points())) / 2;
    List<PlacedLine> placed = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      ShapedLine line = lines.get(i);
      double width = line.width() * size;
      double baseline = top + LabelFit.height(i, fit.points()) + BASELINE * size;
      double left = place.left() + (place.width() - width) * share(design.align(), line);
      placed.add(new PlacedLine(line, left, baseline, width));
    }
    return new SetLabel(placed, fit);
  }

  /** How much of the room beside a line is on its left. */
  private static double share(Align align, ShapedLine line) {
    return switch (align) {
      case START -> line.rightToLeft() ? 1 : 0;
      case CENTRE -> 0.5;
      case END -> line.rightToLeft() ? 0 : 1;
    };
  }
}
