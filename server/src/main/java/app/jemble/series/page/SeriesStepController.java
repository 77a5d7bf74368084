package app.jemble.series.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.series.StepBody;
import app.jemble.series.StepEditing;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The steps of a series, also while it runs. */
@RestController
@RequestMapping("/api/series/{id}")
class SeriesStepController {

  private final StepEditing steps;
  private final SeriesShown shown;

  SeriesStepController(StepEditing steps, SeriesShown shown) {
    this.steps = steps;
    this.shown = shown;
  }

  /**
   * Puts a step in.
   *
   * @param before the step that it comes before; none: at the end
   * @param finishedToo at the end: also for those who had finished
   */
  @Needs(Right.SERIES)
  @PostMapping("/steps")
  SeriesView add(
      @PathVariable long id,
      @RequestParam(required = false) Long before,
      @RequestParam(defaultValue = "false") boolean finishedToo,
      @RequestBody StepBody step) {
    steps.add(id, step, before, finishedToo);
    return shown.one(id);
  }

  /** Changes text and wait for all who have not had it. */
  @Needs(Right.SERIES)
  @PutMapping("/steps/{step}")
  SeriesView write(@PathVariable long id, @PathVariable long step, @RequestBody StepBody body) {
    steps.write(id, step, body);
    return shown.one(id);
  }

  /** Takes a step away: it is past for all. */
  @Needs(Right.SERIES)
  @DeleteMapping("/steps/{step}")
  SeriesView takeAway(@PathVariable long id, @PathVariable long step) {
    steps.takeAway(id, step);
    return shown.one(id);
  }

  /** A step that was taken away is there again for all who are not past its place. */
  @Needs(Right.SERIES)
  @PostMapping("/steps/{step}/back")
  SeriesView putBack(@PathVariable long id, @PathVariable long step) {
    steps.putBack(id, step);
    return shown.one(id);
  }

  /** Puts steps that nobody has had in another order. */
  @Needs(Right.SERIES)
  @PutMapping("/order")
  SeriesView order(@PathVariable long id, @RequestBody List<Long> wanted) {
    steps.order(id, wanted);
    return shown.one(id);
  }
}
