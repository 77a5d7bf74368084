package app.jemble.people;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.FilterSentence;
import app.jemble.core.reach.Reach;
import app.jemble.filter.AskedNow;
import app.jemble.filter.FilterBody;
import app.jemble.filter.ListRow;
import app.jemble.filter.ListService;
import app.jemble.filter.Selection;
import app.jemble.filter.SlicedTally;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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
   * @param columns the names of the fields to show
   * @param sortBy the name of a field; null for the name
   * @param after the last person of the page before; null for the first page
   */
  record PageQuestion(
      Selection who,
      List<String> columns,
      @Schema(nullable = true) String sortBy,
      boolean descending,
      @Schema(nullable = true) After after) {}

  /** Where a page begins: after this person. */
  record After(@Schema(nullable = true) String key, long id) {}

  private final ListService lists;
  private final SlicedTally sliced;
  private final AskedNow asked;
  private final ObjectMapper json;

  PeopleController(ListService lists, SlicedTally sliced, AskedNow asked, ObjectMapper json) {
    this.lists = lists;
    this.sliced = sliced;
    this.asked = asked;
    this.json = json;
  }

  @Needs(Right.SEE)
  @PostMapping("/tally")
  PeopleTally tally(@RequestBody Selection who) {
    Map<String, Long> counts = lists.tally(null, who.filter(), who.which(), asked.byMe());
    return tally(sentence(who.filter()), counts, 0, 0);
  }

  /**
   * The tally as one JSON document a line, each better than the one before, until all people have
   * been looked at. Whoever stops reading ends the counting.
   */
  @Needs(Right.SEE)
  @PostMapping(path = "/tally/watch", produces = MediaType.APPLICATION_NDJSON_VALUE)
  ResponseEntity<StreamingResponseBody> watch(@RequestBody Selection who) {
    AsOf asOf = asked.byMe();
    String sentence = sentence(who.filter());
    lists.condition(null, who.filter(), asOf);
    return ResponseEntity.ok(
        out ->
            sliced.count(
                who.filter(),
                who.which(),
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

  @Needs(Right.SEE)
  @PostMapping("/page")
  List<ListRow> page(@RequestBody PageQuestion question) {
    After after = question.after();
    return lists.page(
        null,
        question.who().filter(),
        question.who().which(),
        new ListService.Shape(question.columns(), question.sortBy(), question.descending()),
        after == null ? null : new ListService.After(after.key(), after.id()),
        asked.byMe());
  }
}
