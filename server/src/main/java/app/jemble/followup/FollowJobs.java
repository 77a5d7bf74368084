package app.jemble.followup;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.util.function.LongConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Looks after the rules of all mailings; one process at a time. */
@Configuration
class FollowJobs {

  private static final Logger LOG = LoggerFactory.getLogger(FollowJobs.class);

  @Bean
  RecurringTask<Void> followUp(FollowActs acts) {
    return Tasks.recurring("follow-up", FixedDelay.ofSeconds(2))
        .execute(
            (instance, context) -> {
              acts.toLookAt().forEach(rule -> each(rule, acts::lookAt));
              acts.withResponses().forEach(rule -> each(rule, acts::atOnce));
            });
  }

  /** A rule that cannot be acted on does not keep the others from it. */
  private static void each(long rule, LongConsumer act) {
    try {
      act.accept(rule);
    } catch (RuntimeException trouble) {
      LOG.error("Rule {} could not be acted on; it is tried again.", rule, trouble);
    }
  }
}
