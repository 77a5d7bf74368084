package app.jemble.core.response;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.time.temporal.TemporalAdjusters;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The last day on which somebody is away, out of an automatic reply. Such replies are prose (RFC
 * 3834 gives them no field for it); the words are those of common practice in English, German,
 * French, Spanish and Dutch. A day that is not plain is not guessed.
 */
public final class AwayUntil {

  /** Nobody's reply is read further than this. */
  private static final int MOST_CHARACTERS = 4000;

  /** Whoever is away for longer is not waited for. */
  private static final int LONGEST_DAYS = 366;

  private static final List<Locale> LANGUAGES =
      List.of(
          Locale.ENGLISH,
          Locale.GERMAN,
          Locale.FRENCH,
          Locale.forLanguageTag("es"),
          Locale.forLanguageTag("nl"));

  private static final Map<String, Month> MONTHS = months();

  private static final String LAST_DAY =
      "until|till|through|up to and including|bis(?: einschließlich| einschliesslich)?(?: zum)?"
          + "|jusqu['’]au|hasta el|tot en met|t/m|tot";

  private static final String FIRST_DAY_BACK =
      "(?:be |am |i['’]m )?back(?: in the office)?(?: on)?|return(?:ing)?(?: to the office)?(?: on)?"
          + "|wieder(?: da| erreichbar| im büro)?(?: am| ab(?: dem)?)|ab dem|de retour le"
          + "|de vuelta el|terug op";

  private static final String DAY =
      "(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day,? (?:the )?|\\p{L}{4,10},? (?:den |dem |le |el )?)?"
          + "(?:(?<iso>\\d{4}-\\d{2}-\\d{2})"
          + "|(?<d1>\\d{1,2})(?:st|nd|rd|th|\\.)? (?:of |de )?(?<m1>\\p{L}{3,10})\\.?,?(?: de)?(?: (?<y1>\\d{4}))?"
          + "|(?<m2>\\p{L}{3,10})\\.? (?<d2>\\d{1,2})(?:st|nd|rd|th)?(?:,? (?<y2>\\d{4}))?"
          + "|(?<d3>\\d{1,2})[./](?<m3>\\d{1,2})[./](?<y3>\\d{4})?)";

  /** A day of the week alone, in the same languages, and what it is. */
  private static final Map<String, DayOfWeek> WEEKDAYS = weekdays();

  private static final Pattern SAID_WEEKDAY =
      Pattern.compile(
          "\\b(?:(?<last>"
              + LAST_DAY
              + ")|(?<back>"
              + FIRST_DAY_BACK
              + "))"
              + " (?:the |next |coming |nächsten |kommenden |prochain |próximo )?(?<day>\\p{L}{5,10})\\b(?! week)",
          Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

  private static final Pattern SAID =
      Pattern.compile(
          "\\b(?:(?<last>" + LAST_DAY + ")|(?<back>" + FIRST_DAY_BACK + ")) (?:the )?" + DAY,
          Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

  private AwayUntil() {}

  /**
   * The last day away, which may be the day of the reply itself.
   *
   * @param received the day on which the reply was written
   */
  public static Optional<LocalDate> in(String text, LocalDate received) {
    String words =
        text.substring(0, Math.min(text.length(), MOST_CHARACTERS)).replaceAll("\\s+", " ");
    Matcher said = SAID.matcher(words);
    while (said.find()) {
      Optional<LocalDate> day = day(said, received);
      boolean back = said.group("back") != null;
      Optional<LocalDate> last = back ? day.map(d -> d.minusDays(1)) : day;
      if (last.isPresent()
          && !last.get().isBefore(received)
          && !last.get().isAfter(received.plusDays(LONGEST_DAYS))) {
        return last;
      }
    }
    return byWeekday(words, received);
  }

  /** "Until Monday": the next one after the day on which it was written. */
  private static Optional<LocalDate> byWeekday(String words, LocalDate written) {
    Matcher said = SAID_WEEKDAY.matcher(words);
    while (said.find()) {
      DayOfWeek weekday = WEEKDAYS.get(said.group("day").toLowerCase(Locale.ROOT));
      if (weekday != null) {
        LocalDate day = written.with(TemporalAdjusters.next(weekday));
        return Optional.of(said.group("back") != null ? day.minusDays(1) : day);
      }
    }
    return Optional.empty();
  }

  private static Map<String, DayOfWeek> weekdays() {
    Map<String, DayOfWeek> weekdays = new HashMap<>();
    for (Locale locale : LANGUAGES) {
      for (DayOfWeek day : DayOfWeek.values()) {
        weekdays.put(day.getDisplayName(TextStyle.FULL, locale).toLowerCase(Locale.ROOT), day);
      }
    }
    return Map.copyOf(weekdays);
  }

  private static Optional<LocalDate> day(Matcher said, LocalDate received) {
    try {
      if (said.group("iso") != null) {
        return Optional.of(LocalDate.parse(said.group("iso")));
      }
      for (int form = 1; form <= 2; form++) {
        if (said.group("d" + form) != null) {
          Month month = MONTHS.get(said.group("m" + form).toLowerCase(Locale.ROOT));
          return month == null
              ? Optional.empty()
              : Optional.of(
                  day(said.group("d" + form), month.getValue(), said.group("y" + form), received));
        }
      }
      // Day first: a month first in figures alone is read only where it can be nothing else.
      int first = Integer.parseInt(said.group("d3"));
      int second = Integer.parseInt(said.group("m3"));
      boolean monthFirst = second > 12;
      return Optional.of(
          day(
              String.valueOf(monthFirst ? second : first),
              monthFirst ? first : second,
              said.group("y3"),
              received));
    } catch (DateTimeException noSuchDay) {
      return Optional.empty();
    }
  }

  /** Without a year: the next such day. */
  private static LocalDate day(String day, int month, String year, LocalDate received) {
    int d = Integer.parseInt(day);
    if (year != null) {
      return LocalDate.of(Integer.parseInt(year), month, d);
    }
    LocalDate thisYear = LocalDate.of(received.getYear(), month, d);
    return thisYear.isBefore(received) ? thisYear.plusYears(1) : thisYear;
  }

  private static Map<String, Month> months() {
    Map<String, Month> months = new HashMap<>();
    for (Locale locale : LANGUAGES) {
      for (Month month : Month.values()) {
        for (TextStyle style : List.of(TextStyle.FULL, TextStyle.SHORT)) {
          String name = month.getDisplayName(style, locale).toLowerCase(Locale.ROOT);
          months.putIfAbsent(name.replace(".", ""), month);
        }
      }
    }
    months.put("sept", Month.SEPTEMBER);
    return Map.copyOf(months);
  }
}
