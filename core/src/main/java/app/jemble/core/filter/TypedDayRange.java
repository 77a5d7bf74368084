package app.jemble.core.filter;

import app.jemble.core.record.TypedDay;
import java.time.LocalDate;
import java.time.Month;
import java.time.YearMonth;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A day, a month or a year as people write it, as the days from its first to its last. */
final class TypedDayRange {

  private static final int MOST_WORDS = 6;
  private static final Pattern YEAR = Pattern.compile("\\d{4}");
  private static final Pattern MONTH = Pattern.compile("(\\p{L}{3,9})\\.?(?: (\\d{4}))?");

  private final TypedHouse.Calendar calendar;
  private final TypedDay.Lean lean;

  /**
   * Reads days for one field.
   *
   * @param lean which day is meant where the year is not written
   */
  TypedDayRange(TypedHouse.Calendar calendar, TypedDay.Lean lean) {
    this.calendar = calendar;
    this.lean = lean;
  }

  /** The days of the longest run of words that says some; null if none does. */
  DayRange take(TypedCursor at) {
    return at.longest(MOST_WORDS, words -> read(words.toLowerCase(Locale.ROOT)));
  }

  private DayRange read(String words) {
    if (YEAR.matcher(words).matches()) {
      int year = Integer.parseInt(words);
      return year == 0 ? null : new DayRange(LocalDate.of(year, 1, 1), LocalDate.of(year, 12, 31));
    }
    Optional<YearMonth> month = month(words);
    if (month.isPresent()) {
      return new DayRange(month.get().atDay(1), month.get().atEndOfMonth());
    }
    return TypedDay.read(words, calendar.today(), calendar.style(), lean)
        .map(day -> new DayRange(day, day))
        .orElse(null);
  }

  /** "may", "May 2025"; without its year the nearest in the way that is leant to. */
  private Optional<YearMonth> month(String words) {
    Matcher found = MONTH.matcher(words);
    Optional<Month> named = found.matches() ? named(found.group(1)) : Optional.empty();
    if (named.isEmpty() || found.group(2) != null) {
      return named.map(m -> YearMonth.of(Integer.parseInt(found.group(2)), m));
    }
    YearMonth now = YearMonth.from(calendar.today());
    YearMonth here = YearMonth.of(now.getYear(), named.get());
    if (lean == TypedDay.Lean.BACK) {
      return Optional.of(here.isAfter(now) ? here.minusYears(1) : here);
    }
    return Optional.of(here.isBefore(now) ? here.plusYears(1) : here);
  }

  /** A month by its name or its first letters, at least three. */
  static Optional<Month> named(String letters) {
    String wanted = letters.equalsIgnoreCase("sept") ? "SEP" : letters.toUpperCase(Locale.ROOT);
    return wanted.length() < 3
        ? Optional.empty()
        : Arrays.stream(Month.values()).filter(m -> m.name().startsWith(wanted)).findFirst();
  }
}
