package app.jemble.core.record;

import java.time.DayOfWeek;
import java.time.temporal.WeekFields;
import java.util.Locale;

/**
 * How days are written and weeks counted where somebody is.
 *
 * @param order whether the day or the month comes first in digits
 * @param weekStart the first day of a week
 */
public record DayStyle(DayOrder order, DayOfWeek weekStart) {

  /** With weeks that begin on Monday (ISO 8601). */
  public static DayStyle of(DayOrder order) {
    return new DayStyle(order, DayOfWeek.MONDAY);
  }

  /**
   * The first day of a week in a country (CLDR week data, as the JDK has it).
   *
   * @param region ISO 3166-1 alpha-2
   */
  public static DayOfWeek weekStartIn(String region) {
    return WeekFields.of(new Locale.Builder().setRegion(region).build()).getFirstDayOfWeek();
  }
}
