package app.jemble.print.letter;

import app.jemble.core.merge.Renderer;
import app.jemble.core.merge.Template;
import app.jemble.core.merge.TemplateParser;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.PersonId;
import app.jemble.people.PeopleService;
import app.jemble.people.PersonRecord;
import app.jemble.people.PersonValues;
import app.jemble.problem.Problem;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What the files of single letters are to be called, by merge fields of their readers. */
@Component
class LetterNaming {

  private static final String USUAL = "{{last_name}} {{first_name}}";
  private static final int LONGEST = 200;

  private final PeopleService people;
  private final PersonValues values;
  private final WorkspaceService workspace;

  LetterNaming(PeopleService people, PersonValues values, WorkspaceService workspace) {
    this.people = people;
    this.values = values;
    this.workspace = workspace;
  }

  /**
   * A name that holds merge fields; a problem when it cannot be read.
   *
   * @param names null for the usual ones
   */
  Template read(String names) {
    String wanted = names == null || names.isBlank() ? USUAL : names;
    if (wanted.length() > LONGEST) {
      throw Problem.wrong("names", "A file's name has at most 200 letters.");
    }
    TemplateParser.Parsed parsed =
        TemplateParser.parse(wanted, TemplateParser.Kind.HEADER, workspace.fields());
    parsed.errors().stream()
        .findFirst()
        .ifPresent(
            e -> {
              throw Problem.wrong("names", e.sentence());
            });
    return parsed.template().orElseThrow();
  }

  /** As their readers are on record now; who is gone has none. */
  Map<PersonId, String> of(Template names, List<PersonId> readers) {
    FieldCatalogue fields = workspace.fields();
    Workspace house = workspace.current();
    Map<PersonId, String> all = new HashMap<>();
    for (PersonRecord person : people.records(readers)) {
      Locale language = Locale.forLanguageTag(person.language());
      all.put(
          person.id(),
          Renderer.render(names, values.of(person, fields), language, house.zoneId()).text());
    }
    return all;
  }
}
