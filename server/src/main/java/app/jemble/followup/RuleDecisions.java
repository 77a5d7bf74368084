package app.jemble.followup;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.access.Right;
import app.jemble.core.act.Act;
import app.jemble.core.followup.FollowUp.Judgement;
import app.jemble.core.followup.FollowUp.Outcome;
import app.jemble.core.message.MessageId;
import app.jemble.followup.FollowActMapper.Candidate;
import app.jemble.followup.RuleDoing.Done;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What a rule decides about people: kept with what it does, in one transaction and once, whoever
 * else is at the same people.
 */
@Component
class RuleDecisions {

  private final FollowActMapper mapper;
  private final FollowRuleMapper rules;
  private final RuleDoing doing;
  private final RuleTelling telling;
  private final OpenCauses mailings;
  private final AccountService accounts;
  private final TransactionTemplate transaction;

  RuleDecisions(
      FollowActMapper mapper,
      FollowRuleMapper rules,
      RuleDoing doing,
      RuleTelling telling,
      OpenCauses mailings,
      AccountService accounts,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.rules = rules;
    this.doing = doing;
    this.telling = telling;
    this.mailings = mailings;
    this.accounts = accounts;
    this.transaction = transaction;
  }

  /** Decides about people; who is not among the answer waits. */
  @FunctionalInterface
  interface Judge {
    Map<MessageId, Judgement> judge(FollowRule rule, Account sender, List<Candidate> whom);
  }

  void decide(long ruleId, List<Candidate> lot, Instant now, Judge judge) {
    List<Candidate> told =
        transaction.execute(
            tx -> {
              FollowRule rule = rules.findShared(ruleId);
              if (rule == null || rule.isStopped()) {
                return List.of();
              }
              return decideKept(rule, lot, now, judge);
            });
    if (!told.isEmpty()) {
      telling.tell(ruleId, told);
    }
  }

  /** Answers of whom the sender is to be told. */
  private List<Candidate> decideKept(
      FollowRule rule, List<Candidate> lot, Instant now, Judge judge) {
    List<MessageId> locks =
        mapper.lock(lot.stream().map(Candidate::message).toArray(MessageId[]::new));
    Set<MessageId> mine =
        new HashSet<>(mapper.undecided(rule.id(), locks.toArray(MessageId[]::new)));
    List<Candidate> locked = lot.stream().filter(c -> mine.contains(c.message())).toList();
    Cause mailing = mailings.anybodys(rule.mailingId());
    Account sender = accounts.find(mailing.senderId());
    if (locked.isEmpty() || !sender.may(Right.WRITE_TO_ONE)) {
      return List.of();
    }
    Map<MessageId, Judgement> judged = judge.judge(rule, sender, locked);
    List<Candidate> acted =
        locked.stream().filter(c -> judged.get(c.message()).outcome() == Outcome.ACT).toList();
    Map<MessageId, Done> done = doing.doFor(rule, mailing, sender, acted);
    note(rule.id(), now, judged, done);
    return doing.act(rule) instanceof Act.Tell ? acted : List.of();
  }

  private void note(
      long ruleId, Instant now, Map<MessageId, Judgement> judged, Map<MessageId, Done> done) {
    List<MessageId> messages = new ArrayList<>();
    List<String> states = new ArrayList<>();
    List<String> words = new ArrayList<>();
    List<Long> made = new ArrayList<>();
    judged.forEach(
        (message, judgement) -> {
          if (judgement.outcome() != Outcome.WAIT) {
            Done did = done.getOrDefault(message, new Done(false, judgement.words(), null));
            messages.add(message);
            states.add(did.done() ? "done" : "not");
            words.add(did.words());
            made.add(did.madeMessage());
          }
        });
    mapper.decide(
        ruleId, now, messages.toArray(MessageId[]::new), states, words, made.toArray(Long[]::new));
  }
}
