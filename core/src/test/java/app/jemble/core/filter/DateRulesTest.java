package app.jemble.core.filter;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.Values;
import app.jemble.core.record.YardFields;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Worked cases of date rules: leap days, month ends, the days on which clocks change (IANA rules of
 * Europe/London: forward on 29 March 2026 at 01:00 UTC, back on 25 October 2026 at 01:00 UTC), and
 * days that are one day in the workspace and another in UTC.
 */
public class DateRulesTest {

  private static final String LONDON = "Europe/London";
  private static final String HALIFAX = "America/Halifax";

  @DataProvider
  public Object[][] days() {
    return Stream.of(daysOfTheCalendar(), periods(), daysThatComeRound())
        .flatMap(Arrays::stream)
        .toArray(Object[][]::new);
  }

  private static Object[][] daysOfTheCalendar() {
    return new Object[][] {
      // now, zone, operator, operand, the person's day, whether it holds
      {"2024-02-29T12:00:00Z", LONDON, Operator.ON, "2024-02-29", "2024-02-29", true},
      {"2024-03-01T12:00:00Z", LONDON, Operator.IN_LAST, "2", "2024-02-29", true},
      {"2023-03-01T12:00:00Z", LONDON, Operator.IN_LAST, "2", "2023-02-28", true},
      {"2024-03-01T12:00:00Z", LONDON, Operator.IN_LAST, "2", "2024-02-28", false},
      {"2024-02-28T12:00:00Z", LONDON, Operator.IN_NEXT, "2", "2024-02-29", true},
      {"2024-02-28T12:00:00Z", LONDON, Operator.IN_NEXT, "2", "2024-03-01", false},
      {"2026-01-31T12:00:00Z", LONDON, Operator.IN_NEXT, "2", "2026-02-01", true},
      {"2026-01-01T12:00:00Z", LONDON, Operator.IN_LAST, "2", "2025-12-31", true},
      {"2026-03-08T12:00:00Z", LONDON, Operator.AGO, "7", "2026-02-28", true},
      {"2026-03-08T12:00:00Z", LONDON, Operator.AGO, "7", "2026-03-01", false},
      {"2026-06-01T12:00:00Z", LONDON, Operator.IN_MONTH, "2", "1996-02-29", true},
      {"2026-06-01T12:00:00Z", LONDON, Operator.IN_MONTH, "3", "1996-02-29", false},
      {"2026-06-01T12:00:00Z", LONDON, Operator.BEFORE, "2025-05-01", "2025-04-30", true},
      {"2026-06-01T12:00:00Z", LONDON, Operator.BEFORE, "2025-05-01", "2025-05-01", false},
      {"2026-06-01T12:00:00Z", LONDON, Operator.AFTER, "2025-05-01", "2025-05-01", false},
    };
  }

  private static Object[][] periods() {
    return new Object[][] {
      // weeks begin on Monday (ISO 8601): 1 January 2027 is a Friday of week 53 of 2026, which
      // began on Monday 28 December (the week numbers are those of ISO 8601's own example year)
      {"2027-01-01T12:00:00Z", LONDON, Operator.IN_PERIOD, "this week", "2026-12-28", true},
      {"2027-01-01T12:00:00Z", LONDON, Operator.IN_PERIOD, "this week", "2027-01-03", true},
      {"2027-01-01T12:00:00Z", LONDON, Operator.IN_PERIOD, "this week", "2027-01-04", false},
      {"2027-01-01T12:00:00Z", LONDON, Operator.IN_PERIOD, "last week", "2026-12-27", true},
      {"2027-01-01T12:00:00Z", LONDON, Operator.IN_PERIOD, "next week", "2027-01-04", true},
      {"2026-11-23T00:00:00Z", LONDON, Operator.IN_PERIOD, "this week", "2026-11-22", false},
      {"2024-03-31T12:00:00Z", LONDON, Operator.IN_PERIOD, "last month", "2024-02-29", true},
      {"2024-03-31T12:00:00Z", LONDON, Operator.IN_PERIOD, "last month", "2024-03-01", false},
      {"2026-01-31T12:00:00Z", LONDON, Operator.IN_PERIOD, "next month", "2026-02-28", true},
      {"2026-01-31T12:00:00Z", LONDON, Operator.IN_PERIOD, "next month", "2026-03-01", false},
      {"2024-02-29T12:00:00Z", LONDON, Operator.IN_PERIOD, "last year", "2023-12-31", true},
      {"2024-02-29T12:00:00Z", LONDON, Operator.IN_PERIOD, "next year", "2025-12-31", true},
      {"2026-06-01T12:00:00Z", LONDON, Operator.IN_PERIOD, "today", "2026-06-01", true},
      {"2026-06-01T12:00:00Z", LONDON, Operator.IN_PERIOD, "yesterday", "2026-05-31", true},
      {"2026-06-01T12:00:00Z", LONDON, Operator.IN_PERIOD, "tomorrow", "2026-06-02", true},
      // spans of weeks and months; a month back from the 31st is the shorter month's last day
      {"2026-06-15T12:00:00Z", LONDON, Operator.IN_LAST, "2 weeks", "2026-06-02", true},
      {"2026-06-15T12:00:00Z", LONDON, Operator.IN_LAST, "2 weeks", "2026-06-01", false},
      {"2024-03-31T12:00:00Z", LONDON, Operator.IN_LAST, "1 months", "2024-03-01", true},
      {"2024-03-31T12:00:00Z", LONDON, Operator.IN_LAST, "1 months", "2024-02-29", false},
      {"2024-03-30T12:00:00Z", LONDON, Operator.AGO, "1 months", "2024-02-28", true},
      {"2024-03-30T12:00:00Z", LONDON, Operator.AGO, "1 months", "2024-02-29", false},
    };
  }

