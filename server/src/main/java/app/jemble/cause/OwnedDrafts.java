package app.jemble.cause;

import app.jemble.account.Belongings;
import app.jemble.core.message.CauseState;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;

/** Mailings a colleague was writing, with what their rules are to send. */
@Configuration(proxyBeanMethods = false)
class OwnedDrafts {

  @Bean
  @Order(8)
  Belongings drafts(CauseMapper mapper, CauseChanges changes) {
    return new Belongings(
        "draft",
        "drafts",
        owner -> mapper.count(owner, Cause.Kind.MAILING, CauseState.DRAFT),
        (from, to) -> {
          changes.handOver(Cause.Kind.MAILING, CauseState.DRAFT, from.id(), to.id());
          changes.handOver(Cause.Kind.RULE, CauseState.DRAFT, from.id(), to.id());
        });
  }
}
