package app.jemble.plan;

import app.jemble.core.message.MessageId;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.QuietHours;
import app.jemble.core.record.PersonId;
import app.jemble.departure.QuietTimes;
import app.jemble.people.PeopleService;
import app.jemble.sending.PhoneRuleService;
import app.jemble.workspace.WorkspaceService;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Nobody's phone rings at night, on their own clock, whatever a plan says. */
@Component
class QuietNights implements QuietTimes {

  private final PeopleService people;
  private final PhoneRuleService rules;
  private final WorkspaceService workspace;

  QuietNights(PeopleService people, PhoneRuleService rules, WorkspaceService workspace) {
    this.people = people;
    this.rules = rules;
    this.workspace = workspace;
  }

  @Override
  public Map<MessageId, Instant> until(List<Due> messages, Instant now) {
    List<Due> ringing = messages.stream().filter(due -> due.channel().rings()).toList();
    if (ringing.isEmpty()) {
      return Map.of();
    }
    QuietHours quiet = rules.current().quiet();
    ZoneId house = workspace.current().zoneId();
    Map<PersonId, String> zones =
        people.timeZones(ringing.stream().map(Due::personId).distinct().toList());
    Map<MessageId, Instant> until = new HashMap<>();
    for (Due due : ringing) {
      ZoneId clock = Clocks.zone(zones.get(due.personId()), house);
      if (quiet.at(now, clock)) {
        until.put(due.id(), quiet.over(now, clock));
      }
    }
    return until;
  }
}
