package app.jemble.followup;

import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.WaysBody;
import app.jemble.core.act.Act;
import app.jemble.core.followup.After;
import app.jemble.core.followup.Sign;
import app.jemble.core.followup.Whom;
import app.jemble.core.message.CauseState;
import app.jemble.core.response.ResponseKind;
import app.jemble.problem.Problem;
import app.jemble.release.WithRelease;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.ObjectMapper;

/** The rules of mailings: written before release, changed and stopped at any time. */
@Service
class FollowRules implements WithRelease {

  /**
   * A rule as it is wanted.
   *
   * @param id null for a new one
   * @param whom null for a rule that acts at once
   * @param after the place, from 1 on, of the rule from whose act it waits; null: from the mailing
   * @param on the sign at which it acts at once; null for a rule that waits
   * @param except who is left out
   * @param body of a rule that sends: the text
   * @param ways of a rule that sends: on which ways; null leaves that as it is, by e-mail at first
   */
  record Wanted(
      Long id,
      Whom whom,
      Integer waitCount,
      After.Unit waitUnit,
      Integer after,
      Sign on,
      List<AudienceParts.Part> except,
      RuleAct act,
      String body,
      WaysBody ways) {}

  private final FollowRuleMapper mapper;
  private final OpenCauses mailings;
  private final RuleTexts texts;
  private final AudienceParts parts;
  private final RuleReading reading;
  private final AccountService accounts;
  private final ObjectMapper json;
  private final Clock clock;

  FollowRules(
      FollowRuleMapper mapper,
      OpenCauses mailings,
      RuleTexts texts,
      AudienceParts parts,
      RuleReading reading,
      AccountService accounts,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.mailings = mailings;
    this.texts = texts;
    this.parts = parts;
    this.reading = reading;
    this.accounts = accounts;
    this.json = json;
    this.clock = clock;
  }

  /** The rules of a mailing that the asker may see. */
  List<FollowRule> of(long mailingId) {
    mailings.find(mailingId);
    return mapper.of(mailingId);
  }

  /** One rule of it; a problem when there is none. */
  FollowRule find(long mailingId, long ruleId) {
    return of(mailingId).stream()
        .filter(r -> r.id() == ruleId)
        .findFirst()
        .orElseThrow(() -> Problem.notFound("There is no such rule any more."));
  }

  /**
   * Takes the place of the rules of a mailing, in this order.
   *
   * @param newest the highest id among the rules that were seen; what somebody added since stays,
   *     behind these. Null where all were seen.
   */
  @Transactional
  void save(long mailingId, List<Wanted> wanted, Long newest) {
    accounts.currentWriter();
    Cause mailing = changeable(mailingId);
    mapper.lock(mailingId);
    Map<Long, FollowRule> known =
        mapper.of(mailingId).stream().collect(Collectors.toMap(FollowRule::id, r -> r));
    Set<Long> named = wanted.stream().map(Wanted::id).collect(Collectors.toSet());
    List<FollowRule> unseen =
        known.values().stream()
            .filter(r -> newest != null && r.id() > newest && !named.contains(r.id()))
            .sorted(Comparator.comparingInt(FollowRule::place))
            .toList();
    RuleReading.mustBeFew(wanted, unseen);
    Set<Long> written = new HashSet<>();
    List<Long> ids = new ArrayList<>();
    for (int place = 1; place <= wanted.size(); place++) {
      Wanted want = wanted.get(place - 1);
      FollowRule before = want.id() == null ? null : known.get(want.id());
      if (want.id() != null && before == null) {
        throw Problem.conflict("Somebody deleted this rule in the meantime; add it as a new one.");
      }
      long id = write(mailing, place, want, before, ids, wanted);
      ids.add(id);
      written.add(id);
    }
    for (FollowRule rule : unseen) {
      written.add(rule.id());
      mapper.move(rule.id(), written.size());
    }
    List<FollowRule> gone =
        known.values().stream()
            .filter(r -> !written.contains(r.id()))
            .sorted((a, b) -> Integer.compare(b.place(), a.place()))
            .toList();
    gone.forEach(this::remove);
  }

  private Cause changeable(long mailingId) {
    Cause mailing = mailings.find(mailingId);
    if (mailing.isRule()) {
      throw Problem.conflict("Its rules stand with the mailing it follows.");
    }
    if (mailing.state() == CauseState.DISCARDED) {
      throw Problem.conflict("This draft has been discarded; take it back first.");
    }
    return mailing;
  }

