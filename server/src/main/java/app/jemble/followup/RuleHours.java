package app.jemble.followup;

import app.jemble.audience.AudienceService;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.NextOpen;
import app.jemble.core.pace.WeeklyHours;
import app.jemble.core.record.PersonId;
import app.jemble.plan.PlanService;
import app.jemble.plan.SendPlan;
import app.jemble.sending.HoursSpan;
import app.jemble.sending.SendingService;
import app.jemble.workspace.WorkspaceService;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** When what rules send may leave. */
@Component
class RuleHours {

  private final OpenCauses open;
  private final PlanService plans;
  private final SendingService sending;
  private final AudienceService audience;
  private final WorkspaceService workspace;

  RuleHours(
      OpenCauses open,
      PlanService plans,
      SendingService sending,
      AudienceService audience,
      WorkspaceService workspace) {
    this.open = open;
    this.plans = plans;
    this.sending = sending;
    this.audience = audience;
    this.workspace = workspace;
  }

  /** When what is due to these people may leave; before the release by the plan it will have. */
  MayDepart mayDepart(long id, List<PersonId> people) {
    Cause mailing = open.anybodys(id);
    SendPlan plan =
        plans.of(mailing.hasBeenReleased() ? mailing : open.anybodys(mailing.followsId()));
    WeeklyHours hours = plan.hours() == null ? sending.hours() : HoursSpan.hours(plan.hours());
    NextOpen open = new NextOpen(hours, sending.daysOff());
    ZoneId house = workspace.current().zoneId();
    Map<PersonId, ZoneId> zones = new HashMap<>();
    if (plan.ownClock()) {
      audience
          .timeZones(people)
          .forEach((person, zone) -> zones.put(person, Clocks.zone(zone, house)));
    }
    return new MayDepart(open, house, zones);
  }
}
