package app.jemble.core.merge;

import java.time.chrono.IsoChronology;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.FormatStyle;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Dates as a language writes them (CLDR, as shipped with the JDK). A way of writing is made once:
 * reading its pattern costs more than writing a date by it.
 */
final class ShownDates {

  private record Way(String pattern, Locale locale) {}

  private static final Map<Way, DateTimeFormatter> PATTERNS = new ConcurrentHashMap<>();
  private static final Map<Locale, DateTimeFormatter> LONG = new ConcurrentHashMap<>();

  private ShownDates() {}

  /** By a pattern that is known to be one. */
  static DateTimeFormatter pattern(String pattern, Locale locale) {
    return PATTERNS.computeIfAbsent(
        new Way(pattern, locale), way -> DateTimeFormatter.ofPattern(pattern, locale));
  }

  /** "4 April 2026". */
  static DateTimeFormatter inFull(Locale locale) {
    return LONG.computeIfAbsent(
        locale,
        l ->
            new DateTimeFormatterBuilder()
                .appendLocalized(FormatStyle.LONG, null)
                .toFormatter(l)
                .withChronology(IsoChronology.INSTANCE));
  }
}
