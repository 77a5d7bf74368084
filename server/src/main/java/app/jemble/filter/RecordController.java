package app.jemble.filter;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Lists of the records around people: quotes, tasks, events. */
@RestController
@RequestMapping("/api/records/{many}")
class RecordController {

  /** Which records, what is shown of them, in which order, after which one. */
  record RecordQuestion(
      Selection which,
      List<String> columns,
      @Schema(nullable = true) String sortBy,
      boolean descending,
      @Schema(nullable = true) RecordAfter after) {}

  record RecordAfter(@Schema(nullable = true) String key, long id) {}

  /** How many there are, in parts. */
  record RecordTally(long total, long people, List<RecordPart> parts) {}

  record RecordPart(String part, long records) {}

  /** People once each. */
  record TheirPeople(List<PersonId> people) {}

  private final ListService lists;
  private final AskedNow asked;

  RecordController(ListService lists, AskedNow asked) {
    this.lists = lists;
    this.asked = asked;
  }

  @Needs(Right.SEE)
  @PostMapping("/page")
  List<ListRow> page(@PathVariable String many, @RequestBody RecordQuestion question) {
    RecordAfter after = question.after();
    return lists.page(
        kind(many),
        question.which().filter(),
        question.which().which(),
        new ListService.Shape(question.columns(), question.sortBy(), question.descending()),
        after == null ? null : new ListService.After(after.key(), after.id()),
        asked.byMe());
  }

  @Needs(Right.SEE)
  @PostMapping("/tally")
  RecordTally tally(@PathVariable String many, @RequestBody Selection which) {
    Map<String, Long> counts = lists.tally(kind(many), which.filter(), which.which(), asked.byMe());
    return new RecordTally(
        counts.values().stream().mapToLong(Long::longValue).sum(),
        people(many, which).people().size(),
        counts.entrySet().stream().map(e -> new RecordPart(e.getKey(), e.getValue())).toList());
  }

  /** The people whom the records belong to. */
  @Needs(Right.SEE)
  @PostMapping("/people")
  TheirPeople people(@PathVariable String many, @RequestBody Selection which) {
    return new TheirPeople(lists.peopleOf(kind(many), which.filter(), which.which(), asked.byMe()));
  }

  private static Related kind(String many) {
    return switch (many.toLowerCase(Locale.ROOT)) {
      case "quotes" -> Related.QUOTE;
      case "tasks" -> Related.TASK;
      case "events" -> Related.EVENT;
      default -> throw Problem.notFound("There is no list of " + many + ".");
    };
  }
}
