package app.jemble.series.entry;

import app.jemble.audience.AudienceService;
import app.jemble.core.pace.Deadline;
import app.jemble.core.pace.Pace;
import app.jemble.core.pace.Plan;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.pace.Planner;
import app.jemble.core.pace.Start;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import app.jemble.core.series.LastStep;
import app.jemble.core.series.SeriesClock;
import app.jemble.core.series.Steps;
import app.jemble.plan.PlanService;
import app.jemble.plan.ReaderClocks;
import app.jemble.plan.SendPlan;
import app.jemble.series.OpenSeries;
import app.jemble.series.Series;
import app.jemble.series.SeriesClocks;
import app.jemble.series.SeriesStep;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** When whoever comes into a series does so: all at once, or in waves. */
@Component
class EntryPlanning {

  private final PlanService plans;
  private final AudienceService audience;
  private final OpenSeries open;
  private final SeriesClocks clocks;
  private final Clock clock;

  EntryPlanning(
      PlanService plans,
      AudienceService audience,
      OpenSeries open,
      SeriesClocks clocks,
      Clock clock) {
    this.plans = plans;
    this.audience = audience;
    this.open = open;
    this.clocks = clocks;
    this.clock = clock;
  }

  /** When each of these comes in, in their order; nothing for one for whom no hour comes. */
  List<Optional<Instant>> instants(List<PersonId> whom, SendPlan plan, Instant now) {
    Plan planned = Planner.plan(plans.askOfComingIn(plan, now), readers(whom).clocks());
    List<Optional<Instant>> instants = new ArrayList<>(whom.size());
    for (int at = 0; at < whom.size(); at++) {
      instants.add(planned.of(at));
    }
    return instants;
  }

  /** What a plan comes to. */
  EntryPlan view(Series series, List<PersonId> whom, SendPlan plan) {
    Instant now = clock.instant();
    PlanAsk ask = plans.askOfComingIn(plan, now);
    ReaderClocks readers = readers(whom);
    Plan planned = Planner.plan(ask, readers.clocks());
    Steps steps = SeriesStep.inOrder(open.steps(series.id()));
    SeriesClock times = clocks.of(series);
    Set<ZoneId> zones = new HashSet<>();
    readers.clocks().shares().forEach(share -> zones.add(share.zone()));
    Instant lastStep =
        planned
            .last()
            .flatMap(
                last ->
                    zones.stream()
                        .flatMap(zone -> LastStep.of(last, steps, times, zone).stream())
                        .max(Instant::compareTo))
            .orElse(null);
    return new EntryPlan(
        plans.words(plan),
        whom.size(),
        planned.waves(),
        planned.first().orElse(null),
        planned.last().orElse(null),
        lastStep,
        plan.doneBy() == null
            ? null
            : hadBy(plan, ask, readers, planned, latest(now, plan, steps, times, zones)));
  }

  private Optional<Instant> latest(
      Instant now, SendPlan plan, Steps steps, SeriesClock times, Set<ZoneId> zones) {
    return LastStep.latestEntry(now, plans.deadline(plan.doneBy()), steps, times, zones);
  }

  /** Backwards from the day by which the last step is to be had: who comes in last, by when. */
  private EntryPlan.HadBy hadBy(
      SendPlan plan, PlanAsk ask, ReaderClocks readers, Plan planned, Optional<Instant> latest) {
    if (latest.isEmpty()) {
      return new EntryPlan.HadBy(false, null, List.of());
    }
    if (planned.isDoneBy(latest.get())) {
      return new EntryPlan.HadBy(true, latest.get(), List.of());
    }
    Deadline deadline = new Deadline(ask, readers.clocks(), latest.get());
    List<SendPlan> ways = new ArrayList<>();
    if (plan.wavePeople() != null) {
      deadline.smallestWave().ifPresent(pace -> ways.add(at(plan, plan.startWall(), pace)));
      deadline.largestGap().ifPresent(pace -> ways.add(at(plan, plan.startWall(), pace)));
    }
    deadline.latestStart().ifPresent(start -> ways.add(at(plan, wall(start), ask.pace())));
    return new EntryPlan.HadBy(
        false,
        latest.get(),
        ways.stream().map(way -> new EntryPlan.OtherWay(plans.words(way), way)).toList());
  }

  private LocalDateTime wall(Start start) {
    return start instanceof Start.OwnTime own
        ? own.wall()
        : LocalDateTime.ofInstant(((Start.At) start).instant(), clocks.house());
  }

  private static SendPlan at(SendPlan plan, LocalDateTime start, Pace pace) {
    return new SendPlan(
        start,
        plan.startOwn(),
        null,
        plan.wavePeople() == null ? null : pace.people(),
        plan.wavePeople() == null ? plan.waveGapSeconds() : pace.gapSeconds(),
        plan.hours(),
        plan.ownClock(),
        plan.doneBy());
  }

  private ReaderClocks readers(List<PersonId> whom) {
    ReaderClocks readers = new ReaderClocks(clocks.house());
    Map<PersonId, String> zones = audience.timeZones(whom);
    // Nobody's phone rings when they come in.
    whom.forEach(person -> readers.add(zones.get(person), Channel.EMAIL));
    return readers;
  }
}
