package app.jemble.plan;

import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.NextOpen;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.pace.QuietHours;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Map;

/** When what rings may leave, by a plan, so that it is nobody's night. */
public final class AwakeTimes {

  private record Asked(Instant planned, ZoneId own) {}

  private final QuietHours quiet;
  private final PlanAsk ask;
  private final Clocks clocks;
  private final NextOpen hours;

  /** Many leave at one instant of one clock. */
  private final Map<Asked, Instant> known = new HashMap<>();

  AwakeTimes(QuietHours quiet, PlanAsk ask, Clocks clocks) {
    this.quiet = quiet;
    this.ask = ask;
    this.clocks = clocks;
    this.hours = new NextOpen(ask.hours(), ask.daysOff());
  }

  /**
   * Where hours and nights leave no common time, what was planned: it is looked at again as it
   * leaves.
   *
   * @param person the place in the audience
   */
  public Instant of(int person, Instant planned) {
    ZoneId own = person < clocks.size() ? clocks.zone(person) : ask.house();
    return known.computeIfAbsent(new Asked(planned, own), this::over);
  }

  private Instant over(Asked asked) {
    ZoneId clock = ask.ownClock() ? asked.own() : ask.house();
    return quiet.over(asked.planned(), asked.own(), hours, clock).orElse(asked.planned());
  }
}
