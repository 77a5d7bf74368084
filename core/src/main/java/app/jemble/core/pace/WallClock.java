package app.jemble.core.pace;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;

/** A time on the wall of a place, as an instant, by the IANA rules that ship with the JDK. */
public final class WallClock {

  private WallClock() {}

  /**
   * In a gap (clocks go forward) the first valid instant after it; in an overlap (clocks go back)
   * the first pass. For example 29 March 2026, 01:30 in London, which no clock showed, is 01:00
   * UTC, when clocks showed 02:00.
   */
  public static Instant at(LocalDateTime wall, ZoneId zone) {
    ZoneRules rules = zone.getRules();
    ZoneOffsetTransition transition = rules.getTransition(wall);
    if (transition != null && transition.isGap()) {
      return transition.getInstant();
    }
    return wall.toInstant(rules.getValidOffsets(wall).get(0));
  }
}
