package app.jemble.core.document;

import java.time.DateTimeException;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.temporal.TemporalAccessor;
import java.util.Locale;
import java.util.Optional;

/** A picture of a date or time (ISO/IEC 29500-1, 17.16.4.1). */
final class DatePicture {

  private DatePicture() {}

  /** Nothing when the picture asks more than the date has, such as hours of a day. */
  static Optional<String> apply(String picture, TemporalAccessor date, Locale language) {
    try {
      return Optional.of(formatter(picture, language).format(date));
    } catch (DateTimeException notInTheValue) {
      return Optional.empty();
    }
  }

  private static DateTimeFormatter formatter(String picture, Locale language) {
    DateTimeFormatterBuilder out = new DateTimeFormatterBuilder();
    int at = 0;
    while (at < picture.length()) {
      char c = picture.charAt(at);
      if (c == '\'') {
        int end = picture.indexOf('\'', at + 1);
        end = end < 0 ? picture.length() : end;
        out.appendLiteral(picture.substring(at + 1, end));
        at = end + 1;
      } else if (picture.regionMatches(true, at, "am/pm", 0, 5)) {
        out.appendPattern("a");
        at += 5;
      } else if ("dDMyYhHms".indexOf(c) >= 0) {
        int run = run(picture, at);
        out.appendPattern(pattern(c, run));
        at += run;
      } else {
        out.appendLiteral(c);
        at++;
      }
    }
    return out.toFormatter(language);
  }

  private static int run(String picture, int from) {
    int at = from;
    while (at < picture.length() && picture.charAt(at) == picture.charAt(from)) {
      at++;
    }
    return at - from;
  }

  private static String pattern(char letter, int run) {
    return switch (letter) {
      case 'd', 'D' -> run == 1 ? "d" : run == 2 ? "dd" : run == 3 ? "EEE" : "EEEE";
      case 'M' -> "M".repeat(Math.min(run, 4));
      case 'y', 'Y' -> run <= 2 ? "uu" : "uuuu";
      case 'h' -> run == 1 ? "h" : "hh";
      case 'H' -> run == 1 ? "H" : "HH";
      case 'm' -> run == 1 ? "m" : "mm";
      default -> run == 1 ? "s" : "ss";
    };
  }
}
