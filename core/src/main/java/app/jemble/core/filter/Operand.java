package app.jemble.core.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.PersonId;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;

/** What a condition compares with, read and checked. {@link OperandReader} makes them of texts. */
public sealed interface Operand {

  /** After an operator that takes nothing. */
  record None() implements Operand {}

  record Text(String text) implements Operand {}

  /** Words, choices, or the keys of a reference. */
  record Words(List<String> words) implements Operand {
    public Words {
      words = List.copyOf(words);
    }
  }

  /** One number, or both ends of a range; 42.00 and 42 are one. */
  record Numbers(BigDecimal from, BigDecimal to) implements Operand {
    public Numbers {
      from = plain(from);
      to = plain(to);
    }

    private static BigDecimal plain(BigDecimal number) {
      BigDecimal shortest = number.stripTrailingZeros();
      return shortest.scale() < 0 ? shortest.setScale(0) : shortest;
    }
  }

  /** One day, or both ends of a range. */
  record Days(LocalDate from, LocalDate to) implements Operand {}

  /** So many days, weeks or months. */
  record Span(int number, Unit unit) implements Operand {
    LocalDate before(LocalDate day) {
      return day.minus(number, unit.chrono);
    }

    LocalDate after(LocalDate day) {
      return day.plus(number, unit.chrono);
    }
  }

  /** What a span counts. */
  enum Unit {
    DAYS(ChronoUnit.DAYS),
    WEEKS(ChronoUnit.WEEKS),
    MONTHS(ChronoUnit.MONTHS);

    private final ChronoUnit chrono;

    Unit(ChronoUnit chrono) {
      this.chrono = chrono;
    }

    /** As it stands after a number: "day", "weeks". */
    String words(int number) {
      String many = name().toLowerCase(Locale.ROOT);
      return number == 1 ? many.substring(0, many.length() - 1) : many;
    }
  }

  /** A whole number of days. */
  record Count(int days) implements Operand {}

  /** A month of the year, 1 to 12. */
  record Month(int number) implements Operand {}

  /**
   * A month named from today's.
   *
   * @param months -1 last, 0 this, 1 next
   */
  record MonthFromNow(int months) implements Operand {
    int number(LocalDate today) {
      return today.withDayOfMonth(1).plusMonths(months).getMonthValue();
    }
  }

  /** Within a period named from today. */
  record During(Period period) implements Operand {}

  /**
   * Introduced by somebody, directly or through others.
   *
   * @param person the id of a person, or null for the one who asks
   * @param steps 1 for directly, to 9
   */
  record Steps(PersonId person, int steps) implements Operand {}

  /** The month of the year that a month operand names. */
  static int month(Operand operand, LocalDate today) {
    return operand instanceof Month month ? month.number() : ((MonthFromNow) operand).number(today);
  }

  /** The texts that {@link #read} makes it of, for an operator that takes so many. */
  default List<String> texts(Operator.Takes takes) {
    if (this instanceof Text t) {
      return List.of(t.text());
    }
    if (this instanceof Words w) {
      return w.words();
    }
    if (this instanceof Numbers n) {
      return ends(takes, n.from().toPlainString(), n.to().toPlainString());
    }
    if (this instanceof Days d) {
      return ends(takes, d.from().toString(), d.to().toString());
    }
    if (this instanceof Span s) {
      return List.of(Integer.toString(s.number()), s.unit().words(2));
    }
    if (this instanceof Count c) {
      return List.of(Integer.toString(c.days()));
    }
    if (this instanceof Month m) {
      return List.of(Integer.toString(m.number()));
    }
    if (this instanceof MonthFromNow m) {
      return List.of(m.months() == 0 ? "this" : m.months() < 0 ? "last" : "next");
    }
    if (this instanceof During d) {
      return List.of(d.period().words());
    }
    if (this instanceof Steps s) {
      return List.of(
          s.person() == null ? "me" : s.person().toString(), Integer.toString(s.steps()));
    }
    return List.of();
  }

  private static List<String> ends(Operator.Takes takes, String from, String to) {
    return takes == Operator.Takes.TWO ? List.of(from, to) : List.of(from);
  }

  /** See {@link OperandReader#read}. */
  static Operand read(Field field, Operator operator, List<String> given) {
    return new OperandReader(field).read(operator, given);
  }
}
