package app.jemble.core.pace;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * The hours of every day in which no phone is to ring, on each person's own clock. They hold also
 * where a mailing leaves at any time.
 *
 * @param from the first minute that is quiet
 * @param to the first minute that is not; the same as {@code from}: none is quiet
 */
public record QuietHours(LocalTime from, LocalTime to) {

  /** Until the workspace says otherwise. */
  public static final QuietHours USUAL = new QuietHours(LocalTime.of(21, 0), LocalTime.of(8, 0));

  public static final QuietHours NONE = new QuietHours(LocalTime.MIDNIGHT, LocalTime.MIDNIGHT);

  private static final int DAY = 24 * 60;

  /** Whether it is quiet on a clock. */
  public boolean at(Instant instant, ZoneId clock) {
    LocalTime time = instant.atZone(clock).toLocalTime();
    if (from.isBefore(to)) {
      return !time.isBefore(from) && time.isBefore(to);
    }
    return !from.equals(to) && (!time.isBefore(from) || time.isBefore(to));
  }

  /** The first instant at or after one at which it is not quiet on a clock. */
  public Instant over(Instant asked, ZoneId clock) {
    return new NextOpen(open(), Set.of()).at(asked, clock).orElseThrow();
  }

  /** When it is not quiet on a clock, as a cursor. */
  OpenTimes awake(ZoneId clock) {
    return new OpenTimes(clock, open(), Set.of());
  }

  /** The rest of the week. */
  private WeeklyHours open() {
    List<WeeklyHours.Window> windows = new ArrayList<>();
    int begin = minutes(from);
    int end = minutes(to);
    for (DayOfWeek day : DayOfWeek.values()) {
      if (begin == end) {
        add(windows, day, 0, DAY);
      } else if (begin < end) {
        add(windows, day, 0, begin);
        add(windows, day, end, DAY);
      } else {
        add(windows, day, end, begin);
      }
    }
    return new WeeklyHours(windows);
  }

  private static int minutes(LocalTime time) {
    return time.getHour() * 60 + time.getMinute();
  }

  private static void add(List<WeeklyHours.Window> windows, DayOfWeek day, int from, int to) {
    if (from < to) {
      windows.add(new WeeklyHours.Window(day, from, to));
    }
  }
}
