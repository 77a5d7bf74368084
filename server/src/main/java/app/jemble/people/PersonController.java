package app.jemble.people;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.filter.ListService;
import app.jemble.problem.Problem;
import app.jemble.record.ChangeService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One person, and acts on many. */
@RestController
@RequestMapping("/api/people")
class PersonController {

  /** A new person's values by field name, as people write them. */
  record NewPerson(Map<String, String> values) {}

  record PersonAdded(PersonId id) {}

  /** A picture that was put on record before; null for none. */
  record PersonPicture(@Schema(nullable = true) String key) {}

  /**
   * @param version the number of the last change that the writer has seen
   * @param values by field name, as people write them; null empties the field
   */
  record PersonChange(long version, Map<String, String> values) {}

  /** What became of a change; see PersonService.Saved. */
  record PersonSaved(
      long version,
      @Schema(nullable = true) Long act,
      List<ChangeTold> conflicts,
      List<ChangeTold> meanwhile) {}

  /** A change in the history; see ChangeService.Told. */
  record ChangeTold(
      long id,
      long act,
      String field,
      String before,
      String after,
      Instant at,
      String by,
      String words,
      boolean undone,
      boolean mayBeUndone) {}

  private final PersonPage page;
  private final PersonService people;
  private final BulkService acts;
  private final MergeService merging;
  private final ChangeService changes;
  private final PersonMapper mapper;

  PersonController(
      PersonPage page,
      PersonService people,
      BulkService acts,
      MergeService merging,
      ChangeService changes,
      PersonMapper mapper) {
    this.page = page;
    this.people = people;
    this.acts = acts;
    this.merging = merging;
    this.changes = changes;
    this.mapper = mapper;
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}")
  PersonPage.Person person(@PathVariable PersonId id) {
    return page.find(id);
  }

  /** What passed between us, newest first; {@code before} goes on where a page ended. */
  @Needs(Right.SEE)
  @GetMapping("/{id}/between")
  List<PersonPage.Happening> between(
      @PathVariable PersonId id, @RequestParam(required = false) Instant before) {
    return page.between(id, before);
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}/history")
  List<ChangeTold> history(@PathVariable PersonId id) {
    return told(changes.history(id, 0));
  }

  @Needs(Right.CHANGE_PEOPLE)
  @PostMapping
  PersonAdded add(@RequestBody NewPerson person) {
    return new PersonAdded(people.add(given(person.values())));
  }

  @Needs(Right.CHANGE_PEOPLE)
  @PutMapping("/{id}")
  PersonSaved change(@PathVariable PersonId id, @RequestBody PersonChange change) {
    PersonService.Saved saved = people.change(id, change.version(), given(change.values()));
    return new PersonSaved(
        saved.version(), saved.act(), told(saved.conflicts()), told(saved.meanwhile()));
  }

  /** Gives somebody a picture, or with null takes it off. */
  @Needs(Right.CHANGE_PEOPLE)
  @PutMapping("/{id}/picture")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void picture(@PathVariable PersonId id, @RequestBody PersonPicture picture) {
    people.picture(id, picture.key());
  }

  @Needs(Right.CHANGE_PEOPLE)
  @PostMapping("/{id}/merge")
  MergeService.Merged merge(@PathVariable PersonId id, @RequestBody MergeService.Merge merge) {
    return merging.merge(id, merge);
  }

  /** Does something with many people at once. */
  @Needs(Right.CHANGE_PEOPLE)
  @PostMapping("/bulk")
  BulkService.ActDone act(@RequestBody BulkService.Act act) {
    return acts.act(act);
  }

  /** What people who are picked have in a field, before it is set for all of them. */
  @Needs(Right.CHANGE_PEOPLE)
  @PostMapping("/values")
  List<ListService.ValueShare> values(@RequestBody BulkService.FieldOfMany of) {
    return acts.values(of);
  }

  /** How many of those who are picked hold an office, before it is given or ended. */
  @Needs(Right.CHANGE_PEOPLE)
  @PostMapping("/holding")
  BulkService.Holding holding(@RequestBody BulkService.OfficeOfMany of) {
    return acts.holding(of);
  }

  /** Tags in use, those of most people first. */
  @Needs(Right.SEE)
  @GetMapping("/tags")
  List<String> tags() {
    return mapper.tags();
  }

  private static Map<String, String> given(Map<String, String> values) {
    if (values == null || values.isEmpty()) {
      throw Problem.wrong("values", "Say what is to be set.");
    }
    return values;
  }

  private static List<ChangeTold> told(List<ChangeService.Told> changes) {
    return changes.stream()
        .map(
            c ->
                new ChangeTold(
                    c.id(),
                    c.batchId(),
                    c.field(),
                    c.before(),
                    c.after(),
                    c.at(),
                    c.by(),
                    c.words(),
                    c.undone(),
                    c.mayBeUndone()))
        .toList();
  }
}
