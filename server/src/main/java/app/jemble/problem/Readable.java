package app.jemble.problem;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoField;

/** What texts and days from outside may be. */
public final class Readable {

  public static final String YEARS = "a year lies between 1 and 9999";

  private static final Instant FIRST = Instant.parse("0001-01-01T00:00:00Z");
  private static final Instant LAST = Instant.parse("9999-12-31T23:59:59.999Z");

  private Readable() {}

  /** What is wrong with a text, for people; null when nothing is. */
  public static String wrong(String text) {
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '\0') {
        return "a text holds no NUL";
      }
      if (Character.isSurrogate(c)) {
        boolean pair =
            Character.isHighSurrogate(c)
                && i + 1 < text.length()
                && Character.isLowSurrogate(text.charAt(i + 1));
        if (!pair) {
          return "a text holds no half of a character";
        }
        i++;
      }
    }
    return null;
  }

  /** Whether a day or an instant is one that a calendar, and the database, has. */
  public static boolean isOfACalendar(Object time) {
    if (time instanceof Instant instant) {
      return !instant.isBefore(FIRST) && !instant.isAfter(LAST);
    }
    int year =
        time instanceof LocalDate day
            ? day.getYear()
            : ((LocalDateTime) time).get(ChronoField.YEAR);
    return year >= 1 && year <= 9999;
  }
}
