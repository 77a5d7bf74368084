package app.jemble.series.entry;

import app.jemble.audience.AudienceService;
import app.jemble.audience.AudienceService.Reader;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.reach.Reach;
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
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
  private final Clock clock;

  SeriesOutlook(
      OpenSeries open,
      OpenCauses causes,
      OutlookMapper mapper,
      EntryFacts facts,
      SeriesClocks clocks,
      AudienceService audience,
      LetterService letters,
      Clock clock) {
    this.open = open;
    this.causes = causes;
    this.mapper = mapper;
    this.facts = facts;
    this.clocks = clocks;
    this.audience = audience;
    this.letters = letters;
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
    List<PersonId> whom = looked.stream().map(Entry::personId).toList();
    Map<Why, Long> counted = new TreeMap<>();
    for (SeriesStep step : steps.stream().filter(s -> s.goneAt() == null).toList()) {
      Cause cause = causes.anybodys(step.causeId());
      Letter letter = letters.of(cause);
      List<Reader> readers =
          audience.again(cause, letter::values).readers(whom, whom.stream().map(w -> 0L).toList());
      Map<Why, Long> ofStep = new HashMap<>();
      for (Reader reader : readers) {
        whys(step, letter, reader, now).forEach(why -> ofStep.merge(why, 1L, Long::sum));
      }
      // Who is not reached is so for every step: all are about the topic of the series.
      counted.putAll(ofStep);
    }
    List<Amiss> all = new ArrayList<>();
    counted.forEach(
        (why, n) -> all.add(new Amiss(why.place(), why.words(), times(n, looked, people))));
    return all;
  }

  /** Why a step does not leave to somebody; place 0 for why none does. */
  private record Why(int place, String words) implements Comparable<Why> {
    @Override
    public int compareTo(Why other) {
      return Comparator.comparingInt(Why::place).thenComparing(Why::words).compare(this, other);
    }
  }

  private static List<Why> whys(SeriesStep step, Letter letter, Reader reader, Instant now) {
    if (reader == null) {
      return List.of(new Why(0, "is no longer on record"));
    }
    return reader.reach() == Reach.READY
        ? letter.lacking(reader.person(), reader.values(), now).stream()
            .map(label -> new Why(step.place(), "has no " + label))
            .toList()
        : List.of(new Why(0, reader.reach().words()));
  }

  private static long times(long count, List<Entry> looked, long people) {
    return Math.round((double) count * people / looked.size());
  }
}
