package app.jemble.series;

import app.jemble.audience.AudienceService;
import app.jemble.core.followup.WorkingDays;
import app.jemble.core.pace.Clocks;
import app.jemble.core.pace.NextOpen;
import app.jemble.core.pace.WeeklyHours;
import app.jemble.core.record.PersonId;
import app.jemble.core.series.SeriesClock;
import app.jemble.sending.HoursSpan;
import app.jemble.sending.SendingService;
import app.jemble.workspace.WorkspaceService;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.ObjectMapper;

/** By which clocks series run. */
@Component
public class SeriesClocks {

  private final SendingService sending;
  private final WorkspaceService workspace;
  private final AudienceService audience;
  private final ObjectMapper json;

  SeriesClocks(
      SendingService sending,
      WorkspaceService workspace,
      AudienceService audience,
      ObjectMapper json) {
    this.sending = sending;
    this.workspace = workspace;
    this.audience = audience;
    this.json = json;
  }

  public ZoneId house() {
    return workspace.current().zoneId();
  }

  /** When a series' messages may leave: where it has no hours, at any time of any day. */
  public SeriesClock of(Series series) {
    Set<LocalDate> daysOff = sending.daysOff();
    NextOpen open =
        series.hours() == null
            ? new NextOpen(WeeklyHours.ANY, Set.of())
            : new NextOpen(HoursSpan.hours(spans(series.hours())), daysOff);
    return new SeriesClock(
        house(), series.ownClock(), new WorkingDays(daysOff, house()), List.of(open));
  }

  /**
   * When whoever comes in is to be looked at first. On the workspace's clock the first step is due
   * to all of them at once; on their own each is looked at for themselves.
   */
  public Instant firstLook(Series series, List<SeriesStep> steps, Instant cameIn) {
    if (series.ownClock()) {
      return cameIn;
    }
    return SeriesStep.inOrder(steps)
        .after(null)
        .flatMap(first -> of(series).due(cameIn, first.waits(), house()))
        .orElse(cameIn);
  }

  private List<HoursSpan> spans(String stored) {
    return json.readValue(stored, new TypeReference<List<HoursSpan>>() {});
  }

  /** The zones of people of a series that runs on their own clocks; nothing where it does not. */
  public Map<PersonId, ZoneId> zones(Series series, List<PersonId> people) {
    Map<PersonId, ZoneId> zones = new HashMap<>();
    if (series.ownClock()) {
      audience
          .timeZones(people)
          .forEach((person, zone) -> zones.put(person, Clocks.zone(zone, house())));
    }
    return zones;
  }
}
