package app.jemble.series.entry;

import app.jemble.audience.AudienceService;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.cause.OpenCauses;
import app.jemble.core.pace.Clocks;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import app.jemble.core.series.EntryLook;
import app.jemble.core.series.EntryState;
import app.jemble.core.series.SeriesState;
import app.jemble.core.series.WayAhead;
import app.jemble.core.series.WayAhead.Ahead;
import app.jemble.people.PersonRecord;
import app.jemble.problem.Problem;
import app.jemble.series.OpenSeries;
import app.jemble.series.Series;
import app.jemble.series.SeriesClocks;
import app.jemble.series.SeriesStep;
import app.jemble.series.entry.EntryMapper.Entry;
import app.jemble.series.entry.EntryMapper.PastStep;
import app.jemble.series.entry.EntryMapper.Skipped;
import app.jemble.series.entry.PeopleOfSeries.Somebody;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Somebody's way through a series: what they had, what comes when, and why not if not. */
@Service
public class WayService {

  /** How a step stands for somebody. */
  public enum StepStands {
    GOT,
    ON_ITS_WAY,
    /** In the outbox, and kept from leaving. */
    HELD,
    PASSED_OVER,
    AHEAD,
    /** A colleague said they do not get it. */
    SKIPPED,
    WILL_NOT
  }

  /**
   * A step for somebody.
   *
   * @param at when it left or passed them, or when it leaves at the earliest; null where it does
   *     not
   * @param why why it passed them, is kept or does not leave; else empty
   * @param came the furthest that came back to it, or null
   */
  @Schema(name = "SeriesWayStep")
  public record WayStep(
      long stepId,
      long causeId,
      int place,
      StepStands stands,
      @Schema(nullable = true) Instant at,
      String why,
      @Schema(nullable = true) String came) {}

  /**
   * Somebody's way, or what it would be if they came in now.
   *
   * @param zone the person's own time zone
   * @param cannot why no message reaches them at present, or null
   * @param entry null for somebody who never came in
   */
  @Schema(name = "SeriesWay")
  public record Way(
      PersonId personId,
      String name,
      String zone,
      @Schema(nullable = true) String cannot,
      @Schema(nullable = true) Somebody entry,
      List<WayStep> steps) {}

  private final OpenSeries open;
  private final OpenCauses causes;
  private final EntryMapper entries;
  private final PeopleOfSeries people;
  private final SeriesClocks clocks;
  private final EntryFacts facts;
  private final AudienceService audience;
  private final Clock clock;

  WayService(
      OpenSeries open,
      OpenCauses causes,
      EntryMapper entries,
      PeopleOfSeries people,
      SeriesClocks clocks,
      EntryFacts facts,
      AudienceService audience,
      Clock clock) {
    this.open = open;
    this.causes = causes;
    this.entries = entries;
    this.people = people;
    this.clocks = clocks;
    this.facts = facts;
    this.audience = audience;
    this.clock = clock;
  }

  public Way of(long seriesId, PersonId personId) {
    Series series = open.find(seriesId);
    PersonRecord person =
        audience.records(List.of(personId)).stream()
            .findFirst()
            .orElseThrow(() -> Problem.notFound("They are not on record."));
    List<SeriesStep> steps = open.steps(seriesId);
    Somebody somebody =
        people.after(seriesId, new PeopleOfSeries.Asked(null, null, null, personId), 0).stream()
            .reduce((earlier, later) -> later)
            .orElse(null);
    ZoneId zone = Clocks.zone(person.timeZone(), clocks.house());
    Entry entry = somebody == null ? null : entries.latest(seriesId, personId);
    return new Way(
        personId,
        person.name(),
        zone.getId(),
        cannot(steps, personId),
        somebody,
        steps(series, steps, entry, somebody, zone));
  }

  private String cannot(List<SeriesStep> steps, PersonId personId) {
    if (steps.isEmpty()) {
      return null;
    }
    Reader reader =
        audience
            .again(causes.anybodys(steps.get(0).causeId()), UnaryOperator.identity())
            .readers(List.of(personId), List.of(0L))
            .get(0);
    return reader == null || reader.reach() == Reach.READY ? null : reader.reach().words();
  }

  private List<WayStep> steps(
      Series series, List<SeriesStep> steps, Entry entry, Somebody somebody, ZoneId zone) {
    Map<Long, PastStep> past =
        entry == null
            ? Map.of()
            : entries.past(entry.id()).stream()
                .collect(Collectors.toMap(PastStep::stepId, Function.identity()));
    Set<Long> skipped =
        entry == null
            ? Set.of()
            : entries.skipped(new Long[] {entry.id()}).stream()
                .map(Skipped::stepId)
                .collect(Collectors.toSet());
    Map<Long, Ahead> ahead =
        ahead(series, steps, entry, somebody, zone).stream()
            .collect(Collectors.toMap(a -> a.step().id(), Function.identity()));
    List<WayStep> way = new ArrayList<>();
    for (SeriesStep step : steps) {
      PastStep was = past.get(step.id());
      if (step.goneAt() == null || was != null) {
        int place = way.size() + 1;
        way.add(
            was != null
                ? past(step, place, was)
                : ahead(step, place, ahead.get(step.id()), skipped.contains(step.id()), somebody));
      }
    }
    return way;
  }

  private List<Ahead> ahead(
      Series series, List<SeriesStep> steps, Entry entry, Somebody somebody, ZoneId zone) {
    Instant now = clock.instant();
    if (series.state() == SeriesState.ENDED
        || (somebody != null && somebody.state() != EntryState.IN)) {
      return List.of();
    }
    EntryLook.Entry of =
        entry == null
            ? new EntryLook.Entry(null, now, now, null, zone, Set.of())
            : facts.of(series, List.of(entry)).get(entry);
    return WayAhead.of(now, of, SeriesStep.inOrder(steps), clocks.of(series));
  }

  private static WayStep past(SeriesStep step, int place, PastStep was) {
    StepStands stands =
        was.messageState() == null
            ? StepStands.PASSED_OVER
            : was.sent() ? StepStands.GOT : was.waits() ? StepStands.ON_ITS_WAY : StepStands.HELD;
    String why = was.messageState() == null ? was.why() : was.sent() ? "" : was.reason();
    return new WayStep(
        step.id(),
        step.causeId(),
        place,
        stands,
        was.sent() ? was.sentAt() : was.at(),
        why == null ? "" : why,
        was.sent() ? was.standing() : null);
  }

  private static WayStep ahead(
      SeriesStep step, int place, Ahead ahead, boolean skipped, Somebody somebody) {
    StepStands stands =
        ahead == null ? StepStands.WILL_NOT : skipped ? StepStands.SKIPPED : StepStands.AHEAD;
    String why =
        ahead == null && somebody != null && somebody.state() == EntryState.ENDED
            ? somebody.endedWhy()
            : ahead != null && ahead.at().isEmpty() ? "no hour comes at which it may leave" : "";
    Instant at = ahead == null || skipped ? null : ahead.at().orElse(null);
    return new WayStep(step.id(), step.causeId(), place, stands, at, why, null);
  }
}
