package app.jemble.occasion;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.util.function.LongConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Looks after days that come round; one process at a time, while any number may. */
@Configuration
class OccasionJobs {

  private static final Logger LOG = LoggerFactory.getLogger(OccasionJobs.class);

  @Bean
  RecurringTask<Void> lookAheadToDays(OccasionRun run) {
    return Tasks.recurring("occasions-ahead", FixedDelay.ofMinutes(15))
        .execute((instance, context) -> each(run, run::lookAhead));
  }

  @Bean
  RecurringTask<Void> sayOnDays(OccasionRun run) {
    return Tasks.recurring("occasions", FixedDelay.ofSeconds(10))
        .execute((instance, context) -> each(run, run::say));
  }

  /** One that cannot be looked at does not keep the others from it. */
  private static void each(OccasionRun run, LongConsumer work) {
    for (long id : run.active()) {
      try {
        work.accept(id);
      } catch (RuntimeException trouble) {
        LOG.error("Standing mailing {} could not be looked at; it is tried again.", id, trouble);
      }
    }
  }
}
