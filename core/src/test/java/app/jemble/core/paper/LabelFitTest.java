package app.jemble.core.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;

public class LabelFitTest {

  private static final Box PLACE = new Box(0, 0, 57.5, 32.1);

  /** Every letter as wide as half its height: a typewriter's. */
  private static LabelFit.Fit typed(List<String> lines, Box place, double points) {
    double longest = lines.stream().mapToInt(String::length).max().orElse(0);
    return LabelFit.of(longest / 2, lines.size(), place, points);
  }

  @Test
  public void whatFitsIsAsLargeAsItWasAskedFor() {
    LabelFit.Fit fit = typed(List.of("Bea Okonjo", "4 Quay Lane"), PLACE, 11);
    assertThat(fit).isEqualTo(new LabelFit.Fit(11, true, false));
  }

  /** 40 letters of 57.5 mm leave 1.4375 mm a letter, which is 8.15 points of a typewriter's. */
  @Test
  public void whatIsTooWideShrinksByHalfPoints() {
    LabelFit.Fit fit = typed(List.of("x".repeat(40)), PLACE, 11);
    assertThat(fit).isEqualTo(new LabelFit.Fit(8, true, true));
  }

  /** Ten lines of 32.1 mm leave 3.21 mm a line, which is 7.58 points at 1.2 of its size. */
  @Test
  public void whatIsTooHighShrinksToo() {
    LabelFit.Fit fit = typed(List.of("a b c d e f g h i j".split(" ")), PLACE, 11);
    assertThat(fit.points()).isEqualTo(7.5);
    assertThat(LabelFit.height(10, 7.5)).isCloseTo(31.75, within(0.001));
  }

  @Test
  public void whatDoesNotFitAtTheSmallestIsSaid() {
    assertThat(typed(List.of("x".repeat(60)), PLACE, 11))
        .isEqualTo(new LabelFit.Fit(7, false, true));
    assertThat(typed(List.of("x"), new Box(0, 0, 1, 1), 7))
        .isEqualTo(new LabelFit.Fit(7, false, false));
  }

  /** Random lines: the size fits, and half a point more would not. */
  @Test
  public void noLargerSizeWouldFit() {
    Random random = new Random(7);
    int shrunk = 0;
    for (int c = 0; c < 2000; c++) {
      List<String> lines = new ArrayList<>();
      for (int i = 1 + random.nextInt(9); i > 0; i--) {
        lines.add("m".repeat(random.nextInt(45)));
      }
      LabelFit.Fit fit = typed(lines, PLACE, 12);
      int longest = lines.stream().mapToInt(String::length).max().orElse(0);
      double byWidth = longest == 0 ? 99 : 57.5 / (longest / 2.0) / LabelFit.POINT;
      double byHeight = 32.1 / (lines.size() * 1.2) / LabelFit.POINT;
      double most = Math.min(byWidth, byHeight);
      assertThat(fit.fits()).isEqualTo(most >= 7 - 1e-9);
      if (fit.fits()) {
        assertThat(fit.points()).isLessThanOrEqualTo(most + 1e-9);
        assertThat(fit.points() == 12 || fit.points() + 0.5 > most - 1e-9).isTrue();
      }
      shrunk += fit.shrunk() ? 1 : 0;
    }
    assertThat(shrunk).isBetween(200, 1900);
  }
}
