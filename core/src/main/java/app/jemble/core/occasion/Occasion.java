package app.jemble.core.occasion;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.Year;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/**
 * A day that comes round, and when something is said on it (domain of occasions).
 *
 * @param kind whether it comes each year or once
 * @param offset days from the day to the saying of it: −60 to 60
 * @param rounds only when it is so many years; empty for every year
 */
public record Occasion(Kind kind, int offset, List<Integer> rounds) {

  public static final int MOST_OFFSET = 60;

  private static final MonthDay LEAP_DAY = MonthDay.of(2, 29);

  /** What kind of day. */
  public enum Kind {
    /** birthday, joining day: comes each year after the first */
    YEARLY,
    /** a renewal: that day and no other */
    DATED
  }

  /**
   * One time that it comes round to somebody.
   *
   * @param day the day itself
   * @param years how many years it is then; 0 for a dated day
   * @param said the day on which it is said
   */
  public record Turn(LocalDate day, int years, LocalDate said) {}

  public Occasion {
    if (offset < -MOST_OFFSET || offset > MOST_OFFSET) {
      throw new IllegalArgumentException(
          "It is said at most 60 days before or after the day itself.");
    }
    if (rounds.stream().anyMatch(years -> years < 1 || years > 150)) {
      throw new IllegalArgumentException("Round years are 1 to 150.");
    }
    rounds = List.copyOf(new TreeSet<>(rounds));
  }

  public static Occasion everyYear() {
    return new Occasion(Kind.YEARLY, 0, List.of());
  }

  /** The day in one year: 29 February falls on 28 February in a common year. */
  public static LocalDate inYear(LocalDate first, int year) {
    MonthDay day = MonthDay.from(first);
    return day.equals(LEAP_DAY) && !Year.isLeap(year)
        ? LocalDate.of(year, 2, 28)
        : day.atYear(year);
  }

  /**
   * What is said of it on one day.
   *
   * @param first the day of birth, of joining; or the dated day itself
   * @return empty when it is not said on that day
   */
  public Optional<Turn> saidOn(LocalDate first, LocalDate said) {
    LocalDate day = said.minusDays(offset);
    if (kind == Kind.DATED) {
      return day.equals(first) ? Optional.of(new Turn(day, 0, said)) : Optional.empty();
    }
    int years = day.getYear() - first.getYear();
    boolean comes =
        years >= 1
            && inYear(first, day.getYear()).equals(day)
            && (rounds.isEmpty() || rounds.contains(years));
    return comes ? Optional.of(new Turn(day, years, said)) : Optional.empty();
  }

  /**
   * The next time that it is said, on a day or after it.
   *
   * @return empty when it never is again: a dated day that is over, or round years that are past
   */
  public Optional<Turn> next(LocalDate first, LocalDate from) {
    LocalDate day = from.minusDays(offset);
    if (kind == Kind.DATED) {
      return first.isBefore(day)
          ? Optional.empty()
          : Optional.of(new Turn(first, 0, first.plusDays(offset)));
    }
    int year = Math.max(day.getYear(), first.getYear() + 1);
    if (inYear(first, year).isBefore(day)) {
      year++;
    }
    int least = year - first.getYear();
    Optional<Integer> years =
        rounds.isEmpty()
            ? Optional.of(least)
            : rounds.stream().filter(round -> round >= least).findFirst();
    return years.map(
        count -> {
          LocalDate then = inYear(first, first.getYear() + count);
          return new Turn(then, count, then.plusDays(offset));
        });
  }
}
