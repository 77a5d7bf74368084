package app.jemble.core.record;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.chrono.IsoChronology;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.DateTimeParseException;
import java.time.format.FormatStyle;
import java.time.format.ResolverStyle;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** In which order a day is written in digits; ISO 8601 and spelled-out months are always read. */
public enum DayOrder {
  DAY_FIRST("25/12/2026"),
  MONTH_FIRST("12/25/2026"),
  YEAR_FIRST("2026-12-25");

  private static final Pattern ISO =
      Pattern.compile("(\\d{4})[-/.](\\d{1,2})[-/.](\\d{1,2})(T.*)?");
  private static final Pattern DIGITS = Pattern.compile("(\\d{1,2})[-/.](\\d{1,2})[-/.](\\d{4})");
  private static final List<DateTimeFormatter> SPELLED =
      List.of(spelled("d MMM uuuu"), spelled("d MMMM uuuu"), spelled("MMMM d, uuuu"));

  private final String example;

  DayOrder(String example) {
    this.example = example;
  }

  private static DateTimeFormatter spelled(String pattern) {
    return DateTimeFormatter.ofPattern(pattern, Locale.ENGLISH)
        .withResolverStyle(ResolverStyle.STRICT);
  }

  public String example() {
    return example;
  }

  /** The day, when the text is one. */
  public Optional<LocalDate> read(String text) {
    Matcher iso = ISO.matcher(text);
    if (iso.matches()) {
      return day(iso.group(1), iso.group(2), iso.group(3));
    }
    Matcher digits = DIGITS.matcher(text);
    if (digits.matches()) {
      boolean dayFirst = this != MONTH_FIRST;
      return day(digits.group(3), digits.group(dayFirst ? 2 : 1), digits.group(dayFirst ? 1 : 2));
    }
    for (DateTimeFormatter format : SPELLED) {
      try {
        return Optional.of(LocalDate.parse(text, format)).filter(DayOrder::isSensible);
      } catch (DateTimeParseException other) {
        // another way of spelling may fit
      }
    }
    return Optional.empty();
  }

  private static Optional<LocalDate> day(String year, String month, String day) {
    try {
      LocalDate read =
          LocalDate.of(Integer.parseInt(year), Integer.parseInt(month), Integer.parseInt(day));
      return Optional.of(read).filter(DayOrder::isSensible);
    } catch (DateTimeException noSuchDay) {
      return Optional.empty();
    }
  }

  private static boolean isSensible(LocalDate day) {
    return day.getYear() >= 1 && day.getYear() <= 9999;
  }

  /** The order that a language writes days in, by the pattern of the Unicode CLDR. */
  public static DayOrder of(Locale language) {
    String pattern =
        DateTimeFormatterBuilder.getLocalizedDateTimePattern(
            FormatStyle.SHORT, null, IsoChronology.INSTANCE, language);
    int day = pattern.indexOf('d');
    return pattern.indexOf('y') < day
        ? YEAR_FIRST
        : pattern.indexOf('M') < day ? MONTH_FIRST : DAY_FIRST;
  }

  /**
   * The order that all of these days can be read in: a second number over 12 is a day. Day first
   * when nothing tells (most of the world; the Unicode CLDR's short date patterns).
   */
  public static DayOrder guess(Iterable<String> samples) {
    for (String sample : samples) {
      Matcher digits = DIGITS.matcher(sample.strip());
      if (digits.matches() && Integer.parseInt(digits.group(2)) > 12) {
        return MONTH_FIRST;
      }
    }
    return DAY_FIRST;
  }
}
