package app.jemble.response;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.response.CountingMapper.CountingRules;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How opens and clicks of software are told from people's; all see it, administrators tune it. */
@RestController
@RequestMapping("/api/counting")
class CountingController {

  private final CountingService counting;
  private final HouseHistory history;

  CountingController(CountingService counting, HouseHistory history) {
    this.counting = counting;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  CountingRules find() {
    return counting.counting();
  }

  @Needs(Right.SETTINGS)
  @Noted("Changed what counts as a response")
  @PutMapping
  CountingRules change(@RequestBody CountingRules wanted) {
    CountingRules before = counting.counting();
    CountingRules after = counting.change(wanted);
    history.tellChange("", before, after);
    return after;
  }
}
