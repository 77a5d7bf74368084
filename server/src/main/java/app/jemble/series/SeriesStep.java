package app.jemble.series;

import app.jemble.core.series.Steps;
import app.jemble.core.series.Wait;
import java.time.Instant;
import java.time.LocalTime;
import java.util.List;

/**
 * A step of a series as it is stored.
 *
 * @param place from 1 on
 * @param causeId what it says, and whom its messages come from
 * @param waitAt the time of day; null keeps the one that the wait began at
 * @param inThread whether it goes in the thread of the step before
 * @param meant for whom it is: the parts of an audience, as JSON; none: for all
 * @param goneAt when it was taken away, or null
 */
public record SeriesStep(
    long id,
    long seriesId,
    int place,
    long causeId,
    int waitCount,
    Wait.Unit waitUnit,
    LocalTime waitAt,
    boolean inThread,
    String meant,
    Instant goneAt) {

  public Wait waits() {
    return new Wait(waitCount, waitUnit, waitAt);
  }

  public boolean isForAll() {
    return meant.equals("[]");
  }

  /**
   * @param had how many have had it or were passed over by it
   */
  public Steps.Step inOrder(long had) {
    return new Steps.Step(id, place, waits(), goneAt != null, had);
  }

  /** The same where nobody asks who had it. */
  public Steps.Step inOrder() {
    return inOrder(0);
  }

  public static Steps inOrder(List<SeriesStep> steps) {
    return new Steps(steps.stream().map(SeriesStep::inOrder).toList());
  }
}
