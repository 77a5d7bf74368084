package app.jemble.followup;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.check.Outlook;
import app.jemble.core.followup.WorkingDays;
import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.Standing;
import app.jemble.followup.FollowRuleMapper.Decided;
import app.jemble.followup.FollowRuleMapper.ThreadRow;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Whom each rule of a mailing will touch, if nothing changes. */
@Component
class RuleOutlook {

  /**
   * Whom a rule will touch.
   *
   * @param people whom it would be done for, if nobody did anything any more
   * @param first when it is done for the first of them; null when it is not known
   * @param last when it is done for the last
   */
  @Schema(name = "RuleForecast")
  record Forecast(
      List<PersonId> people,
      @Schema(nullable = true) Instant first,
      @Schema(nullable = true) Instant last) {}

  /** Somebody in the course of the rules: from when on they are waited for. */
  private record Step(MessageId thread, PersonId personId, Instant since, Standing standing) {}

  private final FollowRuleMapper mapper;
  private final RuleExceptions exceptions;
  private final ActChanges changes;
  private final Outlook outlook;
  private final RuleHours ruleHours;
  private final AccountService accounts;

  RuleOutlook(
      FollowRuleMapper mapper,
      RuleExceptions exceptions,
      ActChanges changes,
      Outlook outlook,
      RuleHours ruleHours,
      AccountService accounts) {
    this.mapper = mapper;
    this.exceptions = exceptions;
    this.changes = changes;
    this.outlook = outlook;
    this.ruleHours = ruleHours;
    this.accounts = accounts;
  }

  /** By rule; a rule that acts at once is not among them, nor is any while nobody has looked. */
  Map<Long, Forecast> of(Cause mailing, List<FollowRule> rules) {
    List<FollowRule> waiting = rules.stream().filter(r -> !r.isAtOnce()).toList();
    if (waiting.isEmpty()) {
      return Map.of();
    }
    Account sender = accounts.find(mailing.senderId());
    return mailing.hasBeenReleased()
        ? ofReleased(mailing, sender, waiting)
        : outlook.of(mailing).map(e -> ofDraft(e, sender, waiting)).orElse(Map.of());
  }

  /** Nobody has done anything yet: as if it stayed so. */
  private Map<Long, Forecast> ofDraft(
      Outlook.Expected expected, Account sender, List<FollowRule> rules) {
    WorkingDays days = changes.workingDays();
    Map<Long, Forecast> forecasts = new HashMap<>();
    for (FollowRule rule : rules) {
      Forecast before = forecasts.get(rule.afterId());
      List<PersonId> people = before == null ? expected.people() : before.people();
      Instant first = before == null ? expected.first() : before.first();
      Instant last = before == null ? expected.last() : before.last();
      Set<PersonId> excluded = exceptions.among(rule, sender, people);
      List<PersonId> touched = people.stream().filter(p -> !excluded.contains(p)).toList();
      List<Instant> done =
          first == null || touched.isEmpty()
              ? List.of()
              : Stream.of(first, last)
                  .map(at -> rule.after().from(at, days))
                  .flatMap(over -> departing(rule, touched, over))
                  .toList();
      forecasts.put(rule.id(), forecast(touched, done));
    }
    return forecasts;
  }

  private Map<Long, Forecast> ofReleased(Cause mailing, Account sender, List<FollowRule> rules) {
    WorkingDays days = changes.workingDays();
    List<Step> all = mapper.threads(mailing.id()).stream().map(RuleOutlook::step).toList();
    Map<Long, Map<MessageId, Decided>> decided = new HashMap<>();
    mapper
        .decided(mailing.id())
        .forEach(
            d -> decided.computeIfAbsent(d.ruleId(), r -> new HashMap<>()).put(d.message(), d));
    Map<Long, List<Step>> goOn = new HashMap<>();
    Map<Long, Forecast> forecasts = new HashMap<>();
    for (FollowRule rule : rules) {
      Map<MessageId, Decided> done = decided.getOrDefault(rule.id(), Map.of());
      List<Step> steps = rule.afterId() == null ? all : goOn.getOrDefault(rule.afterId(), all);
      List<Step> open = steps.stream().filter(s -> !done.containsKey(s.thread())).toList();
      Set<PersonId> excluded =
          exceptions.among(rule, sender, open.stream().map(Step::personId).distinct().toList());
      List<Step> meant =
          open.stream()
              .filter(s -> rule.whom().means(s.standing()))
              .filter(s -> !excluded.contains(s.personId()))
              .toList();
      List<Step> will = rule.isStopped() ? List.of() : done(rule, meant, days);
      goOn.put(rule.id(), Stream.concat(acted(steps, done), will.stream()).toList());
      forecasts.put(rule.id(), forecast(will));
    }
    return forecasts;
  }

  private static Step step(ThreadRow row) {
    List<Standing> standings = row.standings().stream().map(Standing::valueOf).toList();
    return new Step(row.message(), row.personId(), row.departs(), Standing.strongest(standings));
  }

  /** When it is done for each: the wait is over, and what is sent may leave. */
  private List<Step> done(FollowRule rule, List<Step> steps, WorkingDays days) {
    MayDepart open = open(rule, steps.stream().map(Step::personId).distinct().toList());
    return steps.stream()
        .map(
            s -> {
              Instant over = rule.after().from(s.since(), days);
              Instant at = open == null ? over : open.of(s.personId(), over).orElse(over);
              return new Step(s.thread(), s.personId(), at, s.standing());
            })
        .toList();
  }

  /** Null when nothing is sent: that is done at any hour. */
  private MayDepart open(FollowRule rule, List<PersonId> people) {
    return rule.sendsId() == null ? null : ruleHours.mayDepart(rule.sendsId(), people);
  }

  /** When what is due to all of them at once is done for each. */
  private Stream<Instant> departing(FollowRule rule, List<PersonId> people, Instant due) {
    MayDepart open = open(rule, people);
    return open == null ? Stream.of(due) : open.ofAll(people, due).stream();
  }

  /** From what was done for them the next wait counts. */
  private static Stream<Step> acted(List<Step> steps, Map<MessageId, Decided> done) {
    return steps.stream()
        .filter(s -> done.containsKey(s.thread()))
        .filter(s -> done.get(s.thread()).state().equals("done"))
        .map(s -> new Step(s.thread(), s.personId(), done.get(s.thread()).at(), s.standing()));
  }

  private static Forecast forecast(List<Step> will) {
    Set<PersonId> people = will.stream().map(Step::personId).collect(Collectors.toSet());
    return forecast(List.copyOf(people), will.stream().map(Step::since).toList());
  }

  private static Forecast forecast(List<PersonId> people, List<Instant> done) {
    return new Forecast(
        people,
        done.stream().min(Instant::compareTo).orElse(null),
        done.stream().max(Instant::compareTo).orElse(null));
  }
}
