package app.jemble.followup;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.carrier.mail.HouseMails;
import app.jemble.core.followup.FollowUp;
import app.jemble.core.followup.FollowUp.Facts;
import app.jemble.core.followup.FollowUp.Judgement;
import app.jemble.core.followup.FollowUp.Outcome;
import app.jemble.core.followup.WorkingDays;
import app.jemble.core.message.Mailbox;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.response.Standing;
import app.jemble.followup.FollowActMapper.Candidate;
import app.jemble.followup.FollowActMapper.Standings;
import app.jemble.followup.RuleDoing.Done;
import app.jemble.inbound.UnplacedService;
import app.jemble.mailing.Mailing;
import app.jemble.mailing.MailingService;
import app.jemble.response.AwayPeople;
import app.jemble.response.CountingService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Acts on the rules of mailings that are out. What a rule decides about a thread is kept with what
 * it does in one transaction, so that it is done once, by whichever process, whatever is killed.
 */
@Service
class FollowActs {

  private static final int LOT = 200;

  /** Nobody who is written to later is due before a wait of at least an hour is over. */
  private static final Duration LOOK_EVERY = Duration.ofMinutes(5);

  private static final int MOST_NAMES = 20;

  private final FollowActMapper mapper;
  private final FollowRuleMapper rules;
  private final RuleDoing doing;
  private final RuleExceptions exceptions;
  private final RuleMailings ruleMailings;
  private final MailingService mailings;
  private final HouseMails mails;
  private final UnplacedService unplaced;
  private final AwayPeople awayPeople;
  private final CountingService counting;
  private final AccountService accounts;
  private final TransactionTemplate transaction;
  private final Clock clock;

  FollowActs(
      FollowActMapper mapper,
      FollowRuleMapper rules,
      RuleDoing doing,
      RuleExceptions exceptions,
      RuleMailings ruleMailings,
      MailingService mailings,
      HouseMails mails,
      UnplacedService unplaced,
      AwayPeople awayPeople,
      CountingService counting,
      AccountService accounts,
      TransactionTemplate transaction,
      Clock clock) {
    this.mapper = mapper;
    this.rules = rules;
    this.doing = doing;
    this.exceptions = exceptions;
    this.ruleMailings = ruleMailings;
    this.mailings = mailings;
    this.mails = mails;
    this.unplaced = unplaced;
    this.awayPeople = awayPeople;
    this.counting = counting;
    this.accounts = accounts;
    this.transaction = transaction;
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
    WorkingDays days = doing.workingDays();
    Instant by = rule.after().leftBy(now);
    List<Candidate> candidates =
        rule.afterId() == null
            ? mapper.afterTheirMessage(ruleId, rule.mailingId(), by)
            : mapper.afterRule(ruleId, rule.afterId(), by);
    Map<Boolean, List<Candidate>> over =
        candidates.stream()
            .collect(
                Collectors.partitioningBy(c -> !rule.after().from(c.leftAt(), days).isAfter(now)));
    List<Candidate> may = mayBeDone(rule, over.get(true), now);
    for (int i = 0; i < may.size(); i += LOT) {
      List<Candidate> lot = may.subList(i, Math.min(may.size(), i + LOT));
      decide(ruleId, lot, now, this::judge);
    }
    mapper.lookAgain(ruleId, nextLook(rule, over.get(false), days, now));
  }

  /** What is to be sent waits for the hours of its mailing, and is judged then. */
  private List<Candidate> mayBeDone(FollowRule rule, List<Candidate> over, Instant now) {
    if (rule.sendsId() == null || over.isEmpty()) {
      return over;
    }
    List<Long> people = over.stream().map(Candidate::personId).distinct().toList();
    MayLeave open = ruleMailings.mayLeave(rule.sendsId(), people);
    return over.stream()
        .filter(c -> open.of(c.personId(), now).filter(at -> !at.isAfter(now)).isPresent())
        .toList();
  }

