package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.PersonId;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Reads an operand from the words that a person or a stored filter gave. */
final class OperandReader {

  private static final int LONGEST_NUMBER = 40;

  private final Field field;

  OperandReader(Field field) {
    this.field = field;
  }

  /**
   * @throws FilterException when they are not what the operator takes; the message says what would
   *     be
   */
  Operand read(Operator operator, List<String> given) {
    return switch (operator.takes()) {
      case NOTHING -> new Operand.None();
      case ONE -> values(only(given, 1));
      case TWO -> values(only(given, 2));
      case SOME -> words(given);
      case DAYS -> new Operand.Count(whole(only(given, 1).get(0), 0, 366));
      case SPAN -> span(given);
      case MONTH -> month(only(given, 1).get(0).strip().toLowerCase(Locale.ROOT));
      case PERIOD -> new Operand.During(period(only(given, 1).get(0)));
      case STEPS -> steps(only(given, 2));
    };
  }

  private List<String> only(List<String> given, int count) {
    if (given.size() != count || given.stream().anyMatch(String::isBlank)) {
      throw wrong("needs " + (count == 1 ? "a value" : count + " values") + " to compare with.");
    }
    return given;
  }

  private Operand words(List<String> given) {
    List<String> words = given.stream().map(String::strip).filter(w -> !w.isEmpty()).toList();
    if (words.isEmpty()) {
      throw wrong("needs at least one choice.");
    }
    return new Operand.Words(words);
  }

  private Operand values(List<String> given) {
    String first = given.get(0);
    String last = given.get(given.size() - 1);
    return switch (field.type()) {
      case NUMBER, MONEY -> new Operand.Numbers(number(first), number(last));
      case DAY, INSTANT -> new Operand.Days(day(first), day(last));
      default -> new Operand.Text(first.strip());
    };
  }

  private Operand span(List<String> given) {
    boolean unitGiven = given.size() == 2;
    List<String> all = only(given, unitGiven ? 2 : 1);
    return new Operand.Span(
        whole(all.get(0), 0, 36_500),
        unitGiven ? named(Operand.Unit.values(), all.get(1)) : Operand.Unit.DAYS);
  }

  private Period period(String text) {
    return named(Period.values(), text);
  }

  private <E extends Enum<E>> E named(E[] all, String text) {
    String wanted = text.strip().toUpperCase(Locale.ROOT).replace(' ', '_');
    for (E one : all) {
      if (one.name().equals(wanted)) {
        return one;
      }
    }
    String known =
        Arrays.stream(all)
            .map(e -> e.name().toLowerCase(Locale.ROOT).replace('_', ' '))
            .collect(Collectors.joining(", "));
    throw wrong("takes one of " + known + ", not “" + text + "”.");
  }

  private Operand month(String text) {
    return switch (text) {
      case "last" -> new Operand.MonthFromNow(-1);
      case "this" -> new Operand.MonthFromNow(0);
      case "next" -> new Operand.MonthFromNow(1);
      default -> new Operand.Month(whole(text, 1, 12));
    };
  }

  private Operand steps(List<String> given) {
    String who = given.get(0).strip();
    int steps = whole(given.get(1), 1, 9);
    if (who.equals("me")) {
      return new Operand.Steps(null, steps);
    }
    try {
      return new Operand.Steps(PersonId.of(who), steps);
    } catch (NumberFormatException notAPerson) {
      throw wrong("takes “me” or a person on record, not “" + who + "”.");
    }
  }

  private BigDecimal number(String text) {
    String digits = text.strip();
    try {
      BigDecimal number = new BigDecimal(digits);
      if (digits.length() <= LONGEST_NUMBER && Math.abs((long) number.scale()) <= LONGEST_NUMBER) {
        return number;
      }
    } catch (NumberFormatException notANumber) {
      // answered below, as for a number beyond all measure
    }
    throw wrong("takes a number such as 42.50, not “" + text + "”.");
  }

  private LocalDate day(String text) {
    try {
      LocalDate day = LocalDate.parse(text.strip());
      if (day.getYear() >= 1 && day.getYear() <= 9999) {
        return day;
      }
    } catch (DateTimeParseException notADay) {
      // answered below, as for a year out of range
    }
    throw wrong("takes a day such as 2025-05-01, not “" + text + "”.");
  }

  private int whole(String text, int least, int most) {
    try {
      int number = Integer.parseInt(text.strip());
      if (number >= least && number <= most) {
        return number;
      }
    } catch (NumberFormatException notANumber) {
      // answered below, as for a number out of range
    }
    throw wrong("takes a whole number from " + least + " to " + most + ", not “" + text + "”.");
  }

  private FilterException wrong(String rest) {
    return new FilterException(field.name(), field.label() + " " + rest);
  }
}
