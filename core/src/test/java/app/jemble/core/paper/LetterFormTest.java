package app.jemble.core.paper;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.Test;

/** DIN 5008 and a window envelope No. 10, both from memory. */
public class LetterFormTest {

  @Test
  public void theAddressFieldsAreThoseOfTheStandard() {
    assertThat(LetterForm.DIN_A.field()).isEqualTo(new Box(20, 27, 85, 45));
    assertThat(LetterForm.DIN_B.field()).isEqualTo(new Box(20, 45, 85, 45));
    assertThat(LetterForm.DIN_A.folds()).containsExactly(87.0, 192.0);
    assertThat(LetterForm.DIN_B.folds()).containsExactly(105.0, 210.0);
  }

  @Test
  public void whatStandsInAWindowIsWithinIt() {
    for (LetterForm form : LetterForm.values()) {
      Box sheet = new Box(0, 0, form.paper().width(), form.paper().height());
      assertThat(form.field().isWithin(sheet)).isTrue();
      assertThat(form.address().isWithin(form.field())).isTrue();
      assertThat(form.senderLine().isWithin(form.field())).isTrue();
      assertThat(form.address().overlaps(form.senderLine())).isFalse();
      assertThat(form.textTop()).isGreaterThan(form.field().bottom() - 6);
    }
  }

  /** Nine lines at the smallest size are 9 × 7 × 1.2 points high: 26.7 mm. */
  @Test
  public void nineLinesFitEachWindow() {
    for (LetterForm form : LetterForm.values()) {
      assertThat(LabelFit.of(10, 9, form.address(), 10).fits()).as(form.words()).isTrue();
    }
  }

  @Test
  public void aSheetFoldedAtItsMarksGoesIntoItsEnvelope() {
    for (LetterForm form : LetterForm.values()) {
      double height = form.paper().height();
      double first = form.folds().get(0);
      double second = form.folds().get(1);
      assertThat(first).isLessThanOrEqualTo(110);
      assertThat(second - first).isLessThanOrEqualTo(105.0);
      assertThat(height - second).isLessThanOrEqualTo(105.0);
      assertThat(form.field().bottom()).as("in the part that lies on top").isLessThan(first);
    }
  }
}
