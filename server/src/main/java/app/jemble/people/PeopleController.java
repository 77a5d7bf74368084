package app.jemble.people;

import app.jemble.core.filter.FilterSentence;
import app.jemble.core.reach.Reach;
import app.jemble.filter.FilterBody;
import app.jemble.workspace.Problem;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** People found by a filter. Questions are POSTs, since a filter does not fit an address. */
@RestController
@RequestMapping("/api/people")
class PeopleController {

  /**
   * How many match, split by reach.
   *
   * @param sentence the filter in words
   */
  record PeopleTally(String sentence, long total, List<ReachPart> parts) {}

  /** A part of the tally. */
  record ReachPart(Reach reach, String words, long people) {}

  /**
   * @param reach only people of this reach; null for all
   * @param after the last person of the page before; null for the first page
   */
  record PageQuestion(
      FilterBody filter,
      @Schema(nullable = true) Reach reach,
      @Schema(nullable = true) After after) {}

  /** Where a page begins: after this person. */
  record After(String nameKey, long id) {}

  private final PeopleService people;
  private final PersonPage personPage;
  private final WorkspaceService workspace;

  PeopleController(PeopleService people, PersonPage personPage, WorkspaceService workspace) {
    this.people = people;
    this.personPage = personPage;
    this.workspace = workspace;
  }

  @PostMapping("/tally")
  PeopleTally tally(@RequestBody FilterBody filter) {
    Map<Reach, Long> counts = people.tally(filter);
    List<ReachPart> parts =
        Arrays.stream(Reach.values())
            .filter(counts::containsKey)
            .map(r -> new ReachPart(r, r.words(), counts.get(r)))
            .toList();
    return new PeopleTally(
        FilterSentence.of(filter.toFilter(workspace.fields())),
        counts.values().stream().mapToLong(Long::longValue).sum(),
        parts);
  }

  @PostMapping("/page")
  List<PersonRow> page(@RequestBody PageQuestion question) {
    After after = question.after();
    return people.page(
        question.filter(),
        question.reach(),
        after == null ? null : after.nameKey(),
        after == null ? null : after.id());
  }

  @GetMapping("/{id}")
  PersonPage.Person person(@PathVariable long id) {
    PersonPage.Person person = personPage.find(id);
    if (person == null) {
      throw Problem.notFound("There is no such person any more.");
    }
    return person;
  }
}
