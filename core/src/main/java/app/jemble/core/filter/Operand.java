package app.jemble.core.filter;

import app.jemble.core.record.Field;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;

/** What a condition compares with, read and checked. */
public sealed interface Operand {

  /** After an operator that takes nothing. */
  record None() implements Operand {}

  record Text(String text) implements Operand {}

  record Words(List<String> words) implements Operand {
    public Words {
      words = List.copyOf(words);
    }
  }

  /** One number, or both ends of a range. */
  record Numbers(BigDecimal from, BigDecimal to) implements Operand {}

  /** One day, or both ends of a range. */
  record Days(LocalDate from, LocalDate to) implements Operand {}

  /** A count of days, or a month of the year (1 to 12). */
  record Count(int number) implements Operand {}

  /**
   * Reads an operand from the words that a person or a stored filter gave.
   *
   * @throws FilterException when they are not what the operator takes; the message says what would
   *     be
   */
  static Operand read(Field field, Operator operator, List<String> given) {
    return switch (operator.takes()) {
      case NOTHING -> new None();
      case ONE -> readValues(field, only(field, given, 1));
      case TWO -> readValues(field, only(field, given, 2));
      case SOME -> readWords(field, given);
      case DAYS -> new Count(readWhole(field, only(field, given, 1).get(0), 0, 36_500));
      case MONTH -> new Count(readWhole(field, only(field, given, 1).get(0), 1, 12));
    };
  }

  private static List<String> only(Field field, List<String> given, int count) {
    if (given.size() != count || given.stream().anyMatch(String::isBlank)) {
      throw new FilterException(
          field.name(),
          field.label()
              + " needs "
              + (count == 1 ? "a value" : count + " values")
              + " to compare with.");
    }
    return given;
  }

  private static Operand readWords(Field field, List<String> given) {
    List<String> words = given.stream().filter(w -> !w.isBlank()).toList();
    if (words.isEmpty()) {
      throw new FilterException(field.name(), field.label() + " needs at least one choice.");
    }
    return new Words(words);
  }

  private static Operand readValues(Field field, List<String> given) {
    String first = given.get(0);
    String last = given.get(given.size() - 1);
    return switch (field.type()) {
      case NUMBER, MONEY -> new Numbers(readNumber(field, first), readNumber(field, last));
      case DAY, INSTANT -> new Days(readDay(field, first), readDay(field, last));
      default -> new Text(first.strip());
    };
  }

  private static BigDecimal readNumber(Field field, String text) {
    try {
      return new BigDecimal(text.strip());
    } catch (NumberFormatException notANumber) {
      throw new FilterException(
          field.name(), field.label() + " takes a number such as 42.50, not “" + text + "”.");
    }
  }

  private static LocalDate readDay(Field field, String text) {
    try {
      LocalDate day = LocalDate.parse(text.strip());
      if (day.getYear() >= 1 && day.getYear() <= 9999) {
        return day;
      }
    } catch (DateTimeParseException notADay) {
      // answered below, as for a year out of range
    }
    throw new FilterException(
        field.name(), field.label() + " takes a day such as 2025-05-01, not “" + text + "”.");
  }

  private static int readWhole(Field field, String text, int least, int most) {
    try {
      int number = Integer.parseInt(text.strip());
      if (number >= least && number <= most) {
        return number;
      }
    } catch (NumberFormatException notANumber) {
      // answered below, as for a number out of range
    }
    throw new FilterException(
        field.name(),
        field.label()
            + " takes a whole number from "
            + least
            + " to "
            + most
            + ", not “"
            + text
            + "”.");
  }
}
