package app.jemble.core.followup;

import app.jemble.core.pace.WallClock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Set;

/**
 * The working days of a house: Monday to Friday (common practice) without its days off.
 *
 * @param house whose midnight a day begins at
 */
public record WorkingDays(Set<LocalDate> daysOff, ZoneId house) {

  /** So many days off in a row are taken for a calendar that is wrong. */
  private static final int MOST_OFF = 3660;

  public WorkingDays {
    daysOff = Set.copyOf(daysOff);
  }

  public boolean isWorking(LocalDate day) {
    return day.getDayOfWeek() != DayOfWeek.SATURDAY
        && day.getDayOfWeek() != DayOfWeek.SUNDAY
        && !daysOff.contains(day);
  }

  /**
   * The same time of day on the nth working day after an instant's own day, which does not count.
   *
   * @param days 1 or more
   * @throws IllegalStateException when ten years in a row are days off
   */
  public Instant after(Instant from, int days) {
    ZonedDateTime at = from.atZone(house);
    return WallClock.at(after(at.toLocalDate(), days).atTime(at.toLocalTime()), house);
  }

  /**
   * The nth working day after a day, which does not count.
   *
   * @param days 1 or more
   * @throws IllegalStateException when ten years in a row are days off
   */
  public LocalDate after(LocalDate from, int days) {
    LocalDate day = from;
    for (int remaining = days, off = 0; remaining > 0; ) {
      day = day.plusDays(1);
      if (isWorking(day)) {
        remaining--;
        off = 0;
      } else if (++off > MOST_OFF) {
        throw new IllegalStateException("The calendar has no working day in ten years.");
      }
    }
    return day;
  }
}
