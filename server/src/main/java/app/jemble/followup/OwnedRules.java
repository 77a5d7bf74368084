package app.jemble.followup;

import app.jemble.account.Account;
import app.jemble.account.Belongings;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Rules that give a colleague tasks, or people. */
@Component
@Order(9)
class OwnedRules implements Belongings {

  private final FollowRuleMapper mapper;

  OwnedRules(FollowRuleMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public Words words() {
    return new Words("rule that gives them work", "rules that give them work");
  }

  @Override
  public long count(long owner) {
    return mapper.countNaming(owner);
  }

  @Override
  public void handOver(Account from, Account to) {
    mapper.nameInstead(from.login(), to.login());
  }
}
