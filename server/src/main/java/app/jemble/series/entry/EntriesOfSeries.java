package app.jemble.series.entry;

import app.jemble.series.SeriesEntries;
import app.jemble.series.entry.TallyMapper.StepHad;
import java.time.Instant;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Does with those who are in a series what a change of it means for them. */
@Component
class EntriesOfSeries implements SeriesEntries {

  private final EntryMapper mapper;
  private final TallyMapper tallies;

  EntriesOfSeries(EntryMapper mapper, TallyMapper tallies) {
    this.mapper = mapper;
    this.tallies = tallies;
  }

  @Override
  public Map<Long, Long> had(long seriesId) {
    return tallies.had(seriesId).stream()
        .collect(Collectors.toMap(StepHad::stepId, StepHad::people));
  }

  @Override
  public void lookAtAll(long seriesId, Instant now) {
    mapper.lookAtAll(seriesId, now);
  }

  @Override
  public void putOff(long seriesId, double seconds, Instant now) {
    mapper.putOff(seriesId, seconds, now);
  }

  @Override
  public void goOnAfterEnd(long seriesId, Instant now) {
    mapper.goOnAfterEnd(seriesId, now);
  }

  @Override
  public void goOnWithout(long seriesId, long stepId, Instant since, Instant now) {
    mapper.goOnWithout(seriesId, stepId, since, now);
  }

  @Override
  public void endAll(long seriesId, String why, Instant now) {
    mapper.endAll(seriesId, why, now);
  }
}
