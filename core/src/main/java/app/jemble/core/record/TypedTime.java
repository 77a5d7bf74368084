package app.jemble.core.record;

import java.time.LocalTime;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A time of day as people write it: "9", "9:30", "9.30", "0930", "9am", "half past 9", "noon". An
 * hour without "am" or "pm" is on the clock of twenty-four hours.
 */
public final class TypedTime {

  private static final Pattern DIGITS =
      Pattern.compile(
          "(?:at )?(\\d{1,2})(?:[:.h](\\d{2}))? ?(h|am|pm|a\\.m\\.|p\\.m\\.|o['’]clock)?");
  private static final Pattern FOUR = Pattern.compile("(?:at )?([01]\\d|2[0-3])([0-5]\\d)");
  private static final Pattern HALF =
      Pattern.compile("(?:at )?(half|quarter) (past|to) (\\d{1,2}) ?(am|pm)?");
  private static final int LONGEST = 30;

  private TypedTime() {}

  /** The time that was written, in whole minutes; empty when it cannot be told. */
  public static Optional<LocalTime> read(String text) {
    String words = Words.tidy(text).toLowerCase(Locale.ROOT);
    if (words.length() > LONGEST) {
      return Optional.empty();
    }
    switch (words) {
      case "noon", "midday", "at noon":
        return Optional.of(LocalTime.NOON);
      case "midnight", "at midnight", "24:00", "24":
        return Optional.of(LocalTime.MIDNIGHT);
      default:
        break;
    }
    Matcher four = FOUR.matcher(words);
    if (four.matches()) {
      return at(number(four.group(1)), number(four.group(2)), null);
    }
    Matcher digits = DIGITS.matcher(words);
    if (digits.matches()) {
      int minutes = digits.group(2) == null ? 0 : number(digits.group(2));
      return at(number(digits.group(1)), minutes, digits.group(3));
    }
    Matcher half = HALF.matcher(words);
    return half.matches() ? half(half) : Optional.empty();
  }

  private static Optional<LocalTime> half(Matcher half) {
    int minutes = half.group(1).equals("half") ? 30 : 15;
    boolean past = half.group(2).equals("past");
    if (!past && minutes == 30) {
      return Optional.empty();
    }
    return at(number(half.group(3)), 0, half.group(4))
        .map(hour -> past ? hour.plusMinutes(minutes) : hour.minusMinutes(minutes));
  }

  private static Optional<LocalTime> at(int hour, int minute, String half) {
    boolean twelve = half != null && (half.startsWith("a") || half.startsWith("p"));
    if (minute > 59 || (twelve ? hour < 1 || hour > 12 : hour > 23)) {
      return Optional.empty();
    }
    int ofDay = twelve ? hour % 12 + (half.startsWith("p") ? 12 : 0) : hour;
    return Optional.of(LocalTime.of(ofDay, minute));
  }

  private static int number(String digits) {
    return Integer.parseInt(digits);
  }
}
