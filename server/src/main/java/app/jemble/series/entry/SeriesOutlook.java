package app.jemble.series.entry;

import app.jemble.audience.AudienceService;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.cause.OpenCauses;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.Field;
import app.jemble.core.record.PersonId;
import app.jemble.core.series.EntryLook;
import app.jemble.core.series.Forecast;
import app.jemble.core.series.SeriesClock;
import app.jemble.core.series.Steps;
import app.jemble.core.series.WayAhead;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.series.OpenSeries;
import app.jemble.series.Series;
import app.jemble.series.SeriesClocks;
import app.jemble.series.SeriesStep;
import app.jemble.series.entry.EntryMapper.Entry;
import app.jemble.series.entry.OutlookMapper.Planned;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What a series will come to: messages a day for four weeks, and for whom something is amiss. */
@Service
public class SeriesOutlook {

  /** Of more people as many are looked at, and stand for all. */
  private static final int SAMPLE = 2000;

  /**
   * @param people who are in it, or will be once it is active
   * @param looked at how many of them it was looked; fewer stand for all
   * @param others messages of other mailings and series that are planned for that day
   */
  public record Outlook(
      long people,
      int looked,
      List<DayAhead> days,
      List<Amiss> amiss,
      long inOtherSeries,
      long inMailings) {}

  /** A day on which something leaves. */
  public record DayAhead(LocalDate day, long messages, Map<Integer, Long> steps, long others) {}

  /**
   * Why some get nothing.
   *
   * @param place of the step that lacks a value for them; 0 for those who get nothing at all
   */
  public record Amiss(int place, String why, long people) {}

  private final OpenSeries open;
  private final OpenCauses causes;
  private final OutlookMapper mapper;
  private final EntryFacts facts;
  private final SeriesClocks clocks;
  private final AudienceService audience;
  private final LetterService letters;
  private final WorkspaceService workspace;
  private final Clock clock;

  SeriesOutlook(
      OpenSeries open,
      OpenCauses causes,
      OutlookMapper mapper,
      EntryFacts facts,
      SeriesClocks clocks,
      AudienceService audience,
      LetterService letters,
      WorkspaceService workspace,
      Clock clock) {
    this.open = open;
    this.causes = causes;
    this.mapper = mapper;
    this.facts = facts;
    this.clocks = clocks;
    this.audience = audience;
    this.letters = letters;
    this.workspace = workspace;
    this.clock = clock;
  }

  public Outlook of(long seriesId) {
    Series series = open.find(seriesId);
    List<SeriesStep> steps = open.steps(seriesId);
    long people = mapper.in(seriesId);
    List<Entry> looked = mapper.some(seriesId, SAMPLE);
    Instant now = clock.instant();
    LocalDate today = LocalDate.ofInstant(now, clocks.house());
    return new Outlook(
        people,
        looked.size(),
        days(series, steps, looked, people, now, today),
        amiss(steps, looked, people, now),
        mapper.inOtherSeries(seriesId),
        mapper.inMailings(seriesId));
  }

  private List<DayAhead> days(
      Series series,
      List<SeriesStep> steps,
      List<Entry> looked,
      long people,
      Instant now,
      LocalDate today) {
    Steps inOrder = SeriesStep.inOrder(steps);
    SeriesClock times = clocks.of(series);
    Forecast forecast = new Forecast(today, clocks.house());
    for (EntryLook.Entry entry : facts.of(series, looked).values()) {
      forecast.add(WayAhead.of(now, entry, inOrder, times));
    }
    Map<LocalDate, Long> others =
        mapper
            .planned(series.id(), clocks.house().getId(), now, today.plusDays(Forecast.DAYS))
            .stream()
            .collect(Collectors.toMap(Planned::day, Planned::messages));
    return forecast.of(people).stream()
        .map(d -> new DayAhead(d.day(), d.messages(), d.steps(), others.getOrDefault(d.day(), 0L)))
        .toList();
  }

  private List<Amiss> amiss(List<SeriesStep> steps, List<Entry> looked, long people, Instant now) {
    List<SeriesStep> live = steps.stream().filter(s -> s.goneAt() == null).toList();
    if (live.isEmpty() || looked.isEmpty()) {
      return List.of();
    }
    List<PersonId> whom = looked.stream().map(Entry::personId).toList();
    Map<String, Long> unreached = new TreeMap<>();
    List<Amiss> all = new ArrayList<>();
    for (SeriesStep step : live) {
      Letter letter = letters.of(causes.anybodys(step.causeId()));
      List<Reader> readers =
          audience
              .again(causes.anybodys(step.causeId()), letter::values)
              .readers(whom, whom.stream().map(w -> 0L).toList());
      if (step == live.get(0)) {
        readers.stream()
            .filter(r -> r != null && r.reach() != Reach.READY)
            .forEach(r -> unreached.merge(r.reach().words(), 1L, Long::sum));
        unreached.forEach((why, n) -> all.add(new Amiss(0, why, times(n, looked, people))));
      }
      Map<String, Long> lacking = new TreeMap<>();
      for (Reader reader : readers) {
        if (reader != null && reader.reach() == Reach.READY) {
          Set<String> missing = letter.compose(reader.person(), reader.values(), now).missing();
          missing.forEach(field -> lacking.merge(field, 1L, Long::sum));
        }
      }
      lacking.forEach(
          (field, n) ->
              all.add(new Amiss(step.place(), "has no " + label(field), times(n, looked, people))));
    }
    return all;
  }

  private String label(String field) {
    return workspace.fields().find(field).map(Field::label).orElse(field).toLowerCase(Locale.ROOT);
  }

  private static long times(long count, List<Entry> looked, long people) {
    return Math.round((double) count * people / looked.size());
  }
}
