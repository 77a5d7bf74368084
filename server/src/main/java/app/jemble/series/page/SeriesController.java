package app.jemble.series.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.series.SeriesState;
import app.jemble.sending.SendingService;
import app.jemble.series.SeriesBody;
import app.jemble.series.SeriesMoves;
import app.jemble.series.SeriesService;
import app.jemble.series.entry.SeriesOutlook;
import app.jemble.series.entry.SeriesTally;
import app.jemble.series.entry.SeriesTally.Counts;
import app.jemble.series.starter.Starters;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Series: begun, changed, activated, paused, ended. */
@RestController
@RequestMapping("/api/series")
class SeriesController {

  /** A series in the list of all. */
  @Schema(name = "SeriesLine")
  record Line(long id, String name, SeriesState state, long in, long finished, long ended) {}

  /**
   * What a series begins with.
   *
   * @param starter the one it begins from; null for an empty one
   */
  @Schema(name = "SeriesBegun")
  record Begun(String name, long topicId, @Schema(nullable = true) String starter) {}

  /**
   * @param waitsStoodStill whether the time of the pause does not count as waited
   */
  @Schema(name = "SeriesGoesOn")
  record GoesOn(boolean waitsStoodStill) {}

  /**
   * What a series will come to.
   *
   * @param dailyCap messages a day of all mailings together; null for no limit
   */
  record SeriesAhead(SeriesOutlook.Outlook outlook, @Schema(nullable = true) Integer dailyCap) {}

  private final SeriesService series;
  private final Starters starters;
  private final SeriesMoves moves;
  private final SeriesShown shown;
  private final SeriesTally tallies;
  private final SeriesOutlook outlook;
  private final SendingService sending;

  SeriesController(
      SeriesService series,
      Starters starters,
      SeriesMoves moves,
      SeriesShown shown,
      SeriesTally tallies,
      SeriesOutlook outlook,
      SendingService sending) {
    this.series = series;
    this.starters = starters;
    this.moves = moves;
    this.shown = shown;
    this.tallies = tallies;
    this.outlook = outlook;
    this.sending = sending;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<Line> all() {
    return series.all().stream()
        .map(
            s -> {
              Counts of = tallies.of(s.id()).counts();
              return new Line(s.id(), s.name(), s.state(), of.in(), of.finished(), of.ended());
            })
        .toList();
  }

  @Needs(Right.SERIES)
  @PostMapping
  SeriesView begin(@RequestBody Begun begun) {
    return shown.one(
        begun.starter() == null
            ? series.create(begun.name(), begun.topicId(), false)
            : starters.begin(begun.starter(), begun.name(), begun.topicId()));
  }

  /** Messages a day for four weeks, and for whom something is amiss. */
  @Needs(Right.SEE)
  @GetMapping("/{id}/outlook")
  SeriesAhead outlook(@PathVariable long id) {
    return new SeriesAhead(outlook.of(id), sending.dailyCap());
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}")
  SeriesView one(@PathVariable long id) {
    return shown.one(id);
  }

  @Needs(Right.SERIES)
  @PutMapping("/{id}")
  SeriesView write(@PathVariable long id, @RequestBody SeriesBody body) {
    series.write(id, body);
    return shown.one(id);
  }

  /** From now on people can come in, and what is due leaves. */
  @Needs(Right.SERIES)
  @PostMapping("/{id}/activate")
  SeriesView activate(@PathVariable long id) {
    moves.activate(id);
    return shown.one(id);
  }

  /** Nothing leaves until it goes on. */
  @Needs(Right.SERIES)
  @PostMapping("/{id}/pause")
  SeriesView pause(@PathVariable long id) {
    moves.pause(id);
    return shown.one(id);
  }

  @Needs(Right.SERIES)
  @PostMapping("/{id}/go-on")
  SeriesView goOn(@PathVariable long id, @RequestBody GoesOn how) {
    moves.goOn(id, how.waitsStoodStill());
    return shown.one(id);
  }

  /** Nothing of it leaves any more, to anybody. */
  @Needs(Right.SERIES)
  @PostMapping("/{id}/end")
  SeriesView end(@PathVariable long id) {
    moves.end(id);
    return shown.one(id);
  }
}
