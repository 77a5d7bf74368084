package app.jemble.followup;

import app.jemble.access.Needs;
import app.jemble.audience.AudienceParts;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.cause.WaysBody;
import app.jemble.core.access.Right;
import app.jemble.core.act.Act;
import app.jemble.core.followup.After;
import app.jemble.core.followup.Sign;
import app.jemble.core.followup.Whom;
import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import app.jemble.filter.FilterBody;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is done after a mailing is out. */
@RestController
@RequestMapping("/api/mailings/{mailing}/rules")
class FollowRuleController {

  private static final int MOST_PEOPLE = 500;

  /** Somebody who is left out, in words. */
  @Schema(name = "RuleException")
  record ExceptPart(@Schema(nullable = true) String name, FilterBody filter, String words) {}

  /**
   * A rule with what becomes of it.
   *
   * @param place from 1 on
   * @param after the place of the rule from whose act it waits; null: from the mailing
   * @param on the sign at which it acts at once; null for a rule that waits
   * @param body the text that it sends; empty when it sends none
   * @param ways on which ways it sends; null when it sends none
   * @param words the whole rule as a sentence
   * @param errors what is wrong with its text
   * @param will how many people it will touch if nothing changes; null when it is not known
   * @param first when the first of their waits is over
   * @param done for how many it was done
   * @param not for how many it was not, since they were not meant any more
   */
  @Schema(name = "FollowRule")
  record RuleView(
      long id,
      int place,
      @Schema(nullable = true) Whom whom,
      @Schema(nullable = true) Integer waitCount,
      @Schema(nullable = true) After.Unit waitUnit,
      @Schema(nullable = true) Integer after,
      @Schema(nullable = true) Sign on,
      List<ExceptPart> except,
      RuleAct act,
      String body,
      @Schema(nullable = true) WaysBody ways,
      String words,
      List<String> errors,
      boolean stopped,
      @Schema(nullable = true) Long will,
      @Schema(nullable = true) Instant first,
      @Schema(nullable = true) Instant last,
      long done,
      long not) {}

  /** A rule as it is wanted; {@link RuleView} says what its parts are. */
  @Schema(name = "FollowRuleBody")
  record RuleBody(
      @Schema(nullable = true) Long id,
      @Schema(nullable = true) Whom whom,
      @Schema(nullable = true) Integer waitCount,
      @Schema(nullable = true) After.Unit waitUnit,
      @Schema(nullable = true) Integer after,
      @Schema(nullable = true) Sign on,
      List<AudienceParts.Part> except,
      RuleAct act,
      @Schema(nullable = true) String body,
      @Schema(nullable = true) WaysBody ways) {}

  /** How many messages of a rule were in the outbox and stay. */
  record RuleStopped(int messages) {}

  /** Which people of a rule. */
  enum RuleWhich {
    WILL,
    DONE,
    NOT
  }

  /**
   * Somebody of a rule.
   *
   * @param message the one that the rule followed; 0 when it has not left yet
   * @param at when it was decided; null when it was not yet
   * @param words what was done, or why not
   */
  record RulePerson(
      PersonId personId,
      String name,
      MessageId message,
      @Schema(nullable = true) Instant at,
      String words) {}

  private final FollowRules rules;
  private final FollowRuleMapper mapper;
  private final RuleOutlook outlook;
  private final RuleDoing doing;
  private final RuleTexts texts;
  private final OpenCauses mailings;
  private final AudienceParts parts;

