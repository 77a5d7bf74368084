package app.jemble.people;

import app.jemble.account.AccountService;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.record.Undoing;
import app.jemble.storage.HangsOnPerson;
import app.jemble.workspace.WorkspaceService;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Makes one person of two records: the one that stays takes the values that were chosen from the
 * other, and all that stood around the other; the other is put away and points to the one.
 */
@Service
class MergeService implements Undoing {

  private static final String MOVED = "moved:";
  private static final String ASKED_NOT = "asked_not";

  private static final Field MERGED_INTO =
      new Field("merged_into", "Merged into", FieldType.NUMBER, List.of(), Set.of());

  private static final Field INTRODUCED_BY =
      FieldCatalogue.standard().find("introduced_by").orElseThrow();

  /**
   * @param other the record that becomes part of this one
   * @param take the names of the fields whose values are the other's
   */
  record Merge(PersonId other, List<String> take) {}

  record Merged(long act) {}

  private record Hanging(HangsOnPerson.Room room, HangsOnPerson rows) {}

  private final ChangeService changes;
  private final PersonPage page;
  private final MergeMapper mapper;

  /** Messages before what goes where its message went. */
  private final List<Hanging> all;

  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  MergeService(
      ChangeService changes,
      PersonPage page,
      MergeMapper mapper,
      List<HangsOnPerson.Room> rooms,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.changes = changes;
    this.page = page;
    this.mapper = mapper;
    this.all =
        rooms.stream()
            .flatMap(room -> room.ofPeople().stream().map(rows -> new Hanging(room, rows)))
            .sorted(Comparator.comparing(h -> h.rows().kind()))
            .toList();
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  @Transactional
  Merged merge(PersonId stays, Merge merge) {
    accounts.currentWriter();
    if (stays.equals(merge.other())) {
      throw Problem.wrong("other", "A person cannot be merged with the same record.");
    }
    // In one order whoever asks, so that two merges at once do not wait for each other.
    List<PersonId> order = Stream.of(stays, merge.other()).sorted().toList();
    if (!changes.lock(order.get(0)) || !changes.lock(order.get(1))) {
      throw Problem.notFound("One of the two is not on record any more.");
    }
    PersonPage.Person staying = page.find(stays);
    PersonPage.Person other = page.find(merge.other());
    if (staying.archivedAt() != null || other.archivedAt() != null) {
      throw Problem.conflict("One of the two has been archived; take it back first.");
    }
    long batch = changes.begin("Merged " + other.name() + " into " + staying.name());
    List<PersonId> away = List.of(other.id());
    for (Hanging hanging : all) {
      HangsOnPerson what = hanging.rows();
      List<Long> moved = mapper.move(MergeSql.move(what, other.id(), stays));
      if (!moved.isEmpty()) {
        hanging.room().moved(moved);
        String field = MOVED + what.name() + ":" + stays;
        changes.noteEach(batch, moved.stream().map(m -> other.id()).toList(), field, moved);
      }
    }
    introduced(batch, stays, other.id());
    changes.set(batch, PersonService.ARCHIVED, FieldValue.moment(clock.instant()), away);
    changes.set(batch, MERGED_INTO, new FieldValue.Amount(BigDecimal.valueOf(stays.value())), away);
    takeOver(batch, stays, other, merge.take() == null ? List.of() : merge.take());
    keepWish(batch, stays, other);
    return new Merged(batch);
  }

  /** Whom the other introduced was introduced by the one who stays. */
  private void introduced(long batch, PersonId stays, PersonId other) {
    List<PersonId> brought = mapper.introducedBy(other, stays);
    if (!brought.isEmpty()) {
      changes.set(batch, INTRODUCED_BY, new FieldValue.Introducers(List.of(stays)), brought);
    }
  }

  /** A value that no two people share is given up by the one before the other takes it. */
  private void takeOver(long batch, PersonId stays, PersonPage.Person other, List<String> take) {
    for (PersonPage.PersonField value : other.fields()) {
      if (!take.contains(value.name()) || value.name().equals(ASKED_NOT)) {
        continue;
      }
      Field field =
          workspace
              .fields()
              .find(value.name())
              .filter(f -> f.allows(FieldUse.EDIT))
              .orElseThrow(() -> Problem.wrong("take", value.label() + " cannot be taken over."));
      if (field.name().equals("number")) {
        changes.set(batch, field, FieldValue.EMPTY, List.of(other.id()));
      }
      String text = field.name().equals("owner") ? mapper.ownerLogin(other.id()) : value.text();
      FieldValue read = workspace.reader().read(field, text);
      changes.set(batch, field, read, List.of(stays));
    }
  }

  /** Under whichever name somebody asked not to be written to, it holds for the one who stays. */
  private void keepWish(long batch, PersonId stays, PersonPage.Person other) {
    if (other.fields().stream()
        .anyMatch(f -> f.name().equals(ASKED_NOT) && "true".equals(f.text()))) {
      Field field = workspace.fields().find(ASKED_NOT).orElseThrow();
      changes.set(batch, field, new FieldValue.Flag(true), List.of(stays));
    }
  }

  @Override
  public boolean takes(String field) {
    return field.startsWith(MOVED);
  }

  /** Moves back what was moved, from the one who stayed to the one it is noted for. */
  @Override
  public void undo(String field, List<Noted> changes) {
    String[] whatAndWho = field.substring(MOVED.length()).split(":");
    Hanging hanging =
        all.stream().filter(h -> h.rows().name().equals(whatAndWho[0])).findFirst().orElseThrow();
    PersonId stayed = PersonId.of(whatAndWho[1]);
    for (Noted moved : changes) {
      long key = Long.parseLong(moved.after());
      mapper.moveBack(MergeSql.moveBack(hanging.rows(), key, moved.personId(), stayed));
      hanging.room().moved(List.of(key));
    }
  }
}
