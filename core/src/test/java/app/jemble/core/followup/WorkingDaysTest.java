package app.jemble.core.followup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.objectlab.kit.datecalc.common.DateCalculator;
import net.objectlab.kit.datecalc.common.DefaultHolidayCalendar;
import net.objectlab.kit.datecalc.common.HolidayHandlerType;
import net.objectlab.kit.datecalc.jdk8.LocalDateKitCalculatorsFactory;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class WorkingDaysTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");

  /** Easter Monday and the early May bank holiday of 2026 in England (gov.uk, from memory). */
  private static final Set<LocalDate> OFF =
      Set.of(LocalDate.of(2026, 4, 3), LocalDate.of(2026, 4, 6), LocalDate.of(2026, 5, 4));

  private static final WorkingDays HOUSE = new WorkingDays(OFF, LONDON);

  private static Instant at(String wall) {
    return LocalDateTime.parse(wall).atZone(LONDON).toInstant();
  }

  @DataProvider
  public Object[][] waits() {
    return new Object[][] {
      // within a week, over a weekend, from a Saturday
      {"2026-03-23T09:00", new After(3, After.Unit.WORKING_DAYS), "2026-03-26T09:00"},
      {"2026-03-19T16:30", new After(2, After.Unit.WORKING_DAYS), "2026-03-23T16:30"},
      {"2026-03-21T10:00", new After(1, After.Unit.WORKING_DAYS), "2026-03-23T10:00"},
      // over Easter: Good Friday and Easter Monday do not count
      {"2026-04-01T09:00", new After(4, After.Unit.WORKING_DAYS), "2026-04-09T09:00"},
      // the clocks go forward on 29 March: the same time of day, an hour less
      {"2026-03-27T09:00", new After(1, After.Unit.WORKING_DAYS), "2026-03-30T09:00"},
      {"2026-03-28T09:00", new After(2, After.Unit.DAYS), "2026-03-30T09:00"},
      {"2026-03-28T09:00", new After(48, After.Unit.HOURS), "2026-03-30T10:00"},
      // a time of day that is skipped that night
      {"2026-03-28T01:30", new After(1, After.Unit.DAYS), "2026-03-29T02:30"},
    };
  }

  @Test(dataProvider = "waits")
  public void aWaitIsOver(String left, After after, String over) {
    assertThat(after.from(at(left), HOUSE)).isEqualTo(at(over));
  }

  /** Against ObjectLab Kit's date calculator (net.objectlab.kit, Apache 2), on 4,000 days. */
  @Test
  public void asTheReferenceCountsThem() {
    Random random = new Random(6);
    LocalDate first = LocalDate.of(2025, 1, 1);
    for (int round = 0; round < 40; round++) {
      Set<LocalDate> off =
          IntStream.range(0, random.nextInt(60))
              .mapToObj(i -> first.plusDays(random.nextInt(1200)))
              .collect(Collectors.toSet());
      LocalDateKitCalculatorsFactory.getDefaultInstance()
          .registerHolidays(
              "house",
              new DefaultHolidayCalendar<>(
                  new HashSet<>(off), first.minusYears(1), first.plusYears(9)));
      WorkingDays days = new WorkingDays(off, LONDON);
      for (int i = 0; i < 100; i++) {
        LocalDate left = first.plusDays(random.nextInt(1000));
        int count = 1 + random.nextInt(30);
        Instant over = days.after(left.atTime(9, 30).atZone(LONDON).toInstant(), count);
        assertThat(LocalDateTime.ofInstant(over, LONDON))
            .as("%s and %d, without %s", left, count, off)
            .isEqualTo(reference(left, count).atTime(LocalTime.of(9, 30)));
      }
    }
  }

  /** The reference begins on a working day: from any other it counts from the one before. */
  private static LocalDate reference(LocalDate left, int count) {
    DateCalculator<LocalDate> calculator =
        LocalDateKitCalculatorsFactory.getDefaultInstance()
            .getDateCalculator("house", HolidayHandlerType.FORWARD);
    LocalDate begin = left;
    while (calculator.isNonWorkingDay(begin)) {
      begin = begin.minusDays(1);
    }
    return calculator.setStartDate(begin).moveByBusinessDays(count).getCurrentBusinessDate();
  }

  /** Whoever is due is found by the bound, in zones that have skipped a whole day too. */
  @Test
  public void nobodyWhoseWaitIsOverLeftAfterTheBound() {
    Random random = new Random(7);
    for (String zone : new String[] {"Europe/London", "Pacific/Apia", "Asia/Kathmandu"}) {
      WorkingDays days = new WorkingDays(OFF, ZoneId.of(zone));
      for (int i = 0; i < 3000; i++) {
        Instant left = Instant.parse("2011-12-01T00:00:00Z").plusSeconds(random.nextInt(8_000_000));
        After after = new After(1 + random.nextInt(40), After.Unit.values()[random.nextInt(3)]);
        Instant over = after.from(left, days);
        assertThat(over).isAfter(left);
        assertThat(left).isBeforeOrEqualTo(after.departedBy(over));
      }
    }
  }

  @Test
  public void aCalendarWithoutAWorkingDayIsSaidToBeWrong() {
    LocalDate from = LocalDate.of(2026, 1, 1);
    Set<LocalDate> always =
        IntStream.range(0, 5000).mapToObj(from::plusDays).collect(Collectors.toSet());
    assertThatThrownBy(() -> new WorkingDays(always, LONDON).after(at("2026-01-01T09:00"), 1))
        .hasMessageContaining("no working day");
    assertThatThrownBy(() -> new After(0, After.Unit.DAYS)).hasMessageContaining("1 to 1,000");
  }

  @Test
  public void waitsAreSaidAsPeopleSayThem() {
    assertThat(new After(1, After.Unit.WORKING_DAYS).words()).isEqualTo("1 working day");
    assertThat(new After(4, After.Unit.HOURS).words()).isEqualTo("4 hours");
  }
}
