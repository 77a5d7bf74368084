package app.jemble.core.record;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.Year;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * A day as people write it: "6 Dec", "6.12.", "tomorrow", "in 3 weeks", "Fri", "Friday week", "end
 * of the month". A day without its year is the nearest in the way that is leant to; a day of the
 * week alone is never today, since today has a word of its own. The words are common practice.
 */
public final class TypedDay {

  /** Which of several days is meant when the year, the month or the week is not written. */
  public enum Lean {
    AHEAD,
    BACK
  }

  private static final int LONGEST = 60;
  private static final int LONGEST_SPAN = 36_500;

  private static final Pattern SPAN =
      Pattern.compile("(in )?(\\d{1,5}|an?) (day|week|fortnight|month|year)s?( ago)?");
  private static final Pattern WEEKDAY =
      Pattern.compile("(?:on )?(next |last |this |coming )?(\\p{L}{2,9})\\.?( week)?");
  private static final Pattern EDGE =
      Pattern.compile("(start|beginning|end) of (?:the |this )?(next |last )?(week|month|year)");
  private static final Pattern DAY_MONTH =
      Pattern.compile(
          "(\\d{1,2})(?:st|nd|rd|th|\\.)?(?: of)? ?(\\p{L}{3,9})\\.?(?:,? ?(\\d{4}|’?'?\\d{2}))?");
  private static final Pattern MONTH_DAY =
      Pattern.compile("(\\p{L}{3,9})\\.? (\\d{1,2})(?:st|nd|rd|th)?(?:,? (\\d{4}))?");
  private static final Pattern DIGITS =
      Pattern.compile("(\\d{1,2})([./-])(\\d{1,2})(?:\\2(\\d{4}|\\d{2})?)?");
  private static final Pattern DAY_ALONE =
      Pattern.compile("(?:the )?(\\d{1,2})(?:st|nd|rd|th|\\.)");
  private static final Pattern WEEKDAY_BEFORE = Pattern.compile("\\p{L}{2,9}\\.?,? (?=.*\\d)");

  private final LocalDate today;
  private final DayStyle style;
  private final Lean lean;

  private TypedDay(LocalDate today, DayStyle style, Lean lean) {
    this.today = today;
    this.style = style;
    this.lean = lean;
  }

  /**
   * The day that was written; empty when it cannot be told.
   *
   * @param today the day on which it is written
   */
  public static Optional<LocalDate> read(String text, LocalDate today, DayStyle style, Lean lean) {
    String words = Words.tidy(text).toLowerCase(Locale.ROOT);
    if (words.isEmpty() || words.length() > LONGEST) {
      return Optional.empty();
    }
    try {
      return new TypedDay(today, style, lean).day(words).filter(TypedDay::isSensible);
    } catch (DateTimeException noSuchDay) {
      return Optional.empty();
    }
  }

  private static boolean isSensible(LocalDate day) {
    return day.getYear() >= 1 && day.getYear() <= 9999;
  }

  private Optional<LocalDate> day(String words) {
    return named(words)
        .or(() -> span(words))
        .or(() -> edge(words))
        .or(() -> weekday(words))
        .or(() -> written(words))
        .or(() -> afterWeekday(words));
  }

  private Optional<LocalDate> named(String words) {
    return switch (words) {
      case "today" -> Optional.of(today);
      case "tomorrow", "tmrw" -> Optional.of(today.plusDays(1));
      case "yesterday" -> Optional.of(today.minusDays(1));
      case "day after tomorrow", "the day after tomorrow" -> Optional.of(today.plusDays(2));
      case "day before yesterday", "the day before yesterday" -> Optional.of(today.minusDays(2));
      case "next week" -> Optional.of(today.plusWeeks(1));
      case "last week" -> Optional.of(today.minusWeeks(1));
      case "next month" -> Optional.of(today.plusMonths(1));
      case "last month" -> Optional.of(today.minusMonths(1));
      case "next year" -> Optional.of(today.plusYears(1));
      case "last year" -> Optional.of(today.minusYears(1));
      default -> Optional.empty();
    };
  }

  /** "in 3 weeks", "3 weeks", "2 days ago": "3 weeks" alone leans. */
  private Optional<LocalDate> span(String words) {
    Matcher found = SPAN.matcher(words);
    if (!found.matches() || (found.group(1) != null && found.group(4) != null)) {
      return Optional.empty();
    }
    String number = found.group(2);
    int count = number.startsWith("a") ? 1 : Integer.parseInt(number);
    if (count > LONGEST_SPAN) {
      return Optional.empty();
    }
    boolean back = found.group(4) != null || (found.group(1) == null && lean == Lean.BACK);
    int steps = back ? -count : count;
    return Optional.of(
        switch (found.group(3)) {
          case "day" -> today.plusDays(steps);
          case "week" -> today.plusWeeks(steps);
          case "fortnight" -> today.plusWeeks(2L * steps);
          case "month" -> today.plusMonths(steps);
          default -> today.plusYears(steps);
        });
  }

  private Optional<LocalDate> edge(String words) {
    Matcher found = EDGE.matcher(words);
    if (!found.matches()) {
      return Optional.empty();
    }
    int away = found.group(2) == null ? 0 : found.group(2).startsWith("next") ? 1 : -1;
    boolean end = found.group(1).equals("end");
    return Optional.of(
        switch (found.group(3)) {
          case "week" -> {
            LocalDate first =
                today.plusWeeks(away).with(TemporalAdjusters.previousOrSame(style.weekStart()));
            yield end ? first.plusDays(6) : first;
          }
          case "month" -> {
            LocalDate in = today.plusMonths(away);
            yield in.withDayOfMonth(end ? in.lengthOfMonth() : 1);
          }
          default -> {
            LocalDate in = today.plusYears(away);
            yield in.withDayOfYear(end ? in.lengthOfYear() : 1);
          }
        });
  }

