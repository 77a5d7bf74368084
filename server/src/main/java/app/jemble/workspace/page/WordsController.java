package app.jemble.workspace.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.workspace.HouseWords;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Topics and plans: everybody sees them, whoever has the right changes them. */
@RestController
@RequestMapping("/api/house")
class WordsController {

  record HouseTopic(long id, String name, boolean retired) {}

  /**
   * A plan.
   *
   * @param members how many people have it
   * @param retired whether it is given to nobody any more
   */
  record HousePlan(String name, long members, boolean retired) {}

  record TopicsAndPlans(List<HouseTopic> topics, List<HousePlan> plans) {}

  record WordDraft(String name) {}

  record NewPlanName(String name, String to) {}

  record PlanOrder(List<String> names) {}

  record TopicGivenUp(boolean retired) {}

  record PlanGivenUp(String name, boolean retired) {}

  private final HouseWords words;
  private final HouseHistory history;

  WordsController(HouseWords words, HouseHistory history) {
    this.words = words;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping("/words")
  TopicsAndPlans all() {
    return new TopicsAndPlans(
        words.topics().stream().map(t -> new HouseTopic(t.id(), t.name(), t.retired())).toList(),
        words.plans().stream()
            .map(p -> new HousePlan(p.name(), p.members(), p.retired()))
            .toList());
  }

  @Needs(Right.SETTINGS)
  @Noted("Added a topic")
  @PostMapping("/topics")
  TopicsAndPlans addTopic(@RequestBody WordDraft draft) {
    words.addTopic(draft.name());
    history.tell(draft.name(), "", "");
    return all();
  }

  @Needs(Right.SETTINGS)
  @Noted("Renamed a topic")
  @PutMapping("/topics/{id}")
  TopicsAndPlans renameTopic(@PathVariable long id, @RequestBody WordDraft draft) {
    history.tell("", words.renameTopic(id, draft.name()), draft.name());
    return all();
  }

  /** Gives it to nothing any more, or gives it again. */
  @Needs(Right.SETTINGS)
  @Noted("Gave up a topic, or took it up again")
  @PutMapping("/topics/{id}/retired")
  TopicsAndPlans retireTopic(@PathVariable long id, @RequestBody TopicGivenUp wanted) {
    String name = words.retireTopic(id, wanted.retired());
    history.tell(name, "", wanted.retired() ? "not used any more" : "used");
    return all();
  }

  @Needs(Right.SETTINGS)
  @Noted("Added a plan")
  @PostMapping("/plans")
  TopicsAndPlans addPlan(@RequestBody WordDraft draft) {
    words.addPlan(draft.name());
    history.tell(draft.name(), "", "");
    return all();
  }

  @Needs(Right.SETTINGS)
  @Noted("Renamed a plan")
  @PutMapping("/plans/name")
  TopicsAndPlans renamePlan(@RequestBody NewPlanName wanted) {
    words.renamePlan(wanted.name(), wanted.to());
    history.tell("", wanted.name(), wanted.to());
    return all();
  }

  /** Gives it to nobody any more, or gives it again. */
  @Needs(Right.SETTINGS)
  @Noted("Gave up a plan, or took it up again")
  @PutMapping("/plans/retired")
  TopicsAndPlans retirePlan(@RequestBody PlanGivenUp wanted) {
    words.retirePlan(wanted.name(), wanted.retired());
    history.tell(wanted.name(), "", wanted.retired() ? "not used any more" : "used");
    return all();
  }

  @Needs(Right.SETTINGS)
  @Noted("Put plans in order")
  @PutMapping("/plans")
  TopicsAndPlans orderPlans(@RequestBody PlanOrder order) {
    words.orderPlans(order.names());
    history.tell("", "", String.join(", ", order.names()));
    return all();
  }

  @Needs(Right.SETTINGS)
  @Noted("Removed a plan")
  @PostMapping("/plans/remove")
  TopicsAndPlans removePlan(@RequestBody WordDraft draft) {
    words.removePlan(draft.name());
    history.tell(draft.name(), "", "");
    return all();
  }
}
