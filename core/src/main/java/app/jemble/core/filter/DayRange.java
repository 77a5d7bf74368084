package app.jemble.core.filter;

import java.time.LocalDate;

/**
 * The days a date condition asks for; both ends count, and null leaves an end open.
 *
 * @param from first day, or null
 * @param to last day, or null
 */
public record DayRange(LocalDate from, LocalDate to) {

  /**
   * The range a date operator means. "In the last 7 days" is today and the six days before; "in the
   * next 7 days" is today and the six days after; "more than 7 days ago" ends 8 days ago. A month
   * back from a day that the earlier month lacks is its last day.
   */
  public static DayRange of(Operator operator, Operand operand, AsOf asOf) {
    LocalDate today = asOf.today();
    if (operand instanceof Operand.During during) {
      return during.period().from(today, asOf.weekStart());
    }
    if (operand instanceof Operand.Days d) {
      return switch (operator) {
        case BEFORE -> new DayRange(null, d.from().minusDays(1));
        case AFTER -> new DayRange(d.from().plusDays(1), null);
        case ON, BETWEEN -> new DayRange(d.from(), d.to());
        default -> throw new IllegalArgumentException(operator + " is not a range of days");
      };
    }
    Operand.Span span = (Operand.Span) operand;
    return switch (operator) {
      case IN_LAST -> new DayRange(earlier(today, span.before(today).plusDays(1)), today);
      case IN_NEXT -> new DayRange(today, later(today, span.after(today).minusDays(1)));
      case AGO -> new DayRange(null, span.before(today).minusDays(1));
      default -> throw new IllegalArgumentException(operator + " is not a range of days");
    };
  }

  /** A span of nothing still has today in it. */
  private static LocalDate earlier(LocalDate today, LocalDate day) {
    return day.isAfter(today) ? today : day;
  }

  private static LocalDate later(LocalDate today, LocalDate day) {
    return day.isBefore(today) ? today : day;
  }

  public boolean holds(LocalDate day) {
    return (from == null || !day.isBefore(from)) && (to == null || !day.isAfter(to));
  }
}
