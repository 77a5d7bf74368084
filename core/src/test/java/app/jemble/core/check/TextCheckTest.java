package app.jemble.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.jemble.core.check.Finding.Code;
import app.jemble.core.record.PersonId;
import app.jemble.core.text.TextPrices;
import app.jemble.core.text.TextPrices.Price;
import java.math.BigDecimal;
import java.util.List;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Parts and costs add up, and what makes texts longer is named with its people. */
public class TextCheckTest {

  private static final PersonId ANN = new PersonId(1);
  private static final PersonId BEA = new PersonId(2);
  private static final PersonId CAL = new PersonId(3);

  private TextCheck check;

  @BeforeMethod
  public void begin() {
    check =
        new TextCheck(
            new TextPrices(
                List.of(
                    new Price("44", "United Kingdom", new BigDecimal("0.04")),
                    new Price("47", "Norway", new BigDecimal("0.07")))),
            "It’s on, {{first_name}}");
  }

  @Test
  public void partsAndCostsAddUpByPlace() {
    check.add(ANN, "+447700900123", "x".repeat(160));
    check.add(BEA, "+447700900124", "x".repeat(161));
    check.add(CAL, "+4792000000", "short");
    TextCheck.TextSum sum = check.sum();
    assertThat(sum.texts()).isEqualTo(3);
    assertThat(sum.parts()).isEqualTo(4);
    assertThat(sum.cost()).isEqualByComparingTo("0.19");
    assertThat(sum.places())
        .containsExactly(
            new TextCheck.PlaceCost("United Kingdom", 2, 3, new BigDecimal("0.12")),
            new TextCheck.PlaceCost("Norway", 1, 1, new BigDecimal("0.07")));
    assertThat(sum.worst()).isEqualTo(new TextCheck.LongestText(BEA, 161, 2));
    assertThat(check.findings()).isEmpty();
  }

  @Test
  public void theWorstIsTheOneOfMostParts() {
    check.add(ANN, "+447700900123", "x".repeat(150));
    check.add(BEA, "+447700900124", "ж".repeat(71));
    check.add(CAL, "+447700900125", "x".repeat(160));
    assertThat(check.sum().worst()).isEqualTo(new TextCheck.LongestText(BEA, 71, 2));
  }

  @Test
  public void whatForcesTheLargerAlphabetIsNamedWithItsPeopleAndMend() {
    check.add(ANN, "+447700900123", "It’s on, Zoë ж");
    check.add(BEA, "+447700900124", "It’s on");
    assertThat(check.findings())
        .allMatch(f -> f.code() == Code.LARGER_ALPHABET)
        .extracting(Finding::about, Finding::people)
        .containsExactly(tuple("’", List.of()), tuple("ë", List.of(ANN)), tuple("ж", List.of(ANN)));
    assertThat(check.findings().get(0).sentence())
        .isEqualTo("“’” makes 2 texts take the larger alphabet, and so more parts. “'” would not.");
    assertThat(check.findings().get(2).sentence()).endsWith("more parts.");
    assertThat(check.sum().longer().get(1)).isEqualTo(new TextCheck.LongerText("ë", "e", 1));
  }

  @Test
  public void lettersAndUnknownPlacesWantALook() {
    check.add(ANN, "+35312345678", "x".repeat(153 * 3 + 1));
    assertThat(check.findings())
        .extracting(Finding::code)
        .containsExactly(Code.LONG_TEXT, Code.NO_PRICE);
    assertThat(check.sum().unpriced()).isEqualTo(1);
    assertThat(check.sum().cost()).isZero();
  }

  @Test
  public void nobodyCostsNothing() {
    TextCheck.TextSum sum = check.sum();
    assertThat(sum.texts()).isZero();
    assertThat(sum.worst()).isNull();
    assertThat(sum.cost()).isZero();
  }
}
