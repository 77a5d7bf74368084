package app.jemble.response;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How opens and clicks of software are told from people's; all see it, administrators tune it. */
@RestController
@RequestMapping("/api/counting")
class CountingController {

  /**
   * @param withinSeconds a fetch up to so long after the hand-over is software's
   * @param agents and one whose User-Agent has a name that ends in such a word
   * @param ranges and one from such an address, as 192.0.2.0/24
   */
  record CountingRules(int withinSeconds, List<String> agents, List<String> ranges) {}

  private final CountingService counting;

  CountingController(CountingService counting) {
    this.counting = counting;
  }

  @GetMapping
  CountingRules find() {
    return rules(counting.counting());
  }

  @PutMapping
  CountingRules change(@RequestBody CountingRules wanted) {
    return rules(
        counting.change(
            new CountingMapper.Counting(wanted.withinSeconds(), wanted.agents(), wanted.ranges())));
  }

  private static CountingRules rules(CountingMapper.Counting c) {
    return new CountingRules(c.withinSeconds(), c.agents(), c.ranges());
  }
}
