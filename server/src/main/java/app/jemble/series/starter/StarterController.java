package app.jemble.series.starter;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Series to begin from, and the blanks of one that was begun. */
@RestController
@RequestMapping("/api")
class StarterController {

  /** A series to begin from. */
  @Schema(name = "SeriesStarter")
  record Line(String key, String name, String about, int steps) {}

  private final Starters starters;
  private final BlanksOfSeries blanks;

  StarterController(Starters starters, BlanksOfSeries blanks) {
    this.starters = starters;
    this.blanks = blanks;
  }

  @Needs(Right.SEE)
  @GetMapping("/series-starters")
  List<Line> all() {
    return starters.all().stream()
        .map(s -> new Line(s.key(), s.name(), s.about(), s.steps().size()))
        .toList();
  }

  /** The blanks left, brackets included. */
  @Needs(Right.SEE)
  @GetMapping("/series/{id}/blanks")
  List<String> blanks(@PathVariable long id) {
    return blanks.of(id);
  }

  /** Fills blanks in all steps; what is empty stays a blank. Answers those that are left. */
  @Needs(Right.SERIES)
  @PutMapping("/series/{id}/blanks")
  List<String> fill(@PathVariable long id, @RequestBody Map<String, String> values) {
    blanks.fill(id, values);
    return blanks.of(id);
  }
}
