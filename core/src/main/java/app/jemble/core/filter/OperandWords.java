package app.jemble.core.filter;

import app.jemble.core.record.FieldType;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.DateTimeParseException;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Reads an operand out of a sentence, back to the texts that {@link Operand#read} takes. */
final class OperandWords {

  private static final Pattern NUMBER = Pattern.compile("-?\\d+(\\.\\d+)?");
  private static final Pattern DAY = Pattern.compile("\\d{1,2} [A-Z][a-z]+ \\d{4}");
  private static final Pattern KEY = Pattern.compile("\\[(?:[^]]++|]])*+]");
  private static final Pattern QUOTED = Pattern.compile("“(?:[^”]++|””)*+”");

  private final SentenceCursor at;

  OperandWords(SentenceCursor at) {
    this.at = at;
  }

  /** Null when no such operand stands here. */
  List<String> read(FieldType type, Operator.Takes takes) {
    return switch (takes) {
      case NOTHING -> List.of();
      case ONE -> one(type);
      case TWO -> two(type);
      case SOME -> some(type);
      case DAYS -> counted(List.of("days", "day"), false);
      case SPAN -> counted(List.of("days", "day", "weeks", "week", "months", "month"), true);
      case MONTH -> month();
      case PERIOD -> period();
      case STEPS -> steps();
    };
  }

  private List<String> one(FieldType type) {
    String value = value(type);
    return value == null ? null : List.of(value);
  }

  private List<String> two(FieldType type) {
    String from = value(type);
    if (from == null || !at.take(" and ")) {
      return null;
    }
    String to = value(type);
    return to == null ? null : List.of(from, to);
  }

  private String value(FieldType type) {
    return switch (type) {
      case NUMBER, MONEY -> at.take(NUMBER);
      case DAY, INSTANT -> day();
      default -> quoted();
    };
  }

  private String day() {
    String day = at.take(DAY);
    try {
      return day == null ? null : LocalDate.parse(day, FilterSentence.DAY).toString();
    } catch (DateTimeParseException notADay) {
      return null;
    }
  }

  private String quoted() {
    String quoted = at.take(QUOTED);
    return quoted == null ? null : quoted.substring(1, quoted.length() - 1).replace("””", "”");
  }

  /** "Oar", "Oar or Sail", "Oar, Sail or Family". */
  private List<String> some(FieldType type) {
    List<String> words = new ArrayList<>();
    String word = word(type);
    if (word == null) {
      return null;
    }
    words.add(word);
    while (at.take(", ")) {
      words.add(word(type));
    }
    int before = at.position();
    String last = at.take(" or ") ? word(type) : null;
    // What follows an "or" may be the next condition as well; a word ends where a condition may.
    if (last != null && at.isBetweenWords()) {
      words.add(last);
    } else {
      at.moveTo(before);
    }
    return words.contains(null) ? null : words;
  }

  private String word(FieldType type) {
    if (type == FieldType.REFERENCE) {
      if (quoted() != null) {
        at.take(" ");
      }
      String key = at.take(KEY);
      return key == null ? null : key.substring(1, key.length() - 1).replace("]]", "]");
    }
    String quoted = quoted();
    if (quoted != null) {
      return quoted;
    }
    String bare = at.take(FilterSentence.BARE_WORD);
    return bare == null || FilterSentence.JOINTS.contains(bare) ? null : bare;
  }

  private List<String> counted(List<String> units, boolean withUnit) {
    String number = at.take(NUMBER);
    if (number == null || !at.take(" ")) {
      return null;
    }
    for (String unit : units) {
      if (at.take(unit)) {
        String many = unit.endsWith("s") ? unit : unit + "s";
        return withUnit ? List.of(number, many) : List.of(number);
      }
    }
    return null;
  }

  private List<String> month() {
    for (String near : List.of("last", "this", "next")) {
      if (at.take(near + " month")) {
        return List.of(near);
      }
    }
    for (Month month : Month.values()) {
      if (at.take(month.getDisplayName(TextStyle.FULL, Locale.ENGLISH))) {
        return List.of(Integer.toString(month.getValue()));
      }
    }
    return null;
  }

  private List<String> period() {
    for (Period period : Period.values()) {
      if (at.take(period.words())) {
        return List.of(period.words());
      }
    }
    return null;
  }

  private List<String> steps() {
    String who = at.take("me") ? "me" : at.take("person ") ? at.take(NUMBER) : null;
    if (who == null) {
      return null;
    }
    if (at.take(" directly")) {
      return List.of(who, "1");
    }
    String steps = at.take(" within ") ? at.take(NUMBER) : null;
    return steps != null && at.take(" steps") ? List.of(who, steps) : null;
  }
}
