package app.jemble.core.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.jemble.core.paper.LabelDesign.Face;
import app.jemble.core.paper.LabelSetting.SetLabel;
import app.jemble.core.paper.PostalLines.Postal;
import java.util.List;
import java.util.Locale;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class LabelDesignTest {

  private static final SheetLayout SHEET = ShippedSheets.ALL.get(0);

  private static LabelDesign design(double points, Align align, double margin) {
    return new LabelDesign(SHEET, "{{name}}", Face.SANS, points, align, margin, PrintOrder.NAME);
  }

  private static ShapedLine line(double width, boolean rightToLeft) {
    return new ShapedLine("", List.of(), width, rightToLeft);
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {6.9, 3.0, "7 to 72 points"},
      {73.0, 3.0, "7 to 72 points"},
      {Double.NaN, 3.0, "7 to 72 points"},
      {10.0, 0.5, "at least 1 mm"},
      {10.0, 19.05, "some of the label itself"},
      {10.0, Double.NaN, "at least 1 mm"}
    };
  }

  @Test(dataProvider = "wrong")
  public void whatCannotBePrintedIsSaid(double points, double margin, String why) {
    assertThatThrownBy(() -> design(points, Align.START, margin))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(why);
  }

  @Test
  public void eachShippedSheetHasAUsualDesign() {
    for (SheetLayout sheet : ShippedSheets.ALL) {
      assertThat(LabelDesign.usual(sheet).within(sheet.label(0)).isWithin(sheet.label(0))).isTrue();
    }
  }

  /** Worked by hand: 63.5 by 38.1 mm, 3 mm free, two lines of 10 points at 1.2 of its size. */
  @Test
  public void linesStandInTheMiddle() {
    List<ShapedLine> lines = List.of(line(5, false), line(10, false));
    SetLabel set = LabelSetting.of(design(10, Align.START, 3), lines);
    double size = 10 * 25.4 / 72;
    assertThat(set.lines().get(0).left()).isEqualTo(3);
    assertThat(set.lines().get(0).baseline()).isCloseTo(19.05 - 0.3 * size, within(1e-9));
    assertThat(set.lines().get(1).baseline()).isCloseTo(19.05 + 0.9 * size, within(1e-9));
    assertThat(set.lines().get(1).width()).isCloseTo(10 * size, within(1e-9));
  }

  @DataProvider
  public Object[][] sides() {
    double width = 5 * 10 * 25.4 / 72;
    double right = 63.5 - 3 - width;
    double middle = (63.5 - width) / 2;
    return new Object[][] {
      {Align.START, false, 3.0},
      {Align.START, true, right},
      {Align.CENTRE, false, middle},
      {Align.CENTRE, true, middle},
      {Align.END, false, right},
      {Align.END, true, 3.0}
    };
  }

  @Test(dataProvider = "sides")
  public void aLineBeginsWhereItsScriptDoes(Align align, boolean rightToLeft, double left) {
    SetLabel set = LabelSetting.of(design(10, align, 3), List.of(line(5, rightToLeft)));
    assertThat(set.lines().get(0).left()).isCloseTo(left, within(1e-9));
  }

  @Test
  public void theOwnCountryComesFirstThenPostcodesOfEachCountry() {
    List<Postal> addresses =
        List.of(
            new Postal("1 Rue", "75002", "Paris", "FR"),
            new Postal("1 Lane", "TR19 6AB", "Lowen Quay", "GB"),
            new Postal("1 Weg", "10115", "Berlin", "Germany"),
            new Postal("2 Lane", "TR1 1AA", "Truro", ""),
            new Postal("1 Allee", "01067", "Dresden", "DE"));
    Country house = Country.of("GB").orElseThrow();
    assertThat(PrintOrder.POSTCODE.sorted(addresses, a -> a, house, Locale.UK))
        .extracting(Postal::postcode)
        .containsExactly("TR1 1AA", "TR19 6AB", "75002", "01067", "10115");
    assertThat(PrintOrder.NAME.sorted(addresses, a -> a, house, Locale.UK)).isEqualTo(addresses);
  }
}
