package app.jemble.core.pace;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;

/**
 * Whether hours on each person's own clock are worth proposing where a plan keeps to those of the
 * workspace: the one's morning may be night for the other, when no phone is to ring, for months.
 */
public final class OwnClocks {

  /** A message that leaves by so much sooner is worth it. */
  private static final Duration SOONER = Duration.ofDays(1);

  private OwnClocks() {}

  /**
   * The plan on own clocks; empty when it is no better.
   *
   * @param plan what was asked for comes to
   * @param deadline null for none
   */
  public static Optional<Plan> better(PlanAsk ask, Clocks clocks, Plan plan, Instant deadline) {
    if (ask.ownClock() || areAllIn(ask.house(), clocks)) {
      return Optional.empty();
    }
    Plan own = Planner.plan(ask.onOwnClocks(), clocks);
    boolean meets = deadline != null && own.isDoneBy(deadline) && !plan.isDoneBy(deadline);
    return meets || isSooner(own, plan) ? Optional.of(own) : Optional.empty();
  }

  private static boolean areAllIn(ZoneId house, Clocks clocks) {
    return clocks.shares().stream().allMatch(share -> share.zone().equals(house));
  }

  private static boolean isSooner(Plan own, Plan plan) {
    if (own.unplanned() != plan.unplanned()) {
      return own.unplanned() < plan.unplanned();
    }
    return own.last().flatMap(l -> plan.last().map(l.plus(SOONER)::isBefore)).orElse(false);
  }
}
