package app.jemble.core.pace;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;

/**
 * What a plan is asked to keep to.
 *
 * @param notBefore nothing leaves before it, whatever the start says
 * @param hours when messages may reach people
 * @param daysOff days on which none may
 * @param ownClock whether hours and days off are those of each person's own clock, instead of the
 *     workspace's
 * @param quiet the hours in which no phone rings on its person's own clock, whatever else holds
 * @param house the workspace's zone; its days are those that caps count
 */
public record PlanAsk(
    Start start,
    Instant notBefore,
    Pace pace,
    WeeklyHours hours,
    Set<LocalDate> daysOff,
    boolean ownClock,
    QuietHours quiet,
    ZoneId house,
    List<DailyCap> caps) {

  public PlanAsk {
    daysOff = Set.copyOf(daysOff);
    caps = List.copyOf(caps);
  }

  PlanAsk at(Start other) {
    return new PlanAsk(other, notBefore, pace, hours, daysOff, ownClock, quiet, house, caps);
  }

  PlanAsk at(Pace other) {
    return new PlanAsk(start, notBefore, other, hours, daysOff, ownClock, quiet, house, caps);
  }

  PlanAsk atAnyHour() {
    return new PlanAsk(
        start, notBefore, pace, WeeklyHours.ANY, Set.of(), ownClock, quiet, house, caps);
  }

  PlanAsk atNight() {
    return new PlanAsk(
        start, notBefore, pace, hours, daysOff, ownClock, QuietHours.NONE, house, caps);
  }

  PlanAsk onOwnClocks() {
    return new PlanAsk(start, notBefore, pace, hours, daysOff, true, quiet, house, caps);
  }

  PlanAsk under(List<DailyCap> others) {
    return new PlanAsk(start, notBefore, pace, hours, daysOff, ownClock, quiet, house, others);
  }

  /** When somebody's message may leave at the earliest, in whole seconds of the epoch. */
  long startIn(ZoneId zone) {
    Instant asked = start.in(zone);
    Instant earliest = asked.isBefore(notBefore) ? notBefore : asked;
    return earliest.getEpochSecond() + (earliest.getNano() > 0 ? 1 : 0);
  }
}
