package app.jemble.workspace.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.house.StandingWord;
import app.jemble.core.house.StandingWord.About;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.workspace.StandingWords;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Statuses of members and stages of leads: everybody sees them, whoever has the right changes them.
 */
@RestController
@RequestMapping("/api/house/standing")
class StandingWordController {

  /**
   * A word.
   *
   * @param retired whether it is given to nobody any more
   * @param counts whether whoever has it is a current member; of statuses alone
   * @param people how many have it; of kinds of tasks, how many are open
   */
  record HouseStanding(String name, boolean retired, boolean counts, long people) {}

  record StandingTable(
      List<HouseStanding> statuses, List<HouseStanding> stages, List<HouseStanding> tasks) {}

  record StandingDraft(String name) {}

  record NewStandingName(String name, String to) {}

  record StandingOrder(List<String> names) {}

  record StandingCounts(String name, boolean counts) {}

  record StandingRetired(String name, boolean retired) {}

  private final StandingWords words;
  private final HouseHistory history;

  StandingWordController(StandingWords words, HouseHistory history) {
    this.words = words;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  StandingTable table() {
    Map<String, Long> people =
        words.holders().stream()
            .collect(Collectors.toMap(h -> h.about() + " " + h.name(), h -> h.people()));
    return new StandingTable(
        told(About.STATUS, people), told(About.STAGE, people), told(About.TASK, people));
  }

  private List<HouseStanding> told(About about, Map<String, Long> people) {
    return words.all().get(about).stream().map(word -> told(about, word, people)).toList();
  }

  private static HouseStanding told(About about, StandingWord word, Map<String, Long> people) {
    return new HouseStanding(
        word.name(),
        word.isRetired(),
        word.counts(),
        people.getOrDefault(about + " " + word.name(), 0L));
  }

  @Needs(Right.SETTINGS)
  @Noted("Added a status, a stage or a kind of task")
  @PostMapping("/{about}")
  StandingTable add(@PathVariable("about") About about, @RequestBody StandingDraft draft) {
    words.add(about, draft.name());
    history.tell(draft.name(), "", "");
    return table();
  }

  @Needs(Right.SETTINGS)
  @Noted("Renamed a status, a stage or a kind of task")
  @PutMapping("/{about}/name")
  StandingTable rename(@PathVariable("about") About about, @RequestBody NewStandingName wanted) {
    words.rename(about, wanted.name(), wanted.to());
    history.tell("", wanted.name(), wanted.to());
    return table();
  }

  @Needs(Right.SETTINGS)
  @Noted("Put statuses, stages or kinds of tasks in order")
  @PutMapping("/{about}")
  StandingTable order(@PathVariable("about") About about, @RequestBody StandingOrder order) {
    words.order(about, order.names());
    history.tell("", "", String.join(", ", order.names()));
    return table();
  }

  @Needs(Right.SETTINGS)
  @Noted("Gave up a status, a stage or a kind of task, or took it up again")
  @PutMapping("/{about}/retired")
  StandingTable retire(@PathVariable("about") About about, @RequestBody StandingRetired wanted) {
    words.retire(about, wanted.name(), wanted.retired());
    history.tell(wanted.name(), "", wanted.retired() ? "given up" : "taken up again");
    return table();
  }

  @Needs(Right.SETTINGS)
  @Noted("Said which statuses are of current members")
  @PutMapping("/STATUS/counts")
  StandingTable count(@RequestBody StandingCounts wanted) {
    words.count(wanted.name(), wanted.counts());
    history.tell(wanted.name(), "", wanted.counts() ? "current" : "not current");
    return table();
  }
}
