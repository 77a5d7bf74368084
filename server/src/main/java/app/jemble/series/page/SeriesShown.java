package app.jemble.series.page;

import app.jemble.audience.AudienceParts;
import app.jemble.core.message.MailWording;
import app.jemble.core.response.Interval;
import app.jemble.core.series.EntryLook;
import app.jemble.core.series.WayAhead;
import app.jemble.sending.HoursSpan;
import app.jemble.series.OpenSeries;
import app.jemble.series.Series;
import app.jemble.series.SeriesClocks;
import app.jemble.series.SeriesMoves;
import app.jemble.series.SeriesStep;
import app.jemble.series.StepCauses;
import app.jemble.series.entry.SeriesTally;
import app.jemble.series.entry.SeriesTally.Counts;
import app.jemble.series.entry.SeriesTally.StepCounts;
import app.jemble.series.entry.SeriesTally.Tally;
import app.jemble.series.page.SeriesView.Share;
import app.jemble.series.page.SeriesView.StepView;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.ObjectMapper;

/** Series as screens show them. */
@Component
class SeriesShown {

  private final SeriesTally tallies;
  private final OpenSeries open;
  private final SeriesMoves moves;
  private final StepCauses causes;
  private final AudienceParts parts;
  private final SeriesClocks clocks;
  private final ObjectMapper json;
  private final Clock clock;

  SeriesShown(
      SeriesTally tallies,
      OpenSeries open,
      SeriesMoves moves,
      StepCauses causes,
      AudienceParts parts,
      SeriesClocks clocks,
      ObjectMapper json,
      Clock clock) {
    this.tallies = tallies;
    this.open = open;
    this.moves = moves;
    this.causes = causes;
    this.parts = parts;
    this.clocks = clocks;
    this.json = json;
    this.clock = clock;
  }

  SeriesView one(long id) {
    Series series = open.find(id);
    Tally tally = tallies.of(id);
    Counts counts = tally.counts();
    return new SeriesView(
        id,
        series.name(),
        series.state(),
        series.topicId(),
        series.senderId(),
        series.isPrivate(),
        series.ownClock(),
        series.hours() == null
            ? null
            : json.readValue(series.hours(), new TypeReference<List<HoursSpan>>() {}),
        series.againDays(),
        series.endsOnReply(),
        series.endsOnClick(),
        parts.read(series.entersParts()),
        parts.read(series.endsParts()),
        series.pausedAt(),
        series.version(),
        steps(series, tally),
        moves.blockers(id),
        counts.in(),
        counts.finished(),
        counts.ended(),
        tally.countedAt());
  }

  private List<StepView> steps(Series series, Tally tally) {
    Map<Long, StepCounts> counts =
        tally.steps().stream().collect(Collectors.toMap(StepCounts::stepId, Function.identity()));
    Map<Long, Integer> days = daysOf(series);
    List<StepView> steps = new ArrayList<>();
    for (SeriesStep step : open.steps(series.id())) {
      if (step.goneAt() == null) {
        StepCounts none = new StepCounts(step.id(), 0, 0, 0, 0, 0, 0, 0, 0);
        steps.add(
            step(
                step,
                steps.size() + 1,
                days.get(step.id()),
                tally.waiting().getOrDefault(step.id(), 0L),
                counts.getOrDefault(step.id(), none)));
      }
    }
    return steps;
  }

  /** By step, the day on which it leaves to somebody on the house's clock who comes in now. */
  private Map<Long, Integer> daysOf(Series series) {
    ZoneId zone = clocks.house();
    Instant now = clock.instant();
    EntryLook.Entry whoComesIn = new EntryLook.Entry(null, now, now, null, zone, Set.of());
    Map<Long, Integer> days = new HashMap<>();
    for (WayAhead.Ahead ahead :
        WayAhead.of(
            now, whoComesIn, SeriesStep.inOrder(open.steps(series.id())), clocks.of(series))) {
      ahead
          .at()
          .ifPresent(
              at ->
                  days.put(
                      ahead.step().id(), 1 + (int) ChronoUnit.DAYS.between(day(now), day(at))));
    }
    return days;
  }

  private LocalDate day(Instant at) {
    return at.atZone(clocks.house()).toLocalDate();
  }

  private StepView step(SeriesStep step, int number, Integer day, long next, StepCounts counts) {
    MailWording words = causes.wording(step.causeId());
    return new StepView(
        step.id(),
        number,
        step.waitCount(),
        step.waitUnit(),
        step.waitAt(),
        step.waits().words(),
        step.inThread(),
        parts.read(step.meant()),
        step.causeId(),
        words.subject(),
        words.body(),
        words.letterheadId(),
        words.promotional(),
        causes.ways(step.causeId()),
        day,
        next,
        counts.sent(),
        counts.waiting(),
        counts.without(),
        counts.opened(),
        counts.clicked(),
        counts.replied(),
        counts.returned(),
        counts.leftList(),
        shares(counts, words.body().contains("href=")));
  }

  /** Where there is no link nobody could follow one. */
  private static List<Share> shares(StepCounts counts, boolean hasLink) {
    long reached = counts.sent() - counts.returned();
    List<Share> shares = new ArrayList<>();
    if (reached > 0) {
      shares.add(share("opened", counts.opened(), reached));
      if (hasLink) {
        shares.add(share("followed a link", counts.clicked(), reached));
      }
      shares.add(share("replied", counts.replied(), reached));
    }
    return shares;
  }

  private static Share share(String what, long count, long of) {
    long among = Math.min(count, of);
    Interval interval = Interval.of(among, of);
    return new Share(what, among, (double) among / of, interval.low(), interval.high());
  }
}
