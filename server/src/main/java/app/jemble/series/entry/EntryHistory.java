package app.jemble.series.entry;

import app.jemble.core.record.PersonId;
import app.jemble.record.ChangeService;
import app.jemble.record.Undoing;
import app.jemble.series.Series;
import app.jemble.series.entry.ComingMapper.EntryOf;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Component;

/** Notes in the history who came into a series and who was taken out, and takes that back. */
@Component
class EntryHistory implements Undoing {

  /** More are not noted one by one: to note them would take as long as to let them in. */
  static final int MOST = 100_000;

  private static final String CAME_IN = "series_in";
  private static final String TAKEN_OUT = "series_out";

  private final ComingMapper entries;
  private final ChangeService changes;
  private final Clock clock;

  EntryHistory(ComingMapper entries, ChangeService changes, Clock clock) {
    this.entries = entries;
    this.changes = changes;
    this.clock = clock;
  }

  /** Answers the act that takes it back; null where nobody came in, or too many did. */
  Long cameIn(Series series, List<EntryOf> whom) {
    return noted("let into " + name(series), CAME_IN, whom);
  }

  /** Answers the act that takes it back; null where nobody was taken out, or too many were. */
  Long takenOut(Series series, List<EntryOf> whom) {
    return noted("taken out of " + name(series), TAKEN_OUT, whom);
  }

  /** A series of one colleague's own is not named to others, who read the history too. */
  private static String name(Series series) {
    return series.isPrivate() ? "a series" : "“" + series.name() + "”";
  }

  private Long noted(String words, String what, List<EntryOf> whom) {
    if (whom.isEmpty() || whom.size() > MOST) {
      return null;
    }
    long act = changes.begin(words);
    note(act, what, whom);
    return act;
  }

  /** They came in by an act that did other things too. */
  void cameInBy(long act, List<EntryOf> whom) {
    if (whom.size() <= MOST) {
      note(act, CAME_IN, whom);
    }
  }

  private void note(long act, String what, List<EntryOf> whom) {
    List<PersonId> people = whom.stream().map(EntryOf::personId).toList();
    changes.noteEach(act, people, what, whom.stream().map(EntryOf::id).toList());
  }

  @Override
  public boolean takes(String field) {
    return field.equals(CAME_IN) || field.equals(TAKEN_OUT);
  }

  @Override
  public void undo(String field, List<Noted> noted) {
    Long[] ids = noted.stream().map(n -> Long.valueOf(n.after())).toArray(Long[]::new);
    if (field.equals(CAME_IN)) {
      entries.neverCame(ids);
      entries.takeBack(ids, "letting them in was taken back", clock.instant());
    } else {
      entries.backIn(ids, clock.instant());
    }
  }
}
