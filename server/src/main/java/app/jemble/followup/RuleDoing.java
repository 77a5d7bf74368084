package app.jemble.followup;

import app.jemble.account.Account;
import app.jemble.cause.Cause;
import app.jemble.core.followup.WorkingDays;
import app.jemble.core.record.Field;
import app.jemble.followup.FollowActMapper.Candidate;
import app.jemble.outbox.OutboxService;
import app.jemble.people.WantedValues;
import app.jemble.record.ChangeService;
import app.jemble.sending.SendingService;
import app.jemble.task.TaskService;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/** Does what a rule says, for some people at once, in the name of the mailing's sender. */
@Component
class RuleDoing {

  /**
   * What was done about a thread.
   *
   * @param words what, or why not
   * @param madeMessage the message that was put in the outbox, or null
   */
  record Done(boolean done, String words, Long madeMessage) {}

  private final RuleMessages messages;
  private final OutboxService outbox;
  private final TaskService tasks;
  private final ChangeService changes;
  private final WantedValues wanted;
  private final SendingService sending;
  private final WorkspaceService workspace;
  private final ObjectMapper json;
  private final Clock clock;

  RuleDoing(
      RuleMessages messages,
      OutboxService outbox,
      TaskService tasks,
      ChangeService changes,
      WantedValues wanted,
      SendingService sending,
      WorkspaceService workspace,
      ObjectMapper json,
      Clock clock) {
    this.messages = messages;
    this.outbox = outbox;
    this.tasks = tasks;
    this.changes = changes;
    this.wanted = wanted;
    this.sending = sending;
    this.workspace = workspace;
    this.json = json;
    this.clock = clock;
  }

  RuleAct act(FollowRule rule) {
    return json.readValue(rule.act(), RuleAct.class);
  }

  /** By message, what came of it. */
  Map<Long, Done> doFor(FollowRule rule, Cause mailing, Account sender, List<Candidate> whom) {
    RuleAct act = act(rule);
    if (whom.isEmpty()) {
      return Map.of();
    }
    if (act.kind() == RuleAct.Kind.SEND) {
      return send(rule, whom);
    }
    List<Long> people = whom.stream().map(Candidate::personId).distinct().toList();
    String words = RuleWords.done(act);
    if (act.kind() != RuleAct.Kind.TELL) {
      long batch = changes.beginFor(sender.id(), "After “" + mailing.name() + "”: " + words);
      change(act, sender, batch, people);
    }
    Map<Long, Done> done = new HashMap<>();
    whom.forEach(c -> done.put(c.message(), new Done(true, words, null)));
    return done;
  }

  private void change(RuleAct act, Account sender, long batch, List<Long> people) {
    switch (act.kind()) {
      case TASK ->
          tasks.makeFor(
              sender.id(),
              batch,
              new TaskService.Draft(act.taskKind(), act.title(), dueOn(act), act.owner()),
              people);
      case TAG -> changes.setTag(batch, act.tag(), true, people);
      case SET -> {
        Field field = wanted.field(act.field());
        changes.set(batch, field, wanted.value(field, act.value()), people);
      }
      default -> throw new IllegalStateException("not a change: " + act.kind());
    }
  }

  private LocalDate dueOn(RuleAct act) {
    if (act.dueDays() == null) {
      return null;
    }
    ZoneId house = workspace.current().zoneId();
    Instant now = clock.instant();
    Instant due = act.dueDays() == 0 ? now : workingDays().after(now, act.dueDays());
    return LocalDate.ofInstant(due, house);
  }

  WorkingDays workingDays() {
    return new WorkingDays(sending.daysOff(), workspace.current().zoneId());
  }

  private Map<Long, Done> send(FollowRule rule, List<Candidate> whom) {
    Map<Long, String> not =
        messages.send(
            rule.sendsId(),
            whom.stream()
                .map(c -> new RuleMessages.Due(c.message(), c.personId(), c.recordId()))
                .toList());
    Map<Long, Long> made =
        outbox.inThreads(rule.sendsId(), whom.stream().map(Candidate::message).toList());
    Map<Long, Done> done = new HashMap<>();
    for (Candidate c : whom) {
      String why = not.get(c.message());
      done.put(
          c.message(),
          why == null
              ? new Done(true, "another message", made.get(c.message()))
              : new Done(false, why, null));
    }
    return done;
  }
}
