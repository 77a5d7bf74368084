package app.jemble.plan;

import app.jemble.outbox.OutboxService;
import app.jemble.problem.Problem;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Plans anew what was held because a daily cap was used up. */
@Configuration
class CapJobs {

  private static final Logger LOG = LoggerFactory.getLogger(CapJobs.class);

  @Bean
  RecurringTask<Void> goOnAfterCaps(OutboxService outbox, RestService rest) {
    return Tasks.recurring("go-on-after-caps", FixedDelay.ofSeconds(10))
        .execute((instance, context) -> outbox.overCaps().forEach(id -> goOn(rest, id)));
  }

  /** What no day has room for stays held, and is looked at again. */
  private static void goOn(RestService rest, long mailingId) {
    try {
      rest.goOnAfterCap(mailingId);
    } catch (Problem notNow) {
      LOG.info("Mailing {} stays held: {}", mailingId, notNow.getMessage());
    }
  }
}
