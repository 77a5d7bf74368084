package app.jemble.followup;

import app.jemble.account.Account;
import app.jemble.cause.Cause;
import app.jemble.core.act.Act;
import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import app.jemble.followup.FollowActMapper.Candidate;
import app.jemble.outbox.OutboxService;
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
  private final ActChanges changes;
  private final ObjectMapper json;

  RuleDoing(RuleMessages messages, OutboxService outbox, ActChanges changes, ObjectMapper json) {
    this.messages = messages;
    this.outbox = outbox;
    this.changes = changes;
    this.json = json;
  }

  Act act(FollowRule rule) {
    return json.readValue(rule.act(), RuleAct.class).act();
  }

  /** By message, what came of it. */
  Map<MessageId, Done> doFor(FollowRule rule, Cause mailing, Account sender, List<Candidate> whom) {
    Act act = act(rule);
    if (whom.isEmpty()) {
      return Map.of();
    }
    if (act instanceof Act.Send) {
      return send(rule, whom);
    }
    if (act.isChange()) {
      List<PersonId> people = whom.stream().map(Candidate::personId).distinct().toList();
      changes.doFor(act, sender, "After “" + mailing.name() + "”: " + act.done(), people);
    }
    Map<MessageId, Done> done = new HashMap<>();
    whom.forEach(c -> done.put(c.message(), new Done(true, act.done(), null)));
    return done;
  }

  private Map<MessageId, Done> send(FollowRule rule, List<Candidate> whom) {
    Map<MessageId, String> not =
        messages.send(
            rule.sendsId(),
            whom.stream()
                .map(c -> new RuleMessages.Due(c.message(), c.personId(), c.recordId()))
                .toList());
    Map<MessageId, MessageId> made =
        outbox.inThreads(rule.sendsId(), whom.stream().map(Candidate::message).toList());
    Map<MessageId, Done> done = new HashMap<>();
    for (Candidate c : whom) {
      String why = not.get(c.message());
      done.put(
          c.message(),
          why == null
              ? new Done(true, "another message", made.get(c.message()).value())
              : new Done(false, why, null));
    }
    return done;
  }
}
