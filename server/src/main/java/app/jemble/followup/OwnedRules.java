package app.jemble.followup;

import app.jemble.account.Belongings;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** Rules that give a colleague tasks, or people. */
@Configuration(proxyBeanMethods = false)
class OwnedRules {

  @Bean
  @Order(9)
  Belongings rules(FollowRuleMapper mapper) {
    return new Belongings(
        "rule that gives them work",
        "rules that give them work",
        mapper::countNaming,
        (from, to) -> mapper.nameInstead(from.login(), to.login()));
  }
}
