package app.jemble.exchange;

import app.jemble.account.AccountService;
import app.jemble.core.exchange.ColumnMatch;
import app.jemble.core.paper.Country;
import app.jemble.core.reach.ConsentFields;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.PersonId;
import app.jemble.record.ChangeService;
import app.jemble.record.FieldJson;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** The dry run: what would become of each row, with nothing changed. */
@Service
class ImportChecker {

  static final int CHUNK = 2000;
  private static final List<String> OF_MEMBERS =
      List.of("status", "joined_on", "renews_on", "dues_owed");

  private final ImportMapper mapper;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final ChangeService changes;
  private final ConsentsBroughtIn consents;
  private final FieldJson fieldJson;
  private final ObjectMapper json;
  private final Clock clock;

  ImportChecker(
      ImportMapper mapper,
      WorkspaceService workspace,
      AccountService accounts,
      ChangeService changes,
      ConsentsBroughtIn consents,
      FieldJson fieldJson,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.accounts = accounts;
    this.changes = changes;
    this.consents = consents;
    this.fieldJson = fieldJson;
    this.json = json;
    this.clock = clock;
  }

  void check(long id, ImportChoices choices) {
    FieldCatalogue fields = workspace.fields();
    readRows(id, choices, fields);
    mapper.analyze();
    mapper.refuseTwice(id);
    mapper.match(id);
    if (choices.columns().contains(ColumnMatch.WHOLE_NAME)) {
      mapper.keepNames(id);
    }
    if (choices.columns().contains("number")) {
      mapper.refuseTakenNumbers(id);
      mapper.refuseNumbersTwice(id);
    }
    mapper.refuseWithoutPlan(id, OF_MEMBERS);
    for (String required : workspace.requiredAttributes()) {
      mapper.refuseWithout(id, required, fields.find(required).orElseThrow().label());
    }
    compare(id, fields);
  }

  private void readRows(long id, ImportChoices choices, FieldCatalogue fields) {
    RowReader reader =
        new RowReader(
            choices,
            fields,
            workspace.reader(choices.days()),
            accounts.all(),
            new Country(workspace.current().region()),
            fieldJson);
    int after = 0;
    int done = 0;
    while (true) {
      List<ImportMapper.RawRow> rows = mapper.rawRows(id, after, CHUNK);
      if (rows.isEmpty()) {
        return;
      }
      List<RowReader.Read> read = rows.parallelStream().map(r -> reader.read(r.cells())).toList();
      mapper.putValues(
          id,
          rows.stream().map(r -> (long) r.rowNo()).toArray(Long[]::new),
          read.stream().map(RowReader.Read::values).toList(),
          list(read.stream().map(RowReader.Read::problem).toArray(String[]::new)),
          list(read.stream().map(RowReader.Read::note).toArray(String[]::new)),
          list(read.stream().map(RowReader.Read::key).toArray(String[]::new)));
      after = rows.get(rows.size() - 1).rowNo();
      done += rows.size();
      mapper.progress(id, done, clock.instant());
    }
  }

  /** A list that may hold nulls. */
  private static List<String> list(String[] texts) {
    return Arrays.asList(texts);
  }

  /** Whoever is on record is changed by a row, or is so already. */
  private void compare(long id, FieldCatalogue fields) {
    int after = 0;
    while (true) {
      List<ImportMapper.ReadRow> rows = mapper.unjudged(id, after, CHUNK);
      if (rows.isEmpty()) {
        return;
      }
      Map<PersonId, Boolean> differs = differing(rows, fields);
      mapper.mark(id, rowNumbers(rows, differs, true), "changed");
      mapper.mark(id, rowNumbers(rows, differs, false), "same");
      after = rows.get(rows.size() - 1).rowNo();
      mapper.progress(id, rows.size(), clock.instant());
    }
  }

  private static Long[] rowNumbers(
      List<ImportMapper.ReadRow> rows, Map<PersonId, Boolean> differs, boolean wanted) {
    return rows.stream()
        .filter(r -> differs.getOrDefault(r.personId(), false) == wanted)
        .map(r -> (long) r.rowNo())
        .toArray(Long[]::new);
  }

  private Map<PersonId, Boolean> differing(List<ImportMapper.ReadRow> rows, FieldCatalogue fields) {
    Map<PersonId, Boolean> differs = new HashMap<>();
    Map<String, List<PersonId>> people = new HashMap<>();
    Map<String, List<String>> values = new HashMap<>();
    for (ImportMapper.ReadRow row : rows) {
      JsonNode all = json.readTree(row.values());
      all.properties()
          .forEach(
              e -> {
                people.computeIfAbsent(e.getKey(), f -> new ArrayList<>()).add(row.personId());
                values
                    .computeIfAbsent(e.getKey(), f -> new ArrayList<>())
                    .add(e.getValue().toString());
              });
    }
    people.forEach(
        (name, whose) ->
            differing(name, whose, values.get(name), fields).forEach(p -> differs.put(p, true)));
    return differs;
  }

  /** Whom a column would change. */
  private List<PersonId> differing(
      String name, List<PersonId> whose, List<String> values, FieldCatalogue fields) {
    if (ConsentFields.way(name).isPresent()) {
      List<PersonId> asked = new ArrayList<>();
      for (int i = 0; i < values.size(); i++) {
        if (values.get(i).equals("true")) {
          asked.add(whose.get(i));
        }
      }
      return consents.stillOpen(name, asked);
    }
    return changes.differing(fields.find(name).orElseThrow(), whose, values);
  }
}
