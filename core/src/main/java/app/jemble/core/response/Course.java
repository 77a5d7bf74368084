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

  /** Longer courses are shown by the day. */
  private static final Duration BY_HOURS = Duration.ofDays(4);

  /** Nothing is told step by step for longer. */
  private static final int MOST_STEPS = 400;

  /** What one step is. */
  public enum Step {
    HOURS(ChronoUnit.HOURS),
    DAYS(ChronoUnit.DAYS);

    private final ChronoUnit unit;

    Step(ChronoUnit unit) {
      this.unit = unit;
    }
  }

  private Course() {}

  /** Hours or days, for a course that goes from one instant to another. */
  public static Step step(Instant first, Instant last) {
    return Duration.between(first, last).compareTo(BY_HOURS) <= 0 ? Step.HOURS : Step.DAYS;
  }

  /** The begins of all steps on a clock, both ends counted in; at most 400. */
  public static List<LocalDateTime> steps(Instant first, Instant last, Step step, ZoneId clock) {
    List<LocalDateTime> steps = new ArrayList<>();
    LocalDateTime end = LocalDateTime.ofInstant(last, clock);
    LocalDateTime at = LocalDateTime.ofInstant(first, clock).truncatedTo(step.unit);
    while (!at.isAfter(end) && steps.size() < MOST_STEPS) {
      steps.add(at);
      at = at.plus(1, step.unit);
    }
    return steps;
  }
}
