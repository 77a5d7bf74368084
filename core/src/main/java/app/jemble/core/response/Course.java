package app.jemble.core.response;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/** The steps of time in which what came in is shown. */
public final class Course {

  /** The first hours are shown in steps of five minutes. */
  private static final Duration BY_MINUTES = Duration.ofHours(3);

  /** Longer courses are shown by the day. */
  private static final Duration BY_HOURS = Duration.ofDays(4);

  /** Nothing is told step by step for longer. */
  private static final int MOST_STEPS = 400;

  /** What one step is. */
  public enum Step {
    MINUTES(ChronoUnit.MINUTES, 5),
    HOURS(ChronoUnit.HOURS, 1),
    DAYS(ChronoUnit.DAYS, 1);

    private final ChronoUnit unit;
    private final int count;

    Step(ChronoUnit unit, int count) {
      this.unit = unit;
      this.count = count;
    }

    private LocalDateTime begin(LocalDateTime time) {
      LocalDateTime begin = time.truncatedTo(unit);
      return this == MINUTES ? begin.minusMinutes(begin.getMinute() % count) : begin;
    }
  }

  private Course() {}

  /** Five minutes, hours or days, for a course that goes from one instant to another. */
  public static Step step(Instant first, Instant last) {
    Duration span = Duration.between(first, last);
    if (span.compareTo(BY_MINUTES) <= 0) {
      return Step.MINUTES;
    }
    return span.compareTo(BY_HOURS) <= 0 ? Step.HOURS : Step.DAYS;
  }

  /** The begins of all steps on a clock, both ends counted in; at most 400. */
  public static List<LocalDateTime> steps(Instant first, Instant last, Step step, ZoneId clock) {
    List<LocalDateTime> steps = new ArrayList<>();
    LocalDateTime end = LocalDateTime.ofInstant(last, clock);
    LocalDateTime at = step.begin(LocalDateTime.ofInstant(first, clock));
    while (!at.isAfter(end) && steps.size() < MOST_STEPS) {
      steps.add(at);
      at = at.plus(step.count, step.unit);
    }
    return steps;
  }
}