  private static Instant nextLook(
      FollowRule rule, List<Candidate> notYet, WorkingDays days, Instant now) {
    Instant latest = now.plus(LOOK_EVERY);
    return notYet.stream()
        .map(c -> rule.after().from(c.leftAt(), days))
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
      decide(ruleId, lot, clock.instant(), this::withoutExceptions);
    }
  }

  /** Decides about people; who is not among the answer waits. */
  @FunctionalInterface
  private interface Judge {
    Map<Long, Judgement> judge(FollowRule rule, Account sender, List<Candidate> whom);
  }

  private void decide(long ruleId, List<Candidate> lot, Instant now, Judge judge) {
    List<Candidate> told =
        transaction.execute(
            tx -> {
              FollowRule rule = rules.findKept(ruleId);
              if (rule == null || rule.isStopped()) {
                return List.of();
              }
              return decideKept(rule, lot, now, judge);
            });
    if (!told.isEmpty()) {
      tell(ruleId, told);
    }
  }

  /** Answers of whom the sender is to be told. */
  private List<Candidate> decideKept(
      FollowRule rule, List<Candidate> lot, Instant now, Judge judge) {
    List<Long> locks = mapper.lock(lot.stream().map(Candidate::message).toArray(Long[]::new));
    Set<Long> mine = new HashSet<>(mapper.undecided(rule.id(), locks.toArray(Long[]::new)));
    List<Candidate> locked = lot.stream().filter(c -> mine.contains(c.message())).toList();
    Mailing mailing = mailings.found(rule.mailingId());
    Account sender = accounts.find(mailing.senderId());
    if (locked.isEmpty() || !sender.role().mayWrite()) {
      return List.of();
    }
    Map<Long, Judgement> judged = judge.judge(rule, sender, locked);
    List<Candidate> acted =
        locked.stream().filter(c -> judged.get(c.message()).outcome() == Outcome.ACT).toList();
    Map<Long, Done> done = doing.doFor(rule, mailing, sender, acted);
    keep(rule.id(), now, judged, done);
    return doing.act(rule).kind() == RuleAct.Kind.TELL ? acted : List.of();
  }

  private void keep(long ruleId, Instant now, Map<Long, Judgement> judged, Map<Long, Done> done) {
    List<Long> messages = new ArrayList<>();
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
        ruleId, now, messages.toArray(Long[]::new), states, words, made.toArray(Long[]::new));
  }

  private Map<Long, Judgement> judge(FollowRule rule, Account sender, List<Candidate> whom) {
    List<Long> people = whom.stream().map(Candidate::personId).distinct().toList();
    Map<Long, Standing> threads = new HashMap<>();
    for (Standings thread :
        mapper.standings(whom.stream().map(Candidate::message).toArray(Long[]::new))) {
      threads.put(
          thread.message(),
          Standing.strongest(thread.standings().stream().map(Standing::valueOf).toList()));
    }
    Set<Long> excluded = exceptions.among(rule, sender, people);
    Map<Long, Reach> reaches =
        rule.sendsId() == null ? null : ruleMailings.reaches(rule.sendsId(), people);
    Set<String> toPlace = unplaced.senders();
    Set<Long> away = awayPeople.among(people);
    Map<Long, Judgement> judged = new HashMap<>();
    for (Candidate c : whom) {
      Reach reach = reaches == null ? null : reaches.getOrDefault(c.personId(), Reach.NO_ADDRESS);
      judged.put(
          c.message(),
          FollowUp.judge(
              rule.whom(),
              new Facts(
                  threads.get(c.message()),
                  excluded.contains(c.personId()),
                  reach,
                  away.contains(c.personId()),
                  toPlace.contains(EmailAddress.key(c.address())))));
    }
    return judged;
  }

  /** Whoever has responded is meant, whatever else they did. */
  private Map<Long, Judgement> withoutExceptions(
      FollowRule rule, Account sender, List<Candidate> whom) {
    Set<Long> excluded =
        exceptions.among(rule, sender, whom.stream().map(Candidate::personId).distinct().toList());
    Map<Long, Judgement> judged = new HashMap<>();
    whom.forEach(c -> judged.put(c.message(), FollowUp.atOnce(excluded.contains(c.personId()))));
    return judged;
  }

  /** It was noted before, so that nobody is told twice; what cannot leave is tried again. */
  private void tell(long ruleId, List<Candidate> whom) {
    FollowRule rule = rules.find(ruleId);
    Mailing mailing = mailings.found(rule.mailingId());
    Account sender = accounts.find(mailing.senderId());
    List<String> names = mapper.names(whom.stream().map(Candidate::personId).toArray(Long[]::new));
    String who = String.join(", ", names.subList(0, Math.min(names.size(), MOST_NAMES)));
    String more =
        names.size() > MOST_NAMES
            ? String.format(Locale.ROOT, " and %,d more", names.size() - MOST_NAMES)
            : "";
    boolean sent =
        mails.send(
            "told." + ruleId + "." + whom.get(0).message(),
            new Mailbox(sender.name(), sender.email()),
            "“" + mailing.name() + "”: " + who + more,
            new HouseMails.Words(
                who + more + " – " + RuleWords.of(rule, doing.act(rule), null) + ".",
                "Responses",
                "/responses/" + mailing.id()));
    if (!sent) {
      mapper.notTold(ruleId, whom.stream().map(Candidate::message).toArray(Long[]::new));
    }
  }
}
