package app.jemble.core.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Callable;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class SheetLayoutTest {

  /**
   * What is left at the right and the lower edge, reckoned by hand from the geometry in Debian's
   * glabels-data: sheets are as good as symmetrical, but for what makers leave at an edge.
   */
  @DataProvider
  public Object[][] edges() {
    return new Object[][] {
      {"A4: 21 of 63.5 × 38.1 mm", 7.21, 15.15},
      {"A4: 24 of 63.5 × 33.9 mm", 7.21, 12.9},
      {"A4: 14 of 99.1 × 38.1 mm", 4.63, 15.15},
      {"A4: 16 of 99.1 × 33.9 mm", 4.63, 12.9},
      {"A4: 8 of 99.1 × 67.7 mm", 4.63, 13.1},
      {"A4: 24 of 70 × 37 mm", 0, 0.5},
      {"Letter: 30 of 66.7 × 25.4 mm", 4.765, 12.7},
      {"Letter: 20 of 101.6 × 25.4 mm", 3.97, 12.7},
      {"Letter: 10 of 101.6 × 50.8 mm", 3.97, 12.7}
    };
  }

  @Test(dataProvider = "edges")
  public void whatIsLeftAtTheEdgesIsWhatTheGeometrySays(String name, double right, double below) {
    SheetLayout sheet = named(name);
    Box last = sheet.label(sheet.labels() - 1);
    assertThat(sheet.paper().width() - last.right()).isCloseTo(right, within(0.1));
    assertThat(sheet.paper().height() - last.bottom()).isCloseTo(below, within(0.1));
  }

  private static SheetLayout named(String name) {
    return ShippedSheets.ALL.stream().filter(s -> s.name().equals(name)).findFirst().orElseThrow();
  }

  @Test
  public void labelsOfAShippedSheetLieBesideOneAnotherInRows() {
    assertThat(ShippedSheets.ALL).hasSize(11);
    for (SheetLayout sheet : ShippedSheets.ALL) {
      List<Box> labels = new ArrayList<>();
      for (int i = 0; i < sheet.labels(); i++) {
        labels.add(sheet.label(i));
      }
      for (int i = 0; i < labels.size(); i++) {
        for (int j = 0; j < i; j++) {
          assertThat(labels.get(i).overlaps(labels.get(j))).as("%s: %s, %s", sheet, i, j).isFalse();
        }
        boolean inRow = i % sheet.across() > 0;
        assertThat(i > 0 && labels.get(i).top() == labels.get(i - 1).top()).isEqualTo(inRow);
      }
    }
  }

  /** How a sheet is made that should be refused, and words of why. */
  private record Wrong(Callable<SheetLayout> make, String words) {}

  private static Wrong wrong(int across, int down, Box first, double pitch, String words) {
    return new Wrong(
        () -> new SheetLayout("own", PaperSize.A4, across, down, first, pitch, pitch), words);
  }

  @Test
  public void aSheetThatCannotBeIsRefusedWithASentence() {
    Box box = new Box(10, 10, 60, 30);
    List<Wrong> all =
        List.of(
            wrong(0, 1, box, 60, "1 to 100"),
            wrong(1, 101, box, 60, "1 to 100"),
            wrong(2, 1, box, 59, "over one another"),
            wrong(2, 1, box, -60, "over one another"),
            wrong(1, 2, box, Double.NaN, "over one another"),
            wrong(4, 1, box, 60, "not all lie on the page"),
            wrong(1, 10, box, 60, "not all lie on the page"),
            wrong(1, 1, new Box(-1, 0, 60, 30), 60, "not all lie on the page"),
            wrong(1, 1, new Box(0, 0, 4, 30), 60, "at least 5 mm"),
            wrong(1, 1, new Box(0, 0, Double.NaN, 30), 60, "at least 5 mm"),
            new Wrong(() -> new SheetLayout(" ", PaperSize.A4, 1, 1, box, 60, 60), "name"));
    for (Wrong one : all) {
      assertThatThrownBy(one.make()::call)
          .isInstanceOf(IllegalArgumentException.class)
          .hasMessageContaining(one.words());
    }
  }

  /** Random runs: every copy has a label of its own, one after another, and pages are filled. */
  @Test
  public void everyCopyHasALabelOfItsOwn() {
    Random random = new Random(19);
    for (int c = 0; c < 300; c++) {
      SheetLayout sheet = ShippedSheets.ALL.get(random.nextInt(9));
      int start = random.nextInt(sheet.labels());
      int copies = 1 + random.nextInt(4);
      int items = random.nextInt(60);
      LabelRun run = new LabelRun(sheet, start, copies, 1.5, -0.5);
      Set<List<Integer>> taken = new HashSet<>();
      int place = start;
      for (int item = 0; item < items; item++) {
        for (int copy = 0; copy < copies; copy++) {
          LabelRun.Spot spot = run.spot(item, copy);
          assertThat(taken.add(List.of(spot.page(), spot.label()))).isTrue();
          assertThat(spot.page() * sheet.labels() + spot.label()).isEqualTo(place++);
          Box box = sheet.label(spot.label());
          assertThat(spot.box().left()).isCloseTo(box.left() + 1.5, within(1e-9));
          assertThat(spot.box().top()).isCloseTo(box.top() - 0.5, within(1e-9));
        }
      }
      int all = start + items * copies;
      int pages = (all + sheet.labels() - 1) / sheet.labels();
      assertThat(run.pages(items)).isEqualTo(items == 0 ? 0 : pages);
    }
  }

  @Test
  public void aRunThatCannotBeIsRefusedWithASentence() {
    SheetLayout sheet = ShippedSheets.ALL.get(0);
    assertThatThrownBy(() -> new LabelRun(sheet, 21, 1, 0, 0)).hasMessageContaining("1 to 21");
    assertThatThrownBy(() -> new LabelRun(sheet, 0, 0, 0, 0)).hasMessageContaining("1 to 1,000");
    assertThatThrownBy(() -> new LabelRun(sheet, 0, 1, 21, 0)).hasMessageContaining("20 mm");
    assertThatThrownBy(() -> sheet.label(21)).hasMessageContaining("no label 22");
  }
}