  FollowRuleController(
      FollowRules rules,
      FollowRuleMapper mapper,
      RuleOutlook outlook,
      RuleDoing doing,
      RuleTexts texts,
      OpenCauses mailings,
      AudienceParts parts) {
    this.rules = rules;
    this.mapper = mapper;
    this.outlook = outlook;
    this.doing = doing;
    this.texts = texts;
    this.mailings = mailings;
    this.parts = parts;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<RuleView> all(@PathVariable long mailing) {
    List<FollowRule> all = rules.of(mailing);
    Cause of = mailings.find(mailing);
    Map<Long, Integer> places =
        all.stream().collect(Collectors.toMap(FollowRule::id, FollowRule::place));
    Map<Long, RuleOutlook.Forecast> forecasts = outlook.of(of, all);
    Map<Long, List<String>> errors = rules.errors(all);
    Map<Long, FollowRuleMapper.Counts> counts =
        mapper.counts(mailing).stream()
            .collect(Collectors.toMap(FollowRuleMapper.Counts::ruleId, c -> c));
    return all.stream()
        .map(
            r ->
                view(
                    r,
                    places.get(r.afterId()),
                    forecasts.get(r.id()),
                    errors.getOrDefault(r.id(), List.of()),
                    counts.getOrDefault(r.id(), new FollowRuleMapper.Counts(r.id(), 0, 0))))
        .toList();
  }

  private RuleView view(
      FollowRule rule,
      Integer after,
      RuleOutlook.Forecast forecast,
      List<String> errors,
      FollowRuleMapper.Counts counts) {
    Act act = doing.act(rule);
    return new RuleView(
        rule.id(),
        rule.place(),
        rule.whom(),
        rule.waitCount(),
        rule.waitUnit(),
        after,
        rule.isAtOnce() ? rule.sign().orElse(null) : null,
        parts.read(rule.exceptParts()).stream()
            .map(p -> new ExceptPart(p.name(), p.filter(), parts.words(p)))
            .toList(),
        RuleAct.of(act),
        rule.sendsId() == null ? "" : texts.body(rule.sendsId()),
        rule.sendsId() == null ? null : texts.ways(rule.sendsId()),
        RuleWords.of(rule, act, after),
        errors,
        rule.isStopped(),
        forecast == null ? null : forecast.people().stream().distinct().count(),
        forecast == null ? null : forecast.first(),
        forecast == null ? null : forecast.last(),
        counts.done(),
        counts.not());
  }

  /**
   * The rules of a mailing, in this order; those that are not among them are taken away.
   *
   * @param newest the highest id among those that were seen (0: there were none); rules that were
   *     added since stay, behind these
   */
  @Needs(Right.WRITE_TO_ONE)
  @PutMapping
  List<RuleView> save(
      @PathVariable long mailing,
      @RequestParam(required = false) Long newest,
      @RequestBody List<RuleBody> wanted) {
    rules.save(
        mailing,
        wanted.stream()
            .map(
                b ->
                    new FollowRules.Wanted(
                        b.id(),
                        b.whom(),
                        b.waitCount(),
                        b.waitUnit(),
                        b.after(),
                        b.on(),
                        b.except(),
                        b.act(),
                        b.body(),
                        b.ways()))
            .toList(),
        newest);
    return all(mailing);
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/{rule}/stop")
  RuleStopped stop(@PathVariable long mailing, @PathVariable long rule) {
    return new RuleStopped(rules.stop(mailing, rule));
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/{rule}/go-on")
  void goOn(@PathVariable long mailing, @PathVariable long rule) {
    rules.goOn(mailing, rule);
  }

  /** The people of a rule, at most 500 of them. */
  @Needs(Right.SEE)
  @GetMapping("/{rule}/people")
  List<RulePerson> people(
      @PathVariable long mailing, @PathVariable long rule, @RequestParam RuleWhich which) {
    FollowRule of = rules.find(mailing, rule);
    List<FollowRuleMapper.Touched> people =
        switch (which) {
          case DONE -> mapper.touched(rule, "done", MOST_PEOPLE);
          case NOT -> mapper.touched(rule, "not", MOST_PEOPLE);
          case WILL -> will(mailing, of);
        };
    return people.stream()
        .map(t -> new RulePerson(t.personId(), t.name(), t.message(), t.at(), t.words()))
        .toList();
  }

  private List<FollowRuleMapper.Touched> will(long mailing, FollowRule rule) {
    RuleOutlook.Forecast forecast =
        outlook.of(mailings.find(mailing), rules.of(mailing)).get(rule.id());
    return forecast == null
        ? List.of()
        : mapper.named(forecast.people().toArray(PersonId[]::new), MOST_PEOPLE);
  }
}
