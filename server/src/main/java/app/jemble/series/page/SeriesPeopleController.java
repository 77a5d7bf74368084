package app.jemble.series.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.filter.FilterBody;
import app.jemble.filter.Selection;
import app.jemble.plan.SendPlan;
import app.jemble.series.entry.Entering;
import app.jemble.series.entry.Entering.Coming;
import app.jemble.series.entry.EntryActs;
import app.jemble.series.entry.EntryPlan;
import app.jemble.series.entry.PeopleOfSeries;
import app.jemble.series.entry.PeopleOfSeries.Somebody;
import app.jemble.series.entry.WayService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who is in a series. */
@RestController
@RequestMapping("/api/series/{id}/people")
class SeriesPeopleController {

  /**
   * Who comes in, and when.
   *
   * @param filter whoever it picks now; null for these people
   * @param picked those that are picked on a screen, instead of both; null for none
   * @param plan in waves; null for all at once
   */
  @Schema(name = "SeriesLetIn")
  record LetIn(
      @Schema(nullable = true) FilterBody filter,
      List<PersonId> people,
      @Schema(nullable = true) Selection picked,
      @Schema(nullable = true) SendPlan plan) {
    Coming coming() {
      return new Coming(filter, people, picked, plan);
    }
  }

  /**
   * How many came in; others are in already, or were and do not come in again.
   *
   * @param act of the history, that takes it back; null where nobody did, or too many
   */
  @Schema(name = "SeriesCameIn")
  record CameIn(int in, @Schema(nullable = true) Long act) {}

  /** Who is taken out. */
  @Schema(name = "SeriesTakeOut")
  record TakeOut(List<PersonId> people) {}

  /**
   * How many were in it and are out.
   *
   * @param act of the history, that takes it back; null where nobody was, or too many
   */
  @Schema(name = "SeriesTakenOut")
  record TakenOut(int out, @Schema(nullable = true) Long act) {}

  /**
   * @param until nothing leaves before this day begins at the workspace; null lifts that
   */
  @Schema(name = "SeriesHold")
  record Hold(@Schema(nullable = true) LocalDate until) {}

  private final Entering entering;
  private final EntryActs acts;
  private final PeopleOfSeries people;
  private final WayService ways;

  SeriesPeopleController(
      Entering entering, EntryActs acts, PeopleOfSeries people, WayService ways) {
    this.entering = entering;
    this.acts = acts;
    this.people = people;
    this.ways = ways;
  }

  /**
   * @param after the entry after which the page begins; 0 for the first
   */
  @Needs(Right.SEE)
  @GetMapping
  List<Somebody> all(
      @PathVariable long id,
      @ParameterObject PeopleOfSeries.Asked which,
      @RequestParam(defaultValue = "0") long after) {
    return people.after(id, which, after);
  }

  /** What somebody had, what comes when, and why not; of who is not in it, what would be. */
  @Needs(Right.SEE)
  @GetMapping("/{person}")
  WayService.Way way(@PathVariable long id, @PathVariable PersonId person) {
    return ways.of(id, person);
  }

  /** Sends somebody the step that is next for them, without waiting for it. */
  @Needs(Right.SERIES)
  @PostMapping("/{person}/now/{step}")
  WayService.Way sendNow(
      @PathVariable long id, @PathVariable PersonId person, @PathVariable long step) {
    acts.sendNow(id, person, step);
    return ways.of(id, person);
  }

  @Needs(Right.SERIES)
  @PostMapping
  CameIn letIn(@PathVariable long id, @RequestBody LetIn who) {
    String how = who.filter() == null || who.picked() != null ? "by hand" : "out of a filter";
    Entering.Came came = entering.letIn(id, who.coming(), how);
    return new CameIn(came.in(), came.act());
  }

  /** When they would come in, and have had the last step. */
  @Needs(Right.SEE)
  @PostMapping("/plan")
  EntryPlan plan(@PathVariable long id, @RequestBody LetIn who) {
    return entering.plan(id, who.coming());
  }

  /** What has not left to them does not. */
  @Needs(Right.SERIES)
  @PostMapping("/out")
  TakenOut takeOut(@PathVariable long id, @RequestBody TakeOut who) {
    Entering.Out out = entering.takeOut(id, who.people() == null ? List.of() : who.people());
    return new TakenOut(out.out(), out.act());
  }

  /** Nothing leaves to somebody before a day. */
  @Needs(Right.SERIES)
  @PutMapping("/{person}/hold")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void hold(@PathVariable long id, @PathVariable PersonId person, @RequestBody Hold hold) {
    acts.hold(id, person, hold.until());
  }

  /** Somebody does not get a step that they have not had. */
  @Needs(Right.SERIES)
  @PostMapping("/{person}/skip/{step}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void skip(@PathVariable long id, @PathVariable PersonId person, @PathVariable long step) {
    acts.skip(id, person, step);
  }

  /** They get it after all. */
  @Needs(Right.SERIES)
  @DeleteMapping("/{person}/skip/{step}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void skipNot(@PathVariable long id, @PathVariable PersonId person, @PathVariable long step) {
    acts.skipNot(id, person, step);
  }
}