  private long write(
      Cause mailing, int place, Wanted want, FollowRule before, List<Long> ids, List<Wanted> all) {
    Act act = reading.act(want);
    Long sends = sends(mailing, want, act, before);
    FollowRule rule =
        new FollowRule(
            before == null ? 0 : before.id(),
            mailing.id(),
            place,
            want.whom(),
            want.whom() == null ? null : want.waitCount(),
            want.whom() == null ? null : want.waitUnit(),
            RuleReading.after(want, place, ids, all),
            want.whom() == null
                ? want.on().kinds().stream().map(ResponseKind::name).sorted().toList()
                : List.of(),
            parts.write(want.except() == null ? List.of() : want.except()),
            json.writeValueAsString(RuleAct.of(act)),
            sends,
            null);
    if (before != null) {
      mapper.change(rule);
      dropOldMailing(before, sends);
      return before.id();
    }
    long id = mapper.add(rule);
    if (sends != null && mailing.hasBeenReleased()) {
      texts.release(sends, name(place));
    }
    return id;
  }

  private static String name(int place) {
    return "follow-up " + place;
  }

  private Long sends(Cause mailing, Wanted want, Act act, FollowRule before) {
    if (!(act instanceof Act.Send)) {
      return null;
    }
    if (before != null && before.sendsId() != null) {
      texts.write(before.sendsId(), want.body());
      texts.goBy(before.sendsId(), want.ways());
      return before.sendsId();
    }
    if (before != null && mapper.hasActed(before.id())) {
      throw Problem.conflict("This rule has acted already; add another one that sends.");
    }
    long sends = texts.add(mailing.id(), want.body());
    texts.goBy(sends, want.ways());
    if (before != null && mailing.hasBeenReleased()) {
      texts.release(sends, name(before.place()));
    }
    return sends;
  }

  private void dropOldMailing(FollowRule before, Long sends) {
    if (before.sendsId() != null && sends == null) {
      if (mapper.hasActed(before.id())) {
        throw Problem.conflict("This rule has sent messages; stop it and add another one.");
      }
      texts.remove(before.sendsId());
    }
  }

  private void remove(FollowRule rule) {
    if (mapper.hasActed(rule.id())) {
      throw Problem.conflict(
          String.format(
              Locale.ROOT,
              "Rule %d has decided about people already; stop it instead.",
              rule.place()));
    }
    mapper.remove(rule.id());
    if (rule.sendsId() != null) {
      texts.remove(rule.sendsId());
    }
  }

  /** From now on it does nothing; what it has put in the outbox does not leave. */
  @Transactional
  int stop(long mailingId, long ruleId) {
    accounts.currentWriter();
    FollowRule rule = find(mailingId, ruleId);
    mapper.stop(rule.id(), clock.instant());
    return rule.sendsId() == null ? 0 : texts.withdraw(rule.sendsId());
  }

  /** It acts again, also for those whose wait was over meanwhile. */
  @Transactional
  void goOn(long mailingId, long ruleId) {
    accounts.currentWriter();
    Cause mailing = changeable(mailingId);
    FollowRule rule = find(mailingId, ruleId);
    mapper.stop(rule.id(), null);
    if (rule.sendsId() != null && mailing.hasBeenReleased()) {
      texts.release(rule.sendsId(), name(rule.place()));
    }
  }

  /** What is wrong with the texts of rules, by rule. */
  Map<Long, List<String>> errors(List<FollowRule> rules) {
    Map<Long, List<String>> errors = new HashMap<>();
    rules.stream()
        .filter(r -> r.sendsId() != null)
        .forEach(r -> errors.put(r.id(), texts.errors(r.sendsId())));
    return errors;
  }

  @Override
  public void mayRelease(Cause mailing) {
    List<FollowRule> rules = mapper.of(mailing.id());
    errors(rules)
        .forEach(
            (id, errors) -> {
              if (!errors.isEmpty()) {
                int place =
                    rules.stream().filter(r -> r.id() == id).findFirst().orElseThrow().place();
                throw Problem.conflict(
                    String.format(Locale.ROOT, "Rule %d: %s", place, errors.get(0)));
              }
            });
  }

  @Override
  public void released(Cause mailing) {
    for (FollowRule rule : mapper.of(mailing.id())) {
      if (rule.sendsId() != null && !rule.isStopped()) {
        texts.release(rule.sendsId(), name(rule.place()));
      }
    }
  }

  @Override
  public void takenBack(Cause mailing) {
    for (FollowRule rule : mapper.of(mailing.id())) {
      if (rule.sendsId() != null) {
        texts.takeBack(rule.sendsId());
      }
    }
  }

  /** Whoever withdraws a mailing wants nothing more to be done about it. */
  @Override
  public void withdrawn(Cause mailing) {
    for (FollowRule rule : mapper.of(mailing.id())) {
      if (rule.sendsId() != null) {
        texts.withdraw(rule.sendsId());
      }
    }
    mapper.stopAll(mailing.id(), clock.instant());
  }
}
