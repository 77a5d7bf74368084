package app.jemble.people;

import app.jemble.account.AccountService;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldException;
import app.jemble.core.record.FieldReader;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.picture.PictureService;
import app.jemble.problem.Problem;
import app.jemble.record.AddedPeople;
import app.jemble.record.ChangeService;
import app.jemble.record.PersonRows;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** One person: added, changed field by field, put away and taken back. */
@Service
public class PersonService {

  static final Field ARCHIVED =
      new Field("archived", "Archived", FieldType.INSTANT, List.of(), Set.of());

  /**
   * What became of a change.
   *
   * @param version the number of the person's last change now
   * @param act the act, to take it back; null when nothing was different
   * @param conflicts fields that somebody else changed since the writer looked; nothing was saved
   *     then
   * @param meanwhile what else somebody changed since
   */
  record Saved(
      long version,
      Long act,
      List<ChangeService.Told> conflicts,
      List<ChangeService.Told> meanwhile) {}

  private final ChangeService changes;
  private final PersonMapper mapper;
  private final PersonRows rows;
  private final PictureService pictures;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;

  PersonService(
      ChangeService changes,
      PersonMapper mapper,
      PersonRows rows,
      PictureService pictures,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.changes = changes;
    this.mapper = mapper;
    this.rows = rows;
    this.pictures = pictures;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** Gives somebody a picture that is on record, or with null takes it off. */
  @Transactional
  void picture(PersonId id, String key) {
    accounts.currentWriter();
    if (key != null && pictures.find(key).isEmpty()) {
      throw Problem.wrong("key", "There is no such picture; choose it again.");
    }
    if (!rows.picture(id, key)) {
      throw Problem.notFound("There is no such person any more, or they are archived.");
    }
  }

  /** Adds a person; answers the id. */
  @Transactional
  PersonId add(Map<String, String> values) {
    Map<Field, FieldValue> read = read(values);
    if (lacks(read, "first_name") && lacks(read, "last_name") && lacks(read, "email")) {
      throw Problem.wrong("first_name", "Give at least a name or an e-mail address.");
    }
    requireAll(read);
    String kind = values.getOrDefault("kind", "contact");
    long batch = changes.begin("Added a person");
    PersonId id = rows.add(kind);
    changes.note(batch, List.of(id), AddedPeople.FIELD, null, "true");
    read.forEach((field, value) -> changes.set(batch, field, value, List.of(id)));
    changes.name(batch, "Added " + mapper.name(id));
    return id;
  }

  private static boolean lacks(Map<Field, FieldValue> read, String name) {
    return read.entrySet().stream()
        .noneMatch(e -> e.getKey().name().equals(name) && !e.getValue().isEmpty());
  }

  private void requireAll(Map<Field, FieldValue> read) {
    for (String required : workspace.requiredAttributes()) {
      if (lacks(read, required)) {
        String label = workspace.fields().find(required).orElseThrow().label();
        throw Problem.wrong(required, label + " is required for every person.");
      }
    }
  }

  /**
   * Changes fields of a person. When somebody else changed one of them since the writer looked,
   * nothing is saved and the writer is told what it is now.
   *
   * @param version the number of the person's last change that the writer has seen
   */
  @Transactional
  Saved change(PersonId id, long version, Map<String, String> values) {
    accounts.currentWriter();
    if (!changes.lock(id)) {
      throw Problem.notFound("There is no such person any more.");
    }
    Map<Field, FieldValue> read = read(values);
    List<ChangeService.Told> meanwhile = changes.history(id, version);
    List<ChangeService.Told> conflicts = firstOfEach(meanwhile, values.keySet());
    if (!conflicts.isEmpty()) {
      return new Saved(changes.version(id), null, conflicts, meanwhile);
    }
    for (String required : workspace.requiredAttributes()) {
      if (values.containsKey(required) && lacks(read, required)) {
        throw Problem.wrong(required, "This is required for every person.");
      }
    }
    String labels = read.keySet().stream().map(f -> f.label()).collect(Collectors.joining(", "));
    long batch = changes.begin("Changed " + labels + " of " + mapper.name(id));
    long changed = 0;
    for (Map.Entry<Field, FieldValue> entry : read.entrySet()) {
      changed += changes.set(batch, entry.getKey(), entry.getValue(), List.of(id));
    }
    mustHaveMembership(id, read, changed);
    return new Saved(changes.version(id), changed == 0 ? null : batch, List.of(), meanwhile);
  }

  /** Dates and dues belong to a membership; without one there is nowhere to put them. */
  private void mustHaveMembership(PersonId id, Map<Field, FieldValue> read, long changed) {
    Set<String> ofMembers = Set.of("status", "joined_on", "renews_on", "dues_owed");
    read.forEach(
        (field, value) -> {
          if (changed == 0
              && !value.isEmpty()
              && ofMembers.contains(field.name())
              && !mapper.isMember(id)) {
            throw Problem.wrong(field.name(), "Choose a plan first; a membership begins with it.");
          }
        });
  }

  private static List<ChangeService.Told> firstOfEach(
      List<ChangeService.Told> changes, Set<String> fields) {
    Map<String, ChangeService.Told> newest = new LinkedHashMap<>();
    changes.stream()
        .filter(c -> fields.contains(c.field()))
        .forEach(c -> newest.putIfAbsent(c.field(), c));
    return new ArrayList<>(newest.values());
  }

  /** Reads values by field name; a problem at the first that is none. */
  private Map<Field, FieldValue> read(Map<String, String> values) {
    FieldCatalogue fields = workspace.fields();
    FieldReader reader = workspace.reader();
    Map<Field, FieldValue> read = new LinkedHashMap<>();
    List<String> names = new ArrayList<>(values.keySet());
    // A membership begins with its plan; what belongs to it comes after.
    names.sort(Comparator.comparing(name -> !name.equals("plan")));
    names.forEach(
        name -> {
          String text = values.get(name);
          Field field =
              fields
                  .find(name)
                  .filter(f -> f.allows(FieldUse.EDIT))
                  .orElseThrow(() -> Problem.wrong(name, "“" + name + "” cannot be set."));
          try {
            read.put(field, reader.read(field, text));
          } catch (FieldException wrong) {
            throw Problem.wrong(name, wrong.getMessage());
          }
          owns(field, read.get(field));
        });
    return read;
  }

  private void owns(Field field, FieldValue value) {
    if (field.name().equals("owner")
        && value instanceof FieldValue.Text login
        && !accounts.isThere(login.text())) {
      throw Problem.wrong("owner", "There is no colleague named “" + login.text() + "”.");
    }
  }
}
