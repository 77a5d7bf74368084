package app.jemble.series;

import java.time.Instant;
import java.util.Map;

/** What becomes of those who are in a series when it is changed. */
public interface SeriesEntries {

  /** By step, how many have had it or were passed over by it; nobody had the others. */
  Map<Long, Long> had(long seriesId);

  /** Everyone who is in it is looked at soon: what was reckoned for them may have changed. */
  void lookAtAll(long seriesId, Instant now);

  /** The waits of everyone stood still for so many seconds. */
  void putOff(long seriesId, double seconds, Instant now);

  /** Whoever had finished waits for what was put at the end. */
  void goOnAfterEnd(long seriesId, Instant now);

  /** Whoever finished since an instant without a step waits for it. */
  void goOnWithout(long seriesId, long stepId, Instant since, Instant now);

  /** It is over for everyone. */
  void endAll(long seriesId, String why, Instant now);
}
