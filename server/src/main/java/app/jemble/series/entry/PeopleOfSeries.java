package app.jemble.series.entry;

import app.jemble.core.record.PersonId;
import app.jemble.core.series.EntryState;
import app.jemble.series.OpenSeries;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;

/** Who is in a series, page by page. */
@Service
public class PeopleOfSeries {

  private static final int PAGE = 200;

  /**
   * Somebody of a series.
   *
   * @param had how many steps they had or were passed over by
   */
  public record Somebody(
      long entryId,
      PersonId personId,
      String name,
      EntryState state,
      String cameBy,
      Instant enteredAt,
      Long passedStepId,
      Instant passedAt,
      Instant heldUntil,
      Instant endedAt,
      String endedWhy,
      long had) {}

  private final EntryMapper entries;
  private final OpenSeries open;

  PeopleOfSeries(EntryMapper entries, OpenSeries open) {
    this.entries = entries;
    this.open = open;
  }

  /**
   * @param after the entry after which the page begins; 0 for the first
   */
  public List<Somebody> after(long seriesId, long after) {
    open.find(seriesId);
    return entries.people(seriesId, after, PAGE);
  }
}
