package app.jemble.core.pace;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * The hours of the week in which messages may reach people, as a clock on the wall shows them.
 *
 * @param windows none of them: never
 */
public record WeeklyHours(List<Window> windows) {

  private static final int DAY = 24 * 60;

  /**
   * Some minutes of one day of the week.
   *
   * @param from minutes after midnight
   * @param to the first minute that is too late; 1440 is the end of the day
   */
  public record Window(DayOfWeek day, int from, int to) {
    public Window {
      if (from < 0 || to > DAY || from >= to) {
        throw new IllegalArgumentException(
            "Hours of a day begin before they end, between 00:00 and 24:00.");
      }
    }
  }

  /** At any time. */
  public static final WeeklyHours ANY =
      new WeeklyHours(
          Arrays.stream(DayOfWeek.values()).map(day -> new Window(day, 0, DAY)).toList());

  public WeeklyHours {
    windows =
        windows.stream()
            .sorted(Comparator.comparing(Window::day).thenComparing(Window::from))
            .toList();
  }

  /** The same hours on each of these days. */
  public static WeeklyHours on(List<DayOfWeek> days, LocalTime from, LocalTime to) {
    int end = to.equals(LocalTime.MIDNIGHT) ? DAY : minutes(to);
    return new WeeklyHours(days.stream().map(day -> new Window(day, minutes(from), end)).toList());
  }

  private static int minutes(LocalTime time) {
    return time.getHour() * 60 + time.getMinute();
  }

  /** By day of the week, Monday first: begin and end of each window in seconds after midnight. */
  int[][][] seconds() {
    int[][][] week = new int[7][][];
    for (DayOfWeek day : DayOfWeek.values()) {
      List<int[]> ofDay = new ArrayList<>();
      for (Window w : windows) {
        if (w.day() == day) {
          ofDay.add(new int[] {w.from() * 60, w.to() * 60});
        }
      }
      week[day.getValue() - 1] = ofDay.toArray(int[][]::new);
    }
    return week;
  }
}
