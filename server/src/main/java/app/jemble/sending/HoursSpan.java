package app.jemble.sending;

import app.jemble.core.pace.WeeklyHours;
import app.jemble.problem.Problem;
import java.time.DayOfWeek;
import java.util.List;

/**
 * Hours of one day of the week in which messages may leave.
 *
 * @param from minutes after midnight
 * @param to the first minute that is too late; 1440 is the end of the day
 */
public record HoursSpan(DayOfWeek day, int from, int to) {

  private static final int DAY = 24 * 60;

  /** The hours that core plans with; a problem at the first span that cannot be. */
  public static WeeklyHours hours(List<HoursSpan> spans) {
    for (HoursSpan span : spans) {
      if (span.day() == null || span.from() < 0 || span.to() > DAY || span.from() >= span.to()) {
        throw Problem.wrong(
            "hours", "Hours of a day begin before they end, between 00:00 and 24:00.");
      }
    }
    return new WeeklyHours(
        spans.stream().map(s -> new WeeklyHours.Window(s.day(), s.from(), s.to())).toList());
  }

  public static List<HoursSpan> of(WeeklyHours hours) {
    return hours.windows().stream().map(w -> new HoursSpan(w.day(), w.from(), w.to())).toList();
  }
}
