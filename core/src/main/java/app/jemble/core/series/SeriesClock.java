package app.jemble.core.series;

import app.jemble.core.followup.WorkingDays;
import app.jemble.core.pace.NextOpen;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;

/**
 * By which clock a series runs, and when its messages may leave.
 *
 * @param house the workspace's zone
 * @param ownClock whether waits and hours are those of each person's own clock
 * @param days the working days that waits count
 * @param open all of these must be open at once: the hours of the series, and those of its channel
 */
public record SeriesClock(ZoneId house, boolean ownClock, WorkingDays days, List<NextOpen> open) {

  /** Hours that have not met after so many turns never do. */
  private static final int MOST_TURNS = 10_000;

  public SeriesClock {
    open = List.copyOf(open);
  }

  /**
   * When a step is due to somebody: the first instant, once its wait is over, at which it may
   * leave.
   *
   * @param begun when the step before left, or passed without a message
   * @param person the person's own zone
   * @return empty when no hour comes
   */
  public Optional<Instant> due(Instant begun, Wait wait, ZoneId person) {
    return mayLeave(wait.from(begun, clock(person), days), person);
  }

  /** The first instant from one on at which messages may leave; empty when none comes. */
  public Optional<Instant> mayLeave(Instant from, ZoneId person) {
    Instant at = from;
    for (int turn = 0; turn < MOST_TURNS; turn++) {
      Instant before = at;
      for (NextOpen hours : open) {
        Optional<Instant> next = hours.at(at, clock(person));
        if (next.isEmpty()) {
          return Optional.empty();
        }
        at = next.get();
      }
      if (at.equals(before)) {
        return Optional.of(at);
      }
    }
    return Optional.empty();
  }

  private ZoneId clock(ZoneId person) {
    return ownClock ? person : house;
  }
}
