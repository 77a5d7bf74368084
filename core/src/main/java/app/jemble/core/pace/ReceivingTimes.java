package app.jemble.core.pace;

import java.time.ZoneId;
import java.util.function.LongConsumer;

/**
 * When people of one place may receive: within the plan's hours, and where a phone rings not in the
 * quiet hours of their own clock. A cursor that only goes forward, as {@link OpenTimes} is. Seconds
 * of the epoch.
 */
final class ReceivingTimes {

  private final OpenTimes hours;

  /** The same hours for those who ask about them alone, at instants of their own. */
  private final OpenTimes hoursAlone;

  /** Null where nothing rings. */
  private final OpenTimes awake;

  private final LongConsumer bound;

  /** When the hours alone would have let leave what was asked for last. */
  private long openAlone;

  /**
   * @param bound is told of every instant at which the plan's hours would have let a message leave,
   *     and the quiet hours did not
   */
  ReceivingTimes(PlanAsk ask, Clocks.Place place, LongConsumer bound) {
    ZoneId clock = ask.ownClock() ? place.zone() : ask.house();
    this.hours = new OpenTimes(clock, ask.hours(), ask.daysOff());
    this.hoursAlone = new OpenTimes(clock, ask.hours(), ask.daysOff());
    this.awake = place.way().rings() ? ask.quiet().awake(place.zone()) : null;
    this.bound = bound;
  }

  /** The first instant at or after one at which the plan's hours would let a message leave. */
  long inHours(long asked) {
    return hoursAlone.at(asked);
  }

  /** Whether what {@link #at} was asked for last had to wait for the plan's hours. */
  boolean waitedForHours(long asked) {
    return openAlone > asked;
  }

  /** The first instant at or after the given one, which is no earlier than the last asked. */
  long at(long asked) {
    long open = hours.at(asked);
    openAlone = open;
    if (awake == null) {
      return open;
    }
    while (open < OpenTimes.NEVER) {
      long ringing = awake.at(open);
      if (ringing == open) {
        return open;
      }
      bound.accept(open);
      if (ringing - asked > OpenTimes.MOST_SECONDS) {
        break;
      }
      open = hours.at(ringing);
    }
    return OpenTimes.NEVER;
  }
}
