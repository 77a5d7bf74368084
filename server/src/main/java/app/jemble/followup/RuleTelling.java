package app.jemble.followup;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import app.jemble.followup.FollowActMapper.Candidate;
import app.jemble.telling.ColleagueMails;
import java.util.List;
import org.springframework.stereotype.Component;

/** Tells a sender by mail for whom a rule has acted. */
@Component
class RuleTelling {

  private static final int MOST_NAMES = 20;

  private final FollowActMapper mapper;
  private final FollowRuleMapper rules;
  private final RuleDoing doing;
  private final OpenCauses mailings;
  private final ColleagueMails mails;
  private final AccountService accounts;

  RuleTelling(
      FollowActMapper mapper,
      FollowRuleMapper rules,
      RuleDoing doing,
      OpenCauses mailings,
      ColleagueMails mails,
      AccountService accounts) {
    this.mapper = mapper;
    this.rules = rules;
    this.doing = doing;
    this.mailings = mailings;
    this.mails = mails;
    this.accounts = accounts;
  }

  /** It was noted before, so that nobody is told twice; what cannot leave is tried again. */
  void tell(long ruleId, List<Candidate> whom) {
    FollowRule rule = rules.find(ruleId);
    Cause mailing = mailings.anybodys(rule.mailingId());
    Account sender = accounts.find(mailing.senderId());
    List<String> names =
        mapper.names(whom.stream().map(Candidate::personId).toArray(PersonId[]::new));
    String some = String.join(", ", names.subList(0, Math.min(names.size(), MOST_NAMES)));
    int more = names.size() - MOST_NAMES;
    String who = more > 0 ? mails.words(sender, "rule.more", some, more) : some;
    boolean sent =
        mails.send(
            "told." + ruleId + "." + whom.get(0).message(),
            sender,
            new ColleagueMails.Told(
                "rule",
                "",
                "/responses/" + mailing.id(),
                List.of(mailing.name(), who, RuleWords.of(rule, doing.act(rule), null))));
    if (!sent) {
      mapper.notTold(ruleId, whom.stream().map(Candidate::message).toArray(MessageId[]::new));
    }
  }
}
