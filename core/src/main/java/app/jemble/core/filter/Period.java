package app.jemble.core.filter;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;

/** A stretch of days named from today. Weeks begin as the house has it. */
public enum Period {
  TODAY,
  YESTERDAY,
  TOMORROW,
  THIS_WEEK,
  LAST_WEEK,
  NEXT_WEEK,
  THIS_MONTH,
  LAST_MONTH,
  NEXT_MONTH,
  THIS_YEAR,
  LAST_YEAR,
  NEXT_YEAR;

  /** As it stands in a sentence: "last week". */
  public String words() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  /** Its days, both ends counted in. */
  DayRange from(LocalDate today, DayOfWeek weekStart) {
    return switch (this) {
      case TODAY -> new DayRange(today, today);
      case YESTERDAY -> new DayRange(today.minusDays(1), today.minusDays(1));
      case TOMORROW -> new DayRange(today.plusDays(1), today.plusDays(1));
      case THIS_WEEK -> week(today, weekStart);
      case LAST_WEEK -> week(today.minusWeeks(1), weekStart);
      case NEXT_WEEK -> week(today.plusWeeks(1), weekStart);
      case THIS_MONTH -> month(today);
      case LAST_MONTH -> month(today.minusMonths(1));
      case NEXT_MONTH -> month(today.plusMonths(1));
      case THIS_YEAR -> year(today);
      case LAST_YEAR -> year(today.minusYears(1));
      case NEXT_YEAR -> year(today.plusYears(1));
    };
  }

  private static DayRange week(LocalDate day, DayOfWeek weekStart) {
    LocalDate first = day.with(TemporalAdjusters.previousOrSame(weekStart));
    return new DayRange(first, first.plusDays(6));
  }

  private static DayRange month(LocalDate day) {
    return new DayRange(day.withDayOfMonth(1), day.with(TemporalAdjusters.lastDayOfMonth()));
  }

  private static DayRange year(LocalDate day) {
    return new DayRange(day.withDayOfYear(1), day.with(TemporalAdjusters.lastDayOfYear()));
  }
}
