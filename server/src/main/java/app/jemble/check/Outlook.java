package app.jemble.check;

import app.jemble.cause.Cause;
import app.jemble.core.pace.Plan;
import app.jemble.core.pace.Planner;
import app.jemble.core.record.PersonId;
import app.jemble.plan.PlanService;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What a draft would come to, for those who plan what follows it. */
@Service
public class Outlook {

  /**
   * Who would be written to.
   *
   * @param people once for each message
   * @param first when the first message would leave; null when none would
   */
  public record Expected(List<PersonId> people, Instant first, Instant last) {}

  private final CheckService checks;
  private final PlanService plans;
  private final Clock clock;

  Outlook(CheckService checks, PlanService plans, Clock clock) {
    this.checks = checks;
    this.plans = plans;
    this.clock = clock;
  }

  /** By the last look at its audience; empty while nobody has looked. */
  public Optional<Expected> of(Cause mailing) {
    return checks
        .lastResult(mailing.id())
        .map(
            looked -> {
              Instant earliest = plans.afterHold(clock.instant());
              Plan plan =
                  Planner.plan(plans.ask(mailing, plans.of(mailing), earliest), looked.clocks());
              List<PersonId> people = looked.ready().stream().map(Checked.Entry::personId).toList();
              return new Expected(people, plan.first().orElse(null), plan.last().orElse(null));
            });
  }
}
