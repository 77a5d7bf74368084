package app.jemble.core.filter;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Month;
import java.time.MonthDay;
import java.time.Year;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.time.temporal.IsoFields;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Periods and days that come round, day by day against the calendar of the JDK asked in other
 * words: ISO week numbers (ISO 8601), months and years of days, and walking from day to day.
 */
public class DaysAgainstCalendarTest {

  private static final int TRIES = 4000;
  private static final LocalDate FIRST = LocalDate.of(1999, 12, 20);
  private static final int SPAN = 11_000;

  /** Whether a day lies so many units from today's. */
  private interface Distance {
    long between(LocalDate today, LocalDate day);
  }

  @DataProvider
  public Object[][] periods() {
    Distance days = (today, day) -> ChronoUnit.DAYS.between(today, day);
    Distance weeks = (today, day) -> weekNumber(day) - weekNumber(today);
    Distance months =
        (today, day) -> ChronoUnit.MONTHS.between(YearMonth.from(today), YearMonth.from(day));
    Distance years = (today, day) -> ChronoUnit.YEARS.between(Year.from(today), Year.from(day));
    return new Object[][] {
      {Period.TODAY, days, 0},
      {Period.YESTERDAY, days, -1},
      {Period.TOMORROW, days, 1},
      {Period.THIS_WEEK, weeks, 0},
      {Period.LAST_WEEK, weeks, -1},
      {Period.NEXT_WEEK, weeks, 1},
      {Period.THIS_MONTH, months, 0},
      {Period.LAST_MONTH, months, -1},
      {Period.NEXT_MONTH, months, 1},
      {Period.THIS_YEAR, years, 0},
      {Period.LAST_YEAR, years, -1},
      {Period.NEXT_YEAR, years, 1},
    };
  }

  /** Weeks counted through from the first one: 52 or 53 a year, as ISO 8601 numbers them. */
  private static long weekNumber(LocalDate day) {
    long weeks = 0;
    for (int year = 1990; year < day.get(IsoFields.WEEK_BASED_YEAR); year++) {
      weeks +=
          IsoFields.WEEK_OF_WEEK_BASED_YEAR.rangeRefinedBy(LocalDate.of(year, 7, 1)).getMaximum();
    }
    return weeks + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
  }

  @Test(dataProvider = "periods")
  public void aPeriodHoldsTheDaysThatTheCalendarSays(Period period, Distance distance, int units) {
    Random random = new Random(period.ordinal());
    int held = 0;
    for (int i = 0; i < TRIES; i++) {
      LocalDate today = FIRST.plusDays(random.nextInt(SPAN));
      LocalDate day = today.plusDays(random.nextInt(900) - 450);
      boolean expected = distance.between(today, day) == units;
      assertThat(period.from(today, DayOfWeek.MONDAY).holds(day))
          .as("%s, today %s", day, today)
          .isEqualTo(expected);
      LocalDate edge = period.from(today, DayOfWeek.MONDAY).from();
      assertThat(distance.between(today, edge)).as("first day, today %s", today).isEqualTo(units);
      assertThat(distance.between(today, edge.minusDays(1))).isNotEqualTo(units);
      held += expected ? 1 : 0;
    }
    assertThat(held).isPositive();
  }

  @Test
  public void everyWeekBeginsAsTheHouseHasItAndHasSevenDays() {
    for (int i = 0; i < SPAN; i++) {
      for (DayOfWeek first : DayOfWeek.values()) {
        LocalDate day = FIRST.plusDays(i);
        DayRange week = Period.THIS_WEEK.from(day, first);
        assertThat(week.from().getDayOfWeek()).isEqualTo(first);
        assertThat(week.holds(day)).isTrue();
        assertThat(ChronoUnit.DAYS.between(week.from(), week.to())).isEqualTo(6);
      }
    }
  }

  /** Walks from today, and looks whether the day's anniversary of that year is met. */
  @Test
  public void aDayComesRoundWhenAWalkFromTodayMeetsIt() {
    Random random = new Random(29);
    for (int i = 0; i < TRIES; i++) {
      LocalDate today = FIRST.plusDays(random.nextInt(SPAN));
      LocalDate born =
          random.nextInt(8) == 0
              ? LocalDate.of(1996, 2, 29)
              : LocalDate.of(1960, 1, 1).plusDays(random.nextInt(20_000));
      int within = random.nextInt(60);
      boolean met = false;
      for (LocalDate day = today; !day.isAfter(today.plusDays(within)); day = day.plusDays(1)) {
        // LocalDate.withYear moves 29 February to the 28th in a common year.
        met |= born.withYear(day.getYear()).equals(day);
      }
      assertThat(YearDays.within(today, within).contains(MonthDay.from(born)))
          .as("%s within %s days of %s", born, within, today)
          .isEqualTo(met);
    }
  }

  @Test
  public void spansOfWeeksAreSpansOfDays() {
    Field joined = YardFields.standard().find("joined_on").orElseThrow();
    Random random = new Random(7);
    for (int i = 0; i < TRIES; i++) {
      LocalDate day = FIRST.plusDays(random.nextInt(SPAN));
      Instant now =
          day.plusDays(random.nextInt(200) - 100)
              .atTime(12, 0)
              .atZone(ZoneId.of("UTC"))
              .toInstant();
      AsOf asOf = new AsOf(now, ZoneId.of("Europe/London"));
      Values person = Values.of(Map.of("joined_on", FieldValue.day(day)));
      int weeks = random.nextInt(12);
      for (Operator operator : List.of(Operator.IN_LAST, Operator.IN_NEXT, Operator.AGO)) {
        assertThat(holds(joined, operator, person, asOf, weeks, "weeks"))
            .as("%s %s weeks of %s, %s", operator, weeks, now, day)
            .isEqualTo(holds(joined, operator, person, asOf, 7 * weeks, "days"));
      }
      // What was in the last n days was not more than n days ago, and what lies between is neither.
      boolean last = holds(joined, Operator.IN_LAST, person, asOf, weeks, "days");
      boolean ago = holds(joined, Operator.AGO, person, asOf, weeks, "days");
      assertThat(last && ago).isFalse();
    }
  }

  private static boolean holds(
      Field field, Operator operator, Values person, AsOf asOf, int number, String unit) {
    Operand span = Operand.read(field, operator, List.of("" + number, unit));
    return FilterMatch.holds(new Filter.Condition(field, operator, span), person, asOf);
  }

  @Test
  public void theMonthsNamedFromNowAreThoseOfTheCalendar() {
    for (int i = 0; i < SPAN; i += 3) {
      LocalDate today = FIRST.plusDays(i);
      Month month = today.getMonth();
      assertThat(Operand.month(new Operand.MonthFromNow(0), today)).isEqualTo(month.getValue());
      assertThat(Operand.month(new Operand.MonthFromNow(-1), today))
          .isEqualTo(month.minus(1).getValue());
      assertThat(Operand.month(new Operand.MonthFromNow(1), today))
          .isEqualTo(month.plus(1).getValue());
    }
  }
}
