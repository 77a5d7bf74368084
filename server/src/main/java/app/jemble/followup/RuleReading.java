package app.jemble.followup;

import app.jemble.core.act.Act;
import app.jemble.core.followup.After;
import app.jemble.core.record.Field;
import app.jemble.followup.FollowRules.Wanted;
import app.jemble.people.WantedValues;
import app.jemble.problem.Problem;
import app.jemble.series.OpenSeries;
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
  private final OpenSeries series;

  RuleReading(TaskService tasks, WantedValues wantedValues, OpenSeries series) {
    this.tasks = tasks;
    this.wantedValues = wantedValues;
    this.series = series;
  }

  /** A problem when there are more rules than a mailing may have. */
  static void mustBeFew(List<Wanted> wanted, List<FollowRule> besides) {
    long waiting =
        wanted.stream().filter(w -> w.whom() != null).count()
            + besides.stream().filter(r -> r.whom() != null).count();
    long atOnce = wanted.size() + besides.size() - waiting;
    if (waiting > MOST_WAITING || atOnce > MOST_AT_ONCE) {
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
  Act act(Wanted want) {
    if (want.act() == null || want.act().kind() == null) {
      throw Problem.wrong("act", "Say what is to be done.");
    }
    Act act = want.act().act();
    if (want.whom() == null) {
      if (want.on() == null) {
        throw Problem.wrong("on", "Say at which response it is to be done.");
      }
      if (act instanceof Act.Send) {
        throw Problem.wrong("act", "Another message is sent after a wait, not at once.");
      }
    } else if (want.waitUnit() == null
        || want.waitCount() == null
        || want.waitCount() < 1
        || want.waitCount() > After.MOST) {
      throw Problem.wrong("waitCount", "Say how long to wait: 1 to 1,000 hours or days.");
    }
    return sound(act);
  }

  private Act sound(Act act) {
    if (act instanceof Act.MakeTask task) {
      return sound(task);
    }
    if (act instanceof Act.AddTag add) {
      return new Act.AddTag(WantedValues.tag(add.tag()));
    }
    if (act instanceof Act.SetField set) {
      Field field = wantedValues.field(set.field());
      wantedValues.value(field, set.value());
      return new Act.SetField(field.name(), set.value());
    }
    if (act instanceof Act.EnterSeries in) {
      return new Act.EnterSeries(in.series(), series.find(in.series()).name());
    }
    return act;
  }

  private Act.MakeTask sound(Act.MakeTask act) {
    if (act.dueDays() != null && (act.dueDays() < 0 || act.dueDays() > After.MOST)) {
      throw Problem.wrong("dueDays", "A task is due in 0 to 1,000 working days.");
    }
    TaskService.Draft task =
        tasks.sound(new TaskService.Draft(act.kind(), act.title(), null, act.owner()));
    return new Act.MakeTask(task.kind(), task.title(), act.dueDays(), task.owner());
  }
}
