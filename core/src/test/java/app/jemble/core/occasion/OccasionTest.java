package app.jemble.core.occasion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jemble.core.occasion.Occasion.Kind;
import app.jemble.core.occasion.Occasion.Turn;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRuleIterator;
import org.testng.annotations.Test;

/** Days that come round, by worked examples and day by day over ten thousand dates. */
public class OccasionTest {

  private static LocalDate day(String day) {
    return LocalDate.parse(day);
  }

  @Test
  public void bornThirtySixYearsAgoToday() {
    assertThat(Occasion.everyYear().saidOn(day("1990-11-27"), day("2026-11-27")))
        .contains(new Turn(day("2026-11-27"), 36, day("2026-11-27")));
  }

  @Test
  public void theLeapDayFallsOnTheDayBeforeInACommonYear() {
    Occasion birthday = Occasion.everyYear();
    LocalDate born = day("2000-02-29");
    assertThat(birthday.saidOn(born, day("2026-02-28")).map(Turn::years)).contains(26);
    assertThat(birthday.saidOn(born, day("2026-03-01"))).isEmpty();
    assertThat(birthday.saidOn(born, day("2028-02-28"))).as("a leap year").isEmpty();
    assertThat(birthday.saidOn(born, day("2028-02-29")).map(Turn::years)).contains(28);
    assertThat(birthday.saidOn(born, day("2100-02-28")).map(Turn::years))
        .as("2100 is a common year")
        .contains(100);
  }

  @Test
  public void theDayItselfIsNotAnAnniversary() {
    assertThat(Occasion.everyYear().saidOn(day("2026-11-27"), day("2026-11-27"))).isEmpty();
    assertThat(Occasion.everyYear().next(day("2026-11-27"), day("2026-11-27")))
        .contains(new Turn(day("2027-11-27"), 1, day("2027-11-27")));
  }

  @Test
  public void itIsSaidSoManyDaysBeforeOrAfter() {
    Occasion weekBefore = new Occasion(Kind.YEARLY, -7, List.of());
    assertThat(weekBefore.saidOn(day("1990-01-03"), day("2026-12-27")))
        .as("said in the year before")
        .contains(new Turn(day("2027-01-03"), 37, day("2026-12-27")));
    Occasion after = new Occasion(Kind.YEARLY, 5, List.of());
    assertThat(after.saidOn(day("1990-12-30"), day("2027-01-04")))
        .contains(new Turn(day("2026-12-30"), 36, day("2027-01-04")));
  }

  @Test
  public void onlyRoundYearsWhereThatIsChosen() {
    Occasion rounds = new Occasion(Kind.YEARLY, 0, List.of(10, 1, 5, 25));
    LocalDate joined = day("2016-05-02");
    assertThat(rounds.saidOn(joined, day("2025-05-02"))).isEmpty();
    assertThat(rounds.saidOn(joined, day("2026-05-02")).map(Turn::years)).contains(10);
    assertThat(rounds.next(joined, day("2026-05-03")).map(Turn::years)).contains(25);
    assertThat(rounds.next(joined, day("2041-05-03"))).as("past the last").isEmpty();
  }

  @Test
  public void aDatedDayIsThatDayAlone() {
    Occasion renewal = new Occasion(Kind.DATED, -30, List.of());
    LocalDate ends = day("2026-12-31");
    assertThat(renewal.saidOn(ends, day("2026-12-01")))
        .contains(new Turn(ends, 0, day("2026-12-01")));
    assertThat(renewal.saidOn(ends, day("2025-12-01"))).isEmpty();
    assertThat(renewal.next(ends, day("2026-12-02"))).isEmpty();
  }

  @Test
  public void offsetsAndRoundYearsHaveBounds() {
    assertThatThrownBy(() -> new Occasion(Kind.YEARLY, 61, List.of()))
        .hasMessageContaining("at most 60 days");
    assertThatThrownBy(() -> new Occasion(Kind.YEARLY, 0, List.of(0)))
        .hasMessageContaining("1 to 150");
  }

  /** Years are full years, by java.time's own reckoning but for the leap day in a common year. */
  @Test
  public void tenThousandDatesComeRoundOnceAYear() {
    Random random = new Random(14);
    for (int i = 0; i < 10_000; i++) {
      LocalDate first = day("1900-01-01").plusDays(random.nextInt(50_000));
      int offset = random.nextInt(121) - 60;
      Occasion occasion = new Occasion(Kind.YEARLY, offset, List.of());
      LocalDate from = first.plusDays(random.nextInt(36_000) - 400);
      Turn next = occasion.next(first, from).orElseThrow();
      assertThat(next.said()).isEqualTo(next.day().plusDays(offset)).isAfterOrEqualTo(from);
      assertThat(occasion.saidOn(first, next.said())).contains(next);
      boolean leap = first.getMonthValue() == 2 && first.getDayOfMonth() == 29;
      LocalDate reckoned = leap ? next.day().plusDays(1) : next.day();
      assertThat(ChronoUnit.YEARS.between(first, reckoned)).isEqualTo(next.years());
      assertThat(first.plusYears(next.years())).as("java.time's own").isEqualTo(next.day());
      // Walked day by day, it was not said before.
      LocalDate day = from;
      Optional<Turn> walked = occasion.saidOn(first, day);
      while (walked.isEmpty()) {
        day = day.plusDays(1);
        walked = occasion.saidOn(first, day);
      }
      assertThat(walked).contains(next);
    }
  }

  /**
   * Against lib-recur, a calendar library: a yearly rule whose day is left to fall on the day
   * before where the year has none (RFC 5545 3.3.10, RFC 7529 4.1).
   */
  @Test
  public void tenThousandDatesComeRoundAsACalendarSaysTheyDo() throws Exception {
    RecurrenceRule yearly = new RecurrenceRule("RSCALE=GREGORIAN;FREQ=YEARLY;SKIP=BACKWARD");
    Random random = new Random(15);
    for (int i = 0; i < 10_000; i++) {
      LocalDate first =
          i % 20 == 0
              ? LocalDate.of(1904 + 4 * random.nextInt(28), 2, 28).plusDays(1)
              : day("1900-01-01").plusDays(random.nextInt(45_000));
      RecurrenceRuleIterator days =
          yearly.iterator(
              new DateTime(first.getYear(), first.getMonthValue() - 1, first.getDayOfMonth()));
      days.nextDateTime();
      LocalDate from = first.plusDays(1);
      for (int years = 1; years <= 12; years++) {
        DateTime theirs = days.nextDateTime();
        Turn ours = Occasion.everyYear().next(first, from).orElseThrow();
        assertThat(ours.years()).isEqualTo(years);
        assertThat(ours.day())
            .isEqualTo(
                LocalDate.of(theirs.getYear(), theirs.getMonth() + 1, theirs.getDayOfMonth()));
        from = ours.day().plusDays(1);
      }
    }
  }
}
