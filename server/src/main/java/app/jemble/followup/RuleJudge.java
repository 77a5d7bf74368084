package app.jemble.followup;

import app.jemble.account.Account;
import app.jemble.core.followup.FollowUp;
import app.jemble.core.followup.FollowUp.Facts;
import app.jemble.core.followup.FollowUp.Judgement;
import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.PersonId;
import app.jemble.core.response.Standing;
import app.jemble.followup.FollowActMapper.Candidate;
import app.jemble.followup.FollowActMapper.Standings;
import app.jemble.inbound.UnplacedService;
import app.jemble.response.AwayPeople;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Whether a rule means people: where their thread stands, who is left out, who can be reached. */
@Component
class RuleJudge {

  private final FollowActMapper mapper;
  private final RuleExceptions exceptions;
  private final RuleMessages messages;
  private final UnplacedService unplaced;
  private final AwayPeople awayPeople;

  RuleJudge(
      FollowActMapper mapper,
      RuleExceptions exceptions,
      RuleMessages messages,
      UnplacedService unplaced,
      AwayPeople awayPeople) {
    this.mapper = mapper;
    this.exceptions = exceptions;
    this.messages = messages;
    this.unplaced = unplaced;
    this.awayPeople = awayPeople;
  }

  Map<MessageId, Judgement> judge(FollowRule rule, Account sender, List<Candidate> whom) {
    List<PersonId> people = whom.stream().map(Candidate::personId).distinct().toList();
    Map<MessageId, Standing> threads = new HashMap<>();
    for (Standings thread :
        mapper.standings(whom.stream().map(Candidate::message).toArray(MessageId[]::new))) {
      threads.put(
          thread.message(),
          Standing.strongest(thread.standings().stream().map(Standing::valueOf).toList()));
    }
    Set<PersonId> excluded = exceptions.among(rule, sender, people);
    Map<PersonId, Reach> reaches =
        rule.sendsId() == null ? null : messages.reaches(rule.sendsId(), people);
    Set<String> toPlace = unplaced.senders();
    Set<PersonId> away = awayPeople.among(people);
    Map<MessageId, Judgement> judged = new HashMap<>();
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
  Map<MessageId, Judgement> withoutExceptions(
      FollowRule rule, Account sender, List<Candidate> whom) {
    Set<PersonId> excluded =
        exceptions.among(rule, sender, whom.stream().map(Candidate::personId).distinct().toList());
    Map<MessageId, Judgement> judged = new HashMap<>();
    whom.forEach(c -> judged.put(c.message(), FollowUp.atOnce(excluded.contains(c.personId()))));
    return judged;
  }
}
