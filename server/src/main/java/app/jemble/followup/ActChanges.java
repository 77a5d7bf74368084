package app.jemble.followup;

import app.jemble.account.Account;
import app.jemble.core.act.Act;
import app.jemble.core.followup.WorkingDays;
import app.jemble.core.record.Field;
import app.jemble.core.record.PersonId;
import app.jemble.people.WantedValues;
import app.jemble.record.ChangeService;
import app.jemble.sending.SendingService;
import app.jemble.series.entry.Entering;
import app.jemble.task.TaskService;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;

/** Does what acts change on record, for some people at once, in the name of a colleague. */
@Component
class ActChanges {

  private final TaskService tasks;
  private final ChangeService changes;
  private final WantedValues wanted;
  private final Entering entering;
  private final SendingService sending;
  private final WorkspaceService workspace;
  private final Clock clock;

  ActChanges(
      TaskService tasks,
      ChangeService changes,
      WantedValues wanted,
      Entering entering,
      SendingService sending,
      WorkspaceService workspace,
      Clock clock) {
    this.tasks = tasks;
    this.changes = changes;
    this.wanted = wanted;
    this.entering = entering;
    this.sending = sending;
    this.workspace = workspace;
    this.clock = clock;
  }

  /**
   * Does it in one act of the history.
   *
   * @param words what the history calls it
   */
  void doFor(Act act, Account by, String words, List<PersonId> people) {
    long batch = changes.beginFor(by.id(), words);
    if (act instanceof Act.EnterSeries in) {
      entering.comeInThemselves(in.series(), people, "by a rule: " + words, batch);
    } else if (act instanceof Act.MakeTask task) {
      tasks.makeFor(
          by.id(),
          batch,
          new TaskService.Draft(task.kind(), task.title(), dueOn(task.dueDays()), task.owner()),
          people);
    } else if (act instanceof Act.AddTag add) {
      changes.setTag(batch, add.tag(), true, people);
    } else if (act instanceof Act.SetField set) {
      Field field = wanted.field(set.field());
      changes.set(batch, field, wanted.value(field, set.value()), people);
    } else {
      throw new IllegalStateException("not a change: " + act);
    }
  }

  private LocalDate dueOn(Integer days) {
    if (days == null) {
      return null;
    }
    Instant now = clock.instant();
    Instant due = days == 0 ? now : workingDays().after(now, days);
    return LocalDate.ofInstant(due, workspace.current().zoneId());
  }

  WorkingDays workingDays() {
    return new WorkingDays(sending.daysOff(), workspace.current().zoneId());
  }
}
