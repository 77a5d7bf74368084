package app.jemble.followup;

import app.jemble.core.followup.After;
import app.jemble.core.record.Field;
import app.jemble.followup.FollowRules.Wanted;
import app.jemble.people.WantedValues;
import app.jemble.problem.Problem;
import app.jemble.task.TaskService;
import java.util.List;
import org.springframework.stereotype.Component;

/** Rules as somebody wants them, read and found sound. */
@Component
class RuleReading {

  private static final int MOST_WAITING = 5;
  private static final int MOST_AT_ONCE = 5;

  private final TaskService tasks;
  private final WantedValues wantedValues;

  RuleReading(TaskService tasks, WantedValues wantedValues) {
    this.tasks = tasks;
    this.wantedValues = wantedValues;
  }

  /** A problem when there are more rules than a mailing may have. */
  static void mustBeFew(List<Wanted> wanted) {
    long waiting = wanted.stream().filter(w -> w.whom() != null).count();
    if (waiting > MOST_WAITING || wanted.size() - waiting > MOST_AT_ONCE) {
      throw Problem.wrong(
          "rules", "At most five rules wait, and at most five act at once on a response.");
    }
  }

  /** The id of the rule from whose act the wait counts, or null. */
  static Long after(Wanted want, int place, List<Long> ids, List<Wanted> all) {
    if (want.whom() == null || want.after() == null) {
      return null;
    }
    boolean waits =
        want.after() >= 1 && want.after() < place && all.get(want.after() - 1).whom() != null;
    if (!waits) {
      throw Problem.wrong("after", "A rule can only wait from what an earlier one did.");
    }
    return ids.get(want.after() - 1);
  }

  /** What a rule does, once all of it is found sound. */
  RuleAct act(Wanted want) {
    RuleAct act = want.act();
    if (act == null || act.kind() == null) {
      throw Problem.wrong("act", "Say what is to be done.");
    }
    if (want.whom() == null) {
      if (want.on() == null) {
        throw Problem.wrong("on", "Say at which response it is to be done.");
      }
      if (act.kind() == RuleAct.Kind.SEND) {
        throw Problem.wrong("act", "Another message is sent after a wait, not at once.");
      }
    } else if (want.waitUnit() == null
        || want.waitCount() == null
        || want.waitCount() < 1
        || want.waitCount() > After.MOST) {
      throw Problem.wrong("waitCount", "Say how long to wait: 1 to 1,000 hours or days.");
    }
    return switch (act.kind()) {
      case SEND, TELL -> new RuleAct(act.kind(), null, null, null, null, null, null, null);
      case TASK -> task(act);
      case TAG ->
          new RuleAct(act.kind(), null, null, null, null, WantedValues.tag(act.tag()), null, null);
      case SET -> set(act);
    };
  }

  private RuleAct task(RuleAct act) {
    if (act.dueDays() != null && (act.dueDays() < 0 || act.dueDays() > After.MOST)) {
      throw Problem.wrong("dueDays", "A task is due in 0 to 1,000 working days.");
    }
    TaskService.Draft task =
        tasks.sound(new TaskService.Draft(act.taskKind(), act.title(), null, act.owner()));
    return new RuleAct(
        act.kind(), task.kind(), task.title(), act.dueDays(), task.owner(), null, null, null);
  }

  private RuleAct set(RuleAct act) {
    Field field = wantedValues.field(act.field());
    wantedValues.value(field, act.value());
    return new RuleAct(
        act.kind(),
        null,
        null,
        null,
        null,
        null,
        field.name(),
        act.value() == null ? "" : act.value().strip());
  }
}
