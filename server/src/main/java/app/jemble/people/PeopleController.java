package app.jemble.people;

import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.FilterSentence;
import app.jemble.core.reach.Reach;
import app.jemble.filter.AskedNow;
import app.jemble.filter.FilterBody;
import app.jemble.filter.ListRow;
import app.jemble.filter.ListService;
import app.jemble.filter.SlicedTally;
import app.jemble.workspace.Problem;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tools.jackson.databind.ObjectMapper;

/** People found by a filter. Questions are POSTs, since a filter does not fit an address. */
@RestController
@RequestMapping("/api/people")
class PeopleController {

  /**
   * How many match, split by reach.
   *
   * @param sentence the filter in words
   * @param looked with of: how far the counting has come; the same when it is done
   */
  record PeopleTally(String sentence, long total, List<ReachPart> parts, long looked, long of) {}

  /** A part of the tally. */
  record ReachPart(Reach reach, String words, long people) {}

  /**
   * @param reach only people of this reach; null for all
   * @param picks only these people; null for all
   * @param columns the names of the fields to show
   * @param sortBy the name of a field; null for the name
   * @param after the last person of the page before; null for the first page
   */
  record PageQuestion(
      FilterBody filter,
      @Schema(nullable = true) Reach reach,
      @Schema(nullable = true) List<Long> picks,
      List<String> columns,
      @Schema(nullable = true) String sortBy,
      boolean descending,
      @Schema(nullable = true) After after) {}

  /** Where a page begins: after this person. */
  record After(@Schema(nullable = true) String key, long id) {}

  private final ListService lists;
  private final SlicedTally sliced;
  private final AskedNow asked;
  private final PersonPage personPage;
  private final ObjectMapper json;

  PeopleController(
      ListService lists,
      SlicedTally sliced,
      AskedNow asked,
      PersonPage personPage,
      ObjectMapper json) {
    this.lists = lists;
    this.sliced = sliced;
    this.asked = asked;
    this.personPage = personPage;
    this.json = json;
  }

  @PostMapping("/tally")
  PeopleTally tally(@RequestBody FilterBody filter) {
    return tally(sentence(filter), lists.tally(null, filter, asked.byMe()), 0, 0);
  }

  /**
   * The tally as one JSON document a line, each better than the one before, until all people have
   * been looked at. Whoever stops reading ends the counting.
   */
  @PostMapping(path = "/tally/watch", produces = MediaType.APPLICATION_NDJSON_VALUE)
  ResponseEntity<StreamingResponseBody> watch(@RequestBody FilterBody filter) {
    AsOf asOf = asked.byMe();
    String sentence = sentence(filter);
    lists.condition(null, filter, asOf);
    return ResponseEntity.ok(
        out ->
            sliced.count(
                filter,
                asOf,
                so -> {
                  PeopleTally tally = tally(sentence, so.parts(), so.looked(), so.of());
                  String line = json.writeValueAsString(tally) + "\n";
                  out.write(line.getBytes(StandardCharsets.UTF_8));
                  out.flush();
                }));
  }

  private String sentence(FilterBody filter) {
    return FilterSentence.of(filter.toFilter(lists.fields(null)));
  }

  private static PeopleTally tally(
      String sentence, Map<String, Long> counts, long looked, long of) {
    List<ReachPart> parts =
        Arrays.stream(Reach.values())
            .filter(r -> counts.containsKey(r.name()))
            .map(r -> new ReachPart(r, r.words(), counts.get(r.name())))
            .toList();
    long total = counts.values().stream().mapToLong(Long::longValue).sum();
    return new PeopleTally(sentence, total, parts, looked, of);
  }

  @PostMapping("/page")
  List<ListRow> page(@RequestBody PageQuestion question) {
    After after = question.after();
    return lists.page(
        null,
        question.filter(),
        new ListService.Which(question.reach(), question.picks()),
        new ListService.Shape(question.columns(), question.sortBy(), question.descending()),
        after == null ? null : new ListService.After(after.key(), after.id()),
        asked.byMe());
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
