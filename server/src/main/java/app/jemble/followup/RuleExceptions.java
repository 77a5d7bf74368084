package app.jemble.followup;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.audience.AudienceParts;
import app.jemble.cause.OpenCauses;
import app.jemble.core.house.StandingWord;
import app.jemble.core.record.PersonId;
import app.jemble.departure.LastLook;
import app.jemble.filter.AskedNow;
import app.jemble.filter.FilterBody;
import app.jemble.people.PeopleService;
import app.jemble.storage.RenamedWord;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/** Who is left out of rules; asked when they act, and again as what they send leaves. */
@Component
class RuleExceptions implements LastLook, RenamedWord.Follower {

  private final FollowRuleMapper rules;
  private final AudienceParts parts;
  private final PeopleService people;
  private final OpenCauses mailings;
  private final AccountService accounts;
  private final AskedNow asked;
  private final ObjectMapper json;

  RuleExceptions(
      FollowRuleMapper rules,
      AudienceParts parts,
      PeopleService people,
      OpenCauses mailings,
      AccountService accounts,
      AskedNow asked,
      ObjectMapper json) {
    this.rules = rules;
    this.parts = parts;
    this.people = people;
    this.mailings = mailings;
    this.accounts = accounts;
    this.asked = asked;
    this.json = json;
  }

  /** Of these people, those the rule leaves out. */
  Set<PersonId> among(FollowRule rule, Account sender, List<PersonId> whom) {
    FilterBody filter = parts.any(rule.exceptParts());
    return filter == null || whom.isEmpty()
        ? Set.of()
        : people.among(whom, filter, asked.by(sender));
  }

  @Override
  public Map<PersonId, String> notTo(long mailingId, List<PersonId> whom) {
    FollowRule rule = rules.sending(mailingId);
    Map<PersonId, String> not = new HashMap<>();
    if (rule == null) {
      return not;
    }
    if (rule.isStopped()) {
      whom.forEach(person -> not.put(person, "the rule was stopped"));
      return not;
    }
    Account sender = accounts.find(mailings.anybodys(rule.mailingId()).senderId());
    among(rule, sender, whom).forEach(person -> not.put(person, "is among those left out"));
    return not;
  }

  @Override
  public void follow(RenamedWord word) {
    if (word.isOf(StandingWord.About.TASK)) {
      rules.renameTaskKind(word.before(), word.after());
    }
    for (FollowRuleMapper.StoredExceptions stored : rules.about(word.field())) {
      String renamed = word.in(stored.parts(), json);
      if (!renamed.equals(stored.parts())) {
        rules.except(stored.id(), renamed);
      }
    }
  }
}
