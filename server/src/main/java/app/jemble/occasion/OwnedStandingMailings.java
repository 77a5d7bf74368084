package app.jemble.occasion;

import app.jemble.account.Belongings;
import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** Standing mailings that write in a colleague's name. */
@Configuration(proxyBeanMethods = false)
class OwnedStandingMailings {

  @Bean
  @Order(5)
  Belongings standingMailings(CauseChanges causes) {
    return new Belongings(
        "standing mailing",
        "standing mailings",
        owner -> causes.count(Cause.Kind.OCCASION, owner),
        (from, to) -> causes.handOverAll(Cause.Kind.OCCASION, from.id(), to.id()));
  }
}
