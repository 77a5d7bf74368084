package app.jemble.exchange;

import app.jemble.core.exchange.ColumnMatch;
import app.jemble.core.reach.ConsentFields;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.PersonId;
import app.jemble.list.PersonLists;
import app.jemble.record.ChangeService;
import app.jemble.workspace.WorkspaceService;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntConsumer;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** Takes the sound rows of a checked import into the records, as one act. */
@Service
class ImportRunner {

  private static final String ORGANISATION = "organisation.name";

  private final ImportMapper mapper;
  private final ChangeService changes;
  private final PersonLists lists;
  private final BroughtIn broughtIn;
  private final ConsentsBroughtIn consents;
  private final WorkspaceService workspace;
  private final ObjectMapper json;

  ImportRunner(
      ImportMapper mapper,
      ChangeService changes,
      PersonLists lists,
      BroughtIn broughtIn,
      ConsentsBroughtIn consents,
      WorkspaceService workspace,
      ObjectMapper json) {
    this.mapper = mapper;
    this.changes = changes;
    this.lists = lists;
    this.broughtIn = broughtIn;
    this.consents = consents;
    this.workspace = workspace;
    this.json = json;
  }

  /** Within the caller's transaction: all of it, or nothing. */
  void run(long batch, ImportRun run, ImportChoices choices, IntConsumer progress) {
    FieldCatalogue fields = workspace.fields();
    int done = addNew(batch, run, choices, fields, progress);
    change(batch, run, choices, fields, done, progress);
    putTogether(batch, run, choices, mapper.knownPeople(run.id()));
  }

  /** The series that they come into is there, and open to the colleague. */
  void mustBeOpen(ImportChoices choices) {
    if (choices.series() != null) {
      broughtIn.mustBeOpen(choices.series());
    }
  }

  /** On the list and into the series that were chosen. */
  private void putTogether(
      long batch, ImportRun run, ImportChoices choices, List<PersonId> people) {
    if (choices.list() != null) {
      lists.add(batch, choices.list(), people);
    }
    if (choices.series() != null && !people.isEmpty()) {
      broughtIn.comeInto(choices.series(), people, "imported with " + run.fileName(), batch);
    }
  }

  private int addNew(
      long batch,
      ImportRun run,
      ImportChoices choices,
      FieldCatalogue fields,
      IntConsumer progress) {
    List<Field> mapped = mapped(choices, fields);
    int after = 0;
    int done = 0;
    while (true) {
      List<ImportMapper.ReadRow> rows =
          mapper.newRows(run.id(), choices.kind(), after, ImportChecker.CHUNK);
      if (rows.isEmpty()) {
        return done;
      }
      List<String> values = rows.stream().map(ImportMapper.ReadRow::values).toList();
      needOrganisations(batch, choices, values);
      List<PersonId> people = changes.addEach(batch, mapped, values);
      askedNot(batch, run, people, values);
      putTogether(batch, run, choices, people);
      after = rows.get(rows.size() - 1).rowNo();
      done += rows.size();
      progress.accept(done);
    }
  }

  /**
   * Who asked not to be written to on a way.
   *
   * @param values of each of the people in turn, as a JSON object by field name
   */
  private void askedNot(long batch, ImportRun run, List<PersonId> people, List<String> values) {
    Map<String, List<PersonId>> asked = new LinkedHashMap<>();
    for (int i = 0; i < people.size(); i++) {
      for (Map.Entry<String, JsonNode> e : json.readTree(values.get(i)).properties()) {
        if (ConsentFields.way(e.getKey()).isPresent() && e.getValue().asBoolean()) {
          asked.computeIfAbsent(e.getKey(), f -> new ArrayList<>()).add(people.get(i));
        }
      }
    }
    asked.forEach(
        (field, whose) -> consents.close(field, whose, "brought in with " + run.fileName(), batch));
  }

  private void needOrganisations(long batch, ImportChoices choices, List<String> values) {
    if (!choices.columns().contains(ORGANISATION)) {
      return;
    }
    Set<String> names = new TreeSet<>();
    for (String row : values) {
      JsonNode name = json.readTree(row).get(ORGANISATION);
      if (name != null) {
        names.add(name.asString());
      }
    }
    if (!names.isEmpty()) {
      changes.needOrganisations(batch, List.copyOf(names));
    }
  }

  private static List<Field> mapped(ImportChoices choices, FieldCatalogue fields) {
    Set<String> names = new TreeSet<>(Set.of("kind"));
    for (String column : choices.columns()) {
      if (ColumnMatch.WHOLE_NAME.equals(column)) {
        names.addAll(List.of("first_name", "last_name"));
      } else if (ColumnMatch.WHOLE_ADDRESS.equals(column)) {
        names.addAll(ColumnMatch.PARTS_OF_ADDRESS);
        names.add("address.country");
      } else if (column != null) {
        names.add(column);
      }
    }
    return names.stream()
        .filter(name -> ConsentFields.way(name).isEmpty())
        .map(n -> fields.find(n).orElseThrow())
        .toList();
  }

  private void change(
      long batch,
      ImportRun run,
      ImportChoices choices,
      FieldCatalogue fields,
      int before,
      IntConsumer progress) {
    int after = 0;
    int done = before;
    while (true) {
      List<ImportMapper.ReadRow> rows = mapper.changedRows(run.id(), after, ImportChecker.CHUNK);
      if (rows.isEmpty()) {
        return;
      }
      needOrganisations(batch, choices, rows.stream().map(ImportMapper.ReadRow::values).toList());
      changeEach(batch, rows, fields);
      askedNot(
          batch,
          run,
          rows.stream().map(ImportMapper.ReadRow::personId).toList(),
          rows.stream().map(ImportMapper.ReadRow::values).toList());
      after = rows.get(rows.size() - 1).rowNo();
      done += rows.size();
      progress.accept(done);
    }
  }

  private void changeEach(long batch, List<ImportMapper.ReadRow> rows, FieldCatalogue fields) {
    Map<String, List<PersonId>> people = new LinkedHashMap<>();
    Map<String, List<String>> values = new LinkedHashMap<>();
    Map<String, List<PersonId>> joining = new LinkedHashMap<>();
    for (ImportMapper.ReadRow row : rows) {
      for (Map.Entry<String, JsonNode> e : json.readTree(row.values()).properties()) {
        if (ConsentFields.way(e.getKey()).isPresent()) {
          continue;
        }
        people.computeIfAbsent(e.getKey(), f -> new ArrayList<>()).add(row.personId());
        values.computeIfAbsent(e.getKey(), f -> new ArrayList<>()).add(e.getValue().toString());
        if (e.getKey().equals("plan")) {
          joining
              .computeIfAbsent(e.getValue().asString(), p -> new ArrayList<>())
              .add(row.personId());
        }
      }
    }
    joining.forEach((plan, whose) -> changes.beginMemberships(batch, plan, whose));
    people.forEach(
        (name, whose) ->
            changes.setEach(batch, fields.find(name).orElseThrow(), whose, values.get(name)));
  }
}
