package app.jemble.core.filter;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Set;
import java.util.TreeSet;

/** Days that come round each year. 29 February falls on 28 February in a common year. */
public final class YearDays {

  private static final MonthDay LEAP_DAY = MonthDay.of(2, 29);

  private YearDays() {}

  /**
   * The days of the year that fall on today or one of the days after it.
   *
   * @param days how many days after today still count
   */
  public static Set<MonthDay> within(LocalDate today, int days) {
    Set<MonthDay> all = new TreeSet<>();
    for (int i = 0; i <= days; i++) {
      LocalDate day = today.plusDays(i);
      all.add(MonthDay.from(day));
      if (!day.isLeapYear() && day.getMonthValue() == 2 && day.getDayOfMonth() == 28) {
        all.add(LEAP_DAY);
      }
    }
    return all;
  }
}
