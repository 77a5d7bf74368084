package app.jemble.core.occasion;

import app.jemble.core.pace.WallClock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;

/** Whether it is time to say something, on the clock of the person it is said to. */
public enum TurnLook {
  /** the hour has not come */
  EARLY,
  /** from the hour on, until the day ends */
  DUE,
  /** the day is over: a colleague decides */
  OVER;

  /**
   * @param said the day on which it is said
   * @param at the time of day; where the clock leaves it out, the first that comes after
   * @param zone the person's
   */
  public static TurnLook at(Instant now, LocalDate said, LocalTime at, ZoneId zone) {
    if (now.isBefore(WallClock.at(said.atTime(at), zone))) {
      return EARLY;
    }
    return now.isBefore(WallClock.at(said.plusDays(1).atStartOfDay(), zone)) ? DUE : OVER;
  }
}
