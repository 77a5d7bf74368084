package app.jemble.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.response.ResponseKind;
import app.jemble.core.text.Allowance.Over;
import java.math.BigDecimal;
import org.testng.annotations.Test;

/** What is left is kept to, to the last penny; what came back counts as that. */
public class AllowanceTest {

  private static BigDecimal pence(long pence) {
    return BigDecimal.valueOf(pence, 2);
  }

  @Test
  public void allIsWithinTheMonthAndTheDearestDayWithinADay() {
    Allowance left = new Allowance(pence(100), pence(300));
    assertThat(left.exceededBy(pence(300), pence(100))).isEmpty();
    assertThat(left.exceededBy(pence(301), pence(100))).contains(Over.MONTH);
    assertThat(left.exceededBy(pence(300), pence(101))).contains(Over.DAY);
    assertThat(left.exceededBy(pence(301), pence(101))).contains(Over.MONTH);
  }

  @Test
  public void withoutALimitNothingIsTooDear() {
    assertThat(new Allowance(null, null).exceededBy(pence(9_999_999), pence(9_999_999))).isEmpty();
    assertThat(new Allowance(null, pence(1)).exceededBy(pence(2), pence(2))).contains(Over.MONTH);
    assertThat(new Allowance(pence(1), null).exceededBy(pence(2), pence(2))).contains(Over.DAY);
  }

  @Test
  public void aReceiptCountsAsWhatBecameOfTheText() {
    assertThat(ReceiptState.UNDELIVERABLE.response()).contains(ResponseKind.RETURNED_HARD);
    assertThat(ReceiptState.EXPIRED.response()).contains(ResponseKind.RETURNED_SOFT);
    assertThat(ReceiptState.REJECTED.response()).contains(ResponseKind.RETURNED_SOFT);
    assertThat(ReceiptState.DELIVERED.response()).isEmpty();
    assertThat(ReceiptState.UNKNOWN.response()).isEmpty();
  }
}
