package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class DayStyleTest {

  /** A Wednesday. */
  private static final LocalDate TODAY = LocalDate.of(2026, 4, 15);

  /** Unicode CLDR, supplemental week data (from memory). */
  @DataProvider
  public Object[][] countries() {
    return new Object[][] {
      {"GB", DayOfWeek.MONDAY},
      {"DE", DayOfWeek.MONDAY},
      {"US", DayOfWeek.SUNDAY},
      {"CA", DayOfWeek.SUNDAY},
      {"EG", DayOfWeek.SATURDAY}
    };
  }

  @Test(dataProvider = "countries")
  public void aCountryBeginsItsWeek(String region, DayOfWeek first) {
    assertThat(DayStyle.weekStartIn(region)).isEqualTo(first);
  }

  @Test
  public void weeksThatAreTypedBeginAsTheHouseHasIt() {
    assertThat(read("start of this week", DayOfWeek.MONDAY)).isEqualTo("2026-04-13");
    assertThat(read("start of this week", DayOfWeek.SUNDAY)).isEqualTo("2026-04-12");
    assertThat(read("end of this week", DayOfWeek.SATURDAY)).isEqualTo("2026-04-17");
    assertThat(read("next sunday", DayOfWeek.MONDAY)).isEqualTo("2026-04-26");
    assertThat(read("next sunday", DayOfWeek.SUNDAY)).isEqualTo("2026-04-19");
    assertThat(read("this sunday", DayOfWeek.SUNDAY)).isEqualTo("2026-04-12");
  }

  private static String read(String text, DayOfWeek weekStart) {
    DayStyle style = new DayStyle(DayOrder.DAY_FIRST, weekStart);
    return TypedDay.read(text, TODAY, style, TypedDay.Lean.AHEAD).orElseThrow().toString();
  }
}
