package app.jemble.series.entry;

import app.jemble.core.series.Steps;
import app.jemble.pool.OnBehalf;
import app.jemble.series.OpenSeries;
import app.jemble.series.SeriesStep;
import app.jemble.series.entry.TallyMapper.Kept;
import app.jemble.series.entry.TallyMapper.WaitAfter;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/**
 * How series stand, in numbers: small ones are counted when they are asked for; counting a large
 * one takes long, so its numbers are kept and counted anew now and then.
 */
@Component
public class SeriesTally {

  /** Up to so many entries are counted at once. */
  private static final long LARGE = 20_000;

  /** Counting takes at most one part in so many of the time. */
  private static final int SHARE = 20;

  private static final Duration SOONEST = Duration.ofSeconds(10);

  /** How many are where. */
  public record Counts(long in, long finished, long ended) {}

  /** What became of a step: how many it left to, and were passed over by it. */
  public record StepCounts(
      long stepId,
      long sent,
      long waiting,
      long without,
      long opened,
      long clicked,
      long replied,
      long returned,
      long leftList) {}

  /**
   * Numbers of a series.
   *
   * @param countedAt null when they are those of this moment
   * @param waiting by step, for how many it is next
   */
  public record Tally(
      Instant countedAt, Counts counts, List<StepCounts> steps, Map<Long, Long> waiting) {}

  private final OpenSeries open;
  private final TallyMapper mapper;
  private final ObjectMapper json;
  private final Clock clock;

  SeriesTally(OpenSeries open, TallyMapper mapper, ObjectMapper json, Clock clock) {
    this.open = open;
    this.mapper = mapper;
    this.json = json;
    this.clock = clock;
  }

  public Tally of(long seriesId) {
    if (OnBehalf.owner().isPresent() || !mapper.hasMoreThan(seriesId, LARGE)) {
      return count(seriesId, null);
    }
    Kept kept = mapper.kept(seriesId);
    return kept == null ? countAndKeep(seriesId) : json.readValue(kept.tally(), Tally.class);
  }

  /** Counts large series anew whose numbers are old enough. */
  public void refresh() {
    Instant now = clock.instant();
    for (Kept kept : mapper.allKept()) {
      Duration pause = Duration.ofMillis(kept.tookMs() * SHARE);
      Instant next = kept.countedAt().plus(pause.compareTo(SOONEST) > 0 ? pause : SOONEST);
      if (!next.isAfter(now)) {
        countAndKeep(kept.seriesId());
      }
    }
  }

  private Tally countAndKeep(long seriesId) {
    long began = System.nanoTime();
    Instant now = clock.instant();
    Tally tally = count(seriesId, now);
    long took = Duration.ofNanos(System.nanoTime() - began).toMillis();
    mapper.keep(new Kept(seriesId, now, took, json.writeValueAsString(tally)));
    return tally;
  }

  private Tally count(long seriesId, Instant countedAt) {
    return new Tally(
        countedAt, mapper.counts(seriesId), mapper.stepCounts(seriesId), waiting(seriesId));
  }

  private Map<Long, Long> waiting(long seriesId) {
    Steps steps = SeriesStep.inOrder(open.steps(seriesId));
    Map<Long, Long> waiting = new HashMap<>();
    for (WaitAfter after : mapper.waitAfter(seriesId)) {
      steps
          .after(after.passed() == 0 ? null : after.passed())
          .ifPresent(next -> waiting.merge(next.id(), after.people(), Long::sum));
    }
    return waiting;
  }
}