  private static Object[][] daysThatComeRound() {
    return new Object[][] {
      // days that come round; 29 February falls on 28 February in a common year
      {"2026-02-28T12:00:00Z", LONDON, Operator.COMES_ROUND, "0", "1996-02-29", true},
      {"2026-02-27T12:00:00Z", LONDON, Operator.COMES_ROUND, "1", "1996-02-29", true},
      {"2026-03-01T12:00:00Z", LONDON, Operator.COMES_ROUND, "0", "1996-02-29", false},
      {"2028-02-28T12:00:00Z", LONDON, Operator.COMES_ROUND, "0", "1996-02-29", false},
      {"2028-02-29T12:00:00Z", LONDON, Operator.COMES_ROUND, "0", "1996-02-29", true},
      {"2026-12-30T12:00:00Z", LONDON, Operator.COMES_ROUND, "7", "1970-01-06", true},
      {"2026-12-30T12:00:00Z", LONDON, Operator.COMES_ROUND, "7", "1970-01-07", false},
      {"2026-12-30T12:00:00Z", LONDON, Operator.IN_MONTH, "next", "2019-01-07", true},
      {"2026-01-30T12:00:00Z", LONDON, Operator.IN_MONTH, "last", "2019-12-07", true},
      {"2026-03-31T12:00:00Z", LONDON, Operator.IN_MONTH, "this", "2019-03-01", true},
      // just after midnight in London it is still yesterday in Halifax
      {"2026-06-01T00:30:00Z", LONDON, Operator.IN_NEXT, "1", "2026-06-01", true},
      {"2026-06-01T00:30:00Z", HALIFAX, Operator.IN_NEXT, "1", "2026-06-01", false},
      {"2026-06-01T00:30:00Z", HALIFAX, Operator.IN_NEXT, "1", "2026-05-31", true},
    };
  }

  @Test(dataProvider = "days")
  public void aDayOfTheCalendar(
      String now, String zone, Operator operator, String operand, String day, boolean expected) {
    Values person = Values.of(Map.of("joined_on", FieldValue.day(LocalDate.parse(day))));
    assertThat(holds("joined_on", operator, operand, person, now, zone)).isEqualTo(expected);
  }

  @DataProvider
  public Object[][] instants() {
    return new Object[][] {
      // The day has 23 hours in London: its last instant is 22:59:59 UTC.
      {LONDON, "2026-03-29", "2026-03-29T00:00:00Z", true},
      {LONDON, "2026-03-29", "2026-03-28T23:59:59Z", false},
      {LONDON, "2026-03-29", "2026-03-29T22:59:59Z", true},
      {LONDON, "2026-03-29", "2026-03-29T23:00:00Z", false},
      // The day has 25 hours: it begins at 23:00 UTC the day before and ends at midnight UTC.
      {LONDON, "2026-10-25", "2026-10-24T23:00:00Z", true},
      {LONDON, "2026-10-25", "2026-10-24T22:59:59Z", false},
      {LONDON, "2026-10-25", "2026-10-25T23:59:59Z", true},
      {LONDON, "2026-10-25", "2026-10-26T00:00:00Z", false},
      // Both passes of the hour belong to the day.
      {LONDON, "2026-10-25", "2026-10-25T00:30:00Z", true},
      {LONDON, "2026-10-25", "2026-10-25T01:30:00Z", true},
      {"UTC", "2026-10-25", "2026-10-24T23:30:00Z", false},
      {HALIFAX, "2026-01-01", "2026-01-01T03:59:59Z", false},
      {HALIFAX, "2026-01-01", "2026-01-01T04:00:00Z", true},
      {HALIFAX, "2026-01-01", "2026-01-02T03:59:59Z", true},
    };
  }

  @Test(dataProvider = "instants")
  public void anInstantBelongsToTheWorkspacesDay(
      String zone, String day, String instant, boolean expected) {
    Values person = Values.of(Map.of("last_visit", FieldValue.moment(Instant.parse(instant))));
    String now = "2027-01-01T00:00:00Z";
    assertThat(holds("last_visit", Operator.ON, day, person, now, zone)).isEqualTo(expected);
    AsOf asOf = new AsOf(Instant.parse(now), ZoneId.of(zone));
    boolean byInstants =
        !Instant.parse(instant).isBefore(asOf.startOf(LocalDate.parse(day)))
            && Instant.parse(instant).isBefore(asOf.startOf(LocalDate.parse(day).plusDays(1)));
    assertThat(byInstants).as("as the database asks it").isEqualTo(expected);
  }

  @Test
  public void aYearThatNoCalendarHasIsRefusedWithASentence() {
    for (String wrong : List.of("2023-02-29", "2026-13-01", "0000-01-01", "+12026-01-01", "soon")) {
      try {
        condition("joined_on", Operator.BEFORE, wrong);
        throw new AssertionError(wrong + " was taken");
      } catch (FilterException refused) {
        assertThat(refused.getMessage()).contains("takes a day such as").contains(wrong);
        assertThat(refused.field()).isEqualTo("joined_on");
      }
    }
  }

  private static boolean holds(
      String field, Operator operator, String operand, Values person, String now, String zone) {
    return FilterMatch.holds(
        condition(field, operator, operand), person, new AsOf(Instant.parse(now), ZoneId.of(zone)));
  }

  private static Filter.Condition condition(String name, Operator operator, String operand) {
    Field field = YardFields.standard().find(name).orElseThrow();
    boolean span = operator.takes() == Operator.Takes.SPAN;
    List<String> given = span ? List.of(operand.split(" ")) : List.of(operand);
    return new Filter.Condition(field, operator, Operand.read(field, operator, given));
  }
}
