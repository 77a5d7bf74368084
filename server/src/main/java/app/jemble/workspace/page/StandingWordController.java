package app.jemble.workspace.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.house.StandingWord;
import app.jemble.core.house.StandingWord.About;
import app.jemble.filter.AskedNow;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.workspace.StandingWords;
import java.time.LocalDate;
import java.util.EnumMap;
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
 * Statuses, stages, kinds of tasks and offices: everybody sees them, whoever has the right changes
 * them.
 */
@RestController
@RequestMapping("/api/house/standing")
class StandingWordController {

  /**
   * A word.
   *
   * @param retired whether it is given to nobody any more
   * @param counts whether whoever has it is a current member; of statuses alone
   * @param group of an office: what it is written to together with others by; empty for none
   * @param people how many have it; of kinds of tasks, how many are open
   */
  record HouseStanding(String name, boolean retired, boolean counts, String group, long people) {}

  record StandingTable(
      List<HouseStanding> statuses,
      List<HouseStanding> stages,
      List<HouseStanding> tasks,
      List<HouseStanding> offices,
      List<StandingWords.OfficeGroup> groups) {}

  record StandingDraft(String name) {}

  record NewStandingName(String name, String to) {}

  record StandingOrder(List<String> names) {}

  record StandingCounts(String name, boolean counts) {}

  record StandingRetired(String name, boolean retired) {}

  /** An office, and the group that it is in; empty for none. */
  record StandingGroup(String name, String group) {}

  private final StandingWords words;
  private final AskedNow asked;
  private final HouseHistory history;

  StandingWordController(StandingWords words, AskedNow asked, HouseHistory history) {
    this.words = words;
    this.asked = asked;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  StandingTable table() {
    LocalDate today = asked.byMe().today();
    Map<String, Long> people =
        words.holders(today).stream()
            .collect(Collectors.toMap(h -> h.about() + " " + h.name(), h -> h.people()));
    Map<About, List<HouseStanding>> told = new EnumMap<>(About.class);
    words
        .all()
        .forEach(
            (about, those) ->
                told.put(about, those.stream().map(word -> told(about, word, people)).toList()));
    return new StandingTable(
        told.get(About.STATUS),
        told.get(About.STAGE),
        told.get(About.TASK),
        told.get(About.OFFICE),
        words.groups(today));
  }

  private static HouseStanding told(About about, StandingWord word, Map<String, Long> people) {
    return new HouseStanding(
        word.name(),
        word.isRetired(),
        word.counts(),
        word.group(),
        people.getOrDefault(about + " " + word.name(), 0L));
  }

  @Needs(Right.SETTINGS)
  @Noted("Added a status, a stage, a kind of task or an office")
  @PostMapping("/{about}")
  StandingTable add(@PathVariable("about") About about, @RequestBody StandingDraft draft) {
    words.add(about, draft.name());
    history.tell(draft.name(), "", "");
    return table();
  }

  @Needs(Right.SETTINGS)
  @Noted("Renamed a status, a stage, a kind of task or an office")
  @PutMapping("/{about}/name")
  StandingTable rename(@PathVariable("about") About about, @RequestBody NewStandingName wanted) {
    words.rename(about, wanted.name(), wanted.to());
    history.tell("", wanted.name(), wanted.to());
    return table();
  }

  @Needs(Right.SETTINGS)
  @Noted("Put statuses, stages, kinds of tasks or offices in order")
  @PutMapping("/{about}")
  StandingTable order(@PathVariable("about") About about, @RequestBody StandingOrder order) {
    words.order(about, order.names());
    history.tell("", "", String.join(", ", order.names()));
    return table();
  }

  @Needs(Right.SETTINGS)
  @Noted("Gave up a status, a stage, a kind of task or an office, or took it up again")
  @PutMapping("/{about}/retired")
  StandingTable retire(@PathVariable("about") About about, @RequestBody StandingRetired wanted) {
    words.retire(about, wanted.name(), wanted.retired());
    history.tell(wanted.name(), "", wanted.retired() ? "given up" : "taken up again");
    return table();
  }

  @Needs(Right.SETTINGS)
  @Noted("Put an office into a group")
  @PutMapping("/OFFICE/group")
  StandingTable group(@RequestBody StandingGroup wanted) {
    history.tell(wanted.name(), "", words.group(wanted.name(), wanted.group()));
    return table();
  }

  @Needs(Right.SETTINGS)
  @Noted("Renamed a group of offices")
  @PutMapping("/OFFICE/group/name")
  StandingTable renameGroup(@RequestBody NewStandingName wanted) {
    words.renameGroup(wanted.name(), wanted.to());
    history.tell("", wanted.name(), wanted.to());
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
