package app.jemble.followup;

import app.jemble.core.followup.WorkingDays;
import app.jemble.core.record.PersonId;
import app.jemble.followup.FollowActMapper.Candidate;
import app.jemble.response.CountingService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Acts on the rules of mailings that are out. What a rule decides about a thread is kept with what
 * it does in one transaction, so that it is done once, by whichever process, whatever is killed.
 */
@Service
class FollowActs {

  private static final int LOT = 200;

  /** Nobody who is written to later is due before a wait of at least an hour is over. */
  private static final Duration LOOK_EVERY = Duration.ofMinutes(5);

  private final FollowActMapper mapper;
  private final FollowRuleMapper rules;
  private final ActChanges changes;
  private final RuleHours ruleHours;
  private final RuleJudge judge;
  private final RuleDecisions decisions;
  private final CountingService counting;
  private final Clock clock;

  FollowActs(
      FollowActMapper mapper,
      FollowRuleMapper rules,
      ActChanges changes,
      RuleHours ruleHours,
      RuleJudge judge,
      RuleDecisions decisions,
      CountingService counting,
      Clock clock) {
    this.mapper = mapper;
    this.rules = rules;
    this.changes = changes;
    this.ruleHours = ruleHours;
    this.judge = judge;
    this.decisions = decisions;
    this.counting = counting;
    this.clock = clock;
  }

  /** Rules at which somebody may be due. */
  List<Long> toLookAt() {
    return mapper.toLookAt(clock.instant());
  }

  /** Rules at whose sign somebody has responded. */
  List<Long> withResponses() {
    return mapper.withResponses();
  }

  /** Decides about everyone whose wait is over. */
  void lookAt(long ruleId) {
    FollowRule rule = rules.find(ruleId);
    Instant now = clock.instant();
    WorkingDays days = changes.workingDays();
    Instant by = rule.after().departedBy(now);
    List<Candidate> candidates =
        rule.afterId() == null
            ? mapper.afterTheirMessage(ruleId, rule.mailingId(), by)
            : mapper.afterRule(ruleId, rule.afterId(), by);
    Map<Boolean, List<Candidate>> over =
        candidates.stream()
            .collect(
                Collectors.partitioningBy(
                    c -> !rule.after().from(c.departedAt(), days).isAfter(now)));
    List<Candidate> may = mayBeDone(rule, over.get(true), now);
    for (int i = 0; i < may.size(); i += LOT) {
      List<Candidate> lot = may.subList(i, Math.min(may.size(), i + LOT));
      decisions.decide(ruleId, lot, now, judge::judge);
    }
    mapper.lookAgain(ruleId, nextLook(rule, over.get(false), days, now));
  }

  /** What is to be sent waits for the hours of its mailing, and is judged then. */
  private List<Candidate> mayBeDone(FollowRule rule, List<Candidate> over, Instant now) {
    if (rule.sendsId() == null || over.isEmpty()) {
      return over;
    }
    List<PersonId> people = over.stream().map(Candidate::personId).distinct().toList();
    MayDepart open = ruleHours.mayDepart(rule.sendsId(), people);
    return over.stream()
        .filter(c -> open.of(c.personId(), now).filter(at -> !at.isAfter(now)).isPresent())
        .toList();
  }

  private static Instant nextLook(
      FollowRule rule, List<Candidate> notYet, WorkingDays days, Instant now) {
    Instant latest = now.plus(LOOK_EVERY);
    return notYet.stream()
        .map(c -> rule.after().from(c.departedAt(), days))
        .filter(latest::isAfter)
        .min(Instant::compareTo)
        .orElse(latest);
  }

  /** Does what is due to those who have responded. */
  void atOnce(long ruleId) {
    mapper.forgetFalse(ruleId);
    Instant settled = clock.instant().minus(counting.settling());
    List<Candidate> lot = mapper.responded(ruleId, settled, LOT);
    if (!lot.isEmpty()) {
      decisions.decide(ruleId, lot, clock.instant(), judge::withoutExceptions);
    }
  }
}
