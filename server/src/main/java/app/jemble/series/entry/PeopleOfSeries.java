package app.jemble.series.entry;

import app.jemble.core.record.PersonId;
import app.jemble.core.series.EntryState;
import app.jemble.series.OpenSeries;
import app.jemble.series.SeriesStep;
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
   * @param passedOverWhy why the step that is asked for passed them over; null where none is
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
      String passedOverWhy) {}

  /**
   * Which of them are asked for; each part that is null asks for all.
   *
   * @param waitsFor those for whom this step is next
   * @param passedOverBy those whom this step passed over
   */
  public record Asked(EntryState state, Long waitsFor, Long passedOverBy, PersonId person) {}

  /**
   * The same as the table knows it.
   *
   * @param past the steps after which a step is next; 0 for none
   */
  record Stored(EntryState state, Long[] past, Long passedOverBy, PersonId person) {}

  private final EntryMapper entries;
  private final OpenSeries open;

  PeopleOfSeries(EntryMapper entries, OpenSeries open) {
    this.entries = entries;
    this.open = open;
  }

  /**
   * @param after the entry after which the page begins; 0 for the first
   */
  public List<Somebody> after(long seriesId, Asked which, long after) {
    open.find(seriesId);
    Stored stored =
        which.waitsFor() == null
            ? new Stored(which.state(), null, which.passedOverBy(), which.person())
            : new Stored(
                EntryState.IN,
                pastBefore(seriesId, which.waitsFor()),
                which.passedOverBy(),
                which.person());
    return entries.people(seriesId, stored, after, PAGE);
  }

  private Long[] pastBefore(long seriesId, long stepId) {
    return SeriesStep.inOrder(open.steps(seriesId)).leadingTo(stepId).stream()
        .map(passed -> passed == null ? 0L : passed)
        .toArray(Long[]::new);
  }
}