  /** "Fri", "next Friday" (of next week), "last Fri", "Friday week" (a week after the next one). */
  private Optional<LocalDate> weekday(String words) {
    Matcher found = WEEKDAY.matcher(words);
    Optional<DayOfWeek> named =
        found.matches() ? dayOfWeek(found.group(2)) : Optional.<DayOfWeek>empty();
    if (named.isEmpty()) {
      return Optional.empty();
    }
    DayOfWeek day = named.get();
    String which = found.group(1) == null ? "" : found.group(1).strip();
    LocalDate next = today.with(TemporalAdjusters.next(day));
    LocalDate before = today.with(TemporalAdjusters.previous(day));
    if (found.group(3) != null) {
      return which.isEmpty() ? Optional.of(next.plusWeeks(1)) : Optional.empty();
    }
    return Optional.of(
        switch (which) {
          case "next" ->
              today
                  .with(TemporalAdjusters.next(style.weekStart()))
                  .with(TemporalAdjusters.nextOrSame(day));
          case "last" -> before;
          case "this" ->
              today
                  .with(TemporalAdjusters.previousOrSame(style.weekStart()))
                  .with(TemporalAdjusters.nextOrSame(day));
          case "coming" -> next;
          default -> lean == Lean.AHEAD ? next : before;
        });
  }

  private Optional<LocalDate> written(String words) {
    return style
        .order()
        .read(words)
        .or(() -> spelled(DAY_MONTH.matcher(words), 2, 1))
        .or(() -> spelled(MONTH_DAY.matcher(words), 1, 2))
        .or(() -> digits(words))
        .or(() -> alone(words));
  }

  private Optional<LocalDate> spelled(Matcher found, int month, int day) {
    return found.matches()
        ? month(found.group(month))
            .flatMap(m -> inYear(found.group(3), m.getValue(), number(found.group(day))))
        : Optional.empty();
  }

  /** A point between them is written where the day comes first, whatever the house's order. */
  private Optional<LocalDate> digits(String words) {
    Matcher found = DIGITS.matcher(words);
    if (!found.matches()) {
      return Optional.empty();
    }
    boolean monthFirst = style.order() != DayOrder.DAY_FIRST && !found.group(2).equals(".");
    int first = number(found.group(1));
    int second = number(found.group(3));
    return inYear(found.group(4), monthFirst ? first : second, monthFirst ? second : first);
  }

  private Optional<LocalDate> alone(String words) {
    Matcher found = DAY_ALONE.matcher(words);
    return found.matches() ? inMonth(number(found.group(1))) : Optional.empty();
  }

  /** "Sun 6 Dec": the day of the week beside the day is only read when both agree. */
  private Optional<LocalDate> afterWeekday(String words) {
    Matcher before = WEEKDAY_BEFORE.matcher(words);
    if (!before.lookingAt()) {
      return Optional.empty();
    }
    String name = before.group().replaceAll("[.,\\s]", "");
    return dayOfWeek(name)
        .flatMap(
            d -> written(words.substring(before.end())).filter(day -> day.getDayOfWeek() == d));
  }

  private Optional<LocalDate> inYear(String year, int month, int day) {
    if (year != null) {
      String digits = year.replaceAll("\\D", "");
      int read = number(digits);
      return Optional.of(LocalDate.of(digits.length() == 2 ? 2000 + read : read, month, day));
    }
    int step = lean == Lean.AHEAD ? 1 : -1;
    // Eight years hold a 29 February, also around a century without one.
    return IntStream.rangeClosed(0, 8)
        .map(away -> today.getYear() + step * away)
        .filter(y -> day <= Month.of(month).length(Year.isLeap(y)))
        .mapToObj(y -> LocalDate.of(y, month, day))
        .filter(this::isInTheWayLeantTo)
        .findFirst();
  }

  private Optional<LocalDate> inMonth(int day) {
    int step = lean == Lean.AHEAD ? 1 : -1;
    return IntStream.rangeClosed(0, 2)
        .mapToObj(away -> today.withDayOfMonth(1).plusMonths((long) step * away))
        .filter(m -> day >= 1 && day <= m.lengthOfMonth())
        .map(m -> m.withDayOfMonth(day))
        .filter(this::isInTheWayLeantTo)
        .findFirst();
  }

  private boolean isInTheWayLeantTo(LocalDate day) {
    return lean == Lean.AHEAD ? !day.isBefore(today) : !day.isAfter(today);
  }

  private static int number(String digits) {
    return Integer.parseInt(digits);
  }

  /** A day of the week by its name or the first letters of it, at least two. */
  public static Optional<DayOfWeek> dayOfWeek(String name) {
    return named(DayOfWeek.values(), name, 2);
  }

  private static Optional<Month> month(String name) {
    return named(Month.values(), name, 3);
  }

  /** The one that begins with these letters; at least so many of them. */
  private static <E extends Enum<E>> Optional<E> named(E[] all, String letters, int least) {
    String wanted = letters.toUpperCase(Locale.ROOT);
    if (wanted.equals("SEPT")) {
      wanted = "SEP";
    }
    E found = null;
    for (E one : all) {
      if (wanted.length() >= least && one.name().startsWith(wanted)) {
        if (found != null) {
          return Optional.empty();
        }
        found = one;
      }
    }
    return Optional.ofNullable(found);
  }
}
