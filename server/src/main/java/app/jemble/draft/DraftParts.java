package app.jemble.draft;

import app.jemble.audience.AudienceParts;
import app.jemble.audience.Audiences;
import app.jemble.cause.Cause;
import app.jemble.cause.CauseWays;
import app.jemble.plan.PlanService;
import org.springframework.stereotype.Component;

/** What stands beside the mail of a draft: whom it is for, on which ways, and when it leaves. */
@Component
class DraftParts {

  private final Audiences audiences;
  private final AudienceParts parts;
  private final CauseWays ways;
  private final PlanService plans;

  DraftParts(Audiences audiences, AudienceParts parts, CauseWays ways, PlanService plans) {
    this.audiences = audiences;
    this.parts = parts;
    this.ways = ways;
    this.plans = plans;
  }

  void write(Cause draft, DraftChange change) {
    audiences.write(draft.id(), change.audience().of(audiences.of(draft), parts));
    ways.write(draft, change.ways());
    if (change.plan() != null) {
      plans.write(draft.id(), change.plan());
    }
  }
}
