package app.jemble.check;

import app.jemble.core.check.NameCheck;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.people.PersonRecord;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import app.jemble.record.FieldJson;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** First names corrected for many at once. */
@Service
class NameMends {

  static final int MOST_NAMES = 500;

  /** A first name as it is and as it would be. */
  record NameMend(PersonId personId, String name, String before, String after) {}

  record NewName(PersonId personId, String firstName) {}

  /**
   * @param act to take it back
   */
  record Mended(long act, String words, long changed) {}

  private final ChangeService changes;
  private final WorkspaceService workspace;
  private final FieldJson json;

  NameMends(ChangeService changes, WorkspaceService workspace, FieldJson json) {
    this.changes = changes;
    this.workspace = workspace;
    this.json = json;
  }

  List<NameMend> proposed(List<PersonRecord> people) {
    return people.stream()
        .filter(p -> p.firstName() != null)
        .map(p -> new NameMend(p.id(), p.name(), p.firstName(), NameCheck.corrected(p.firstName())))
        .toList();
  }

  /** Gives people other first names, as one act that is taken back whole. */
  @Transactional
  Mended rename(List<NewName> names) {
    if (names.isEmpty() || names.size() > MOST_NAMES) {
      throw Problem.wrong("names", "Correct between 1 and 500 names at once.");
    }
    if (names.stream().anyMatch(n -> n.firstName() == null || n.firstName().isBlank())) {
      throw Problem.wrong("names", "A name cannot be empty.");
    }
    long batch = changes.begin("Corrected first names");
    Field field = workspace.fields().find("first_name").orElseThrow();
    long changed =
        changes.setEach(
            batch,
            field,
            names.stream().map(NewName::personId).toList(),
            names.stream().map(n -> json.write(FieldValue.text(n.firstName().strip()))).toList());
    String words =
        changed == 1
            ? "Corrected the first name of 1 person"
            : String.format(Locale.ROOT, "Corrected the first names of %,d people", changed);
    changes.name(batch, words);
    return new Mended(batch, words, changed);
  }
}
