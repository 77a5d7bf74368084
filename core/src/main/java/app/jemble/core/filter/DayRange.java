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
   * next 7 days" is today and the six days after; "more than 7 days ago" ends 8 days ago.
   */
  public static DayRange of(Operator operator, Operand operand, LocalDate today) {
    if (operand instanceof Operand.Days d) {
      return switch (operator) {
        case BEFORE -> new DayRange(null, d.from().minusDays(1));
        case AFTER -> new DayRange(d.from().plusDays(1), null);
        case ON, BETWEEN -> new DayRange(d.from(), d.to());
        default -> throw new IllegalArgumentException(operator + " is not a range of days");
      };
    }
    int days = ((Operand.Count) operand).number();
    return switch (operator) {
      case IN_LAST_DAYS -> new DayRange(today.minusDays(Math.max(0, days - 1)), today);
      case IN_NEXT_DAYS -> new DayRange(today, today.plusDays(Math.max(0, days - 1)));
      case DAYS_AGO -> new DayRange(null, today.minusDays(days + 1L));
      default -> throw new IllegalArgumentException(operator + " is not a range of days");
    };
  }

  public boolean holds(LocalDate day) {
    return (from == null || !day.isBefore(from)) && (to == null || !day.isAfter(to));
  }
}
