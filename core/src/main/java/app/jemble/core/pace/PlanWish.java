package app.jemble.core.pace;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;

/**
 * When messages should leave, as somebody wants it.
 *
 * @param start when the first may leave, on a clock on the wall; null for at once
 * @param startOwn whether that is each person's own clock
 * @param startZone else whose clock it is; null for the workspace's
 * @param wavePeople how many leave together; null for all at once
 * @param gapSeconds from one wave to the next
 * @param hours when messages may reach people; null for the workspace's hours
 * @param ownClock whether hours and days off are those of each person's own clock
 * @param doneBy the day by whose end the last should have left; null for none
 */
public record PlanWish(
    LocalDateTime start,
    boolean startOwn,
    ZoneId startZone,
    Integer wavePeople,
    long gapSeconds,
    WeeklyHours hours,
    boolean ownClock,
    LocalDate doneBy) {

  /** From one wave to the next where nobody says otherwise. */
  public static final long USUAL_GAP = 900;

  /** Waves are at most 31 days apart, in seconds. */
  public static final long LONGEST_GAP = 31L * 86_400;

  public static final PlanWish AT_ONCE =
      new PlanWish(null, false, null, null, USUAL_GAP, null, false, null);

  PlanWish startingAt(LocalDateTime wall, boolean own, ZoneId zone) {
    return new PlanWish(wall, own, zone, wavePeople, gapSeconds, hours, ownClock, doneBy);
  }

  PlanWish inWaves(Integer people, long gap) {
    return new PlanWish(start, startOwn, startZone, people, gap, hours, ownClock, doneBy);
  }

  PlanWish within(WeeklyHours those, boolean own) {
    return new PlanWish(start, startOwn, startZone, wavePeople, gapSeconds, those, own, doneBy);
  }

  PlanWish by(LocalDate day) {
    return new PlanWish(start, startOwn, startZone, wavePeople, gapSeconds, hours, ownClock, day);
  }
}
