package app.jemble.outbox;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Looks for hand-overs whose process is gone and holds them in doubt. */
@Configuration
class AbandonedHandovers {

  private static final Logger LOG = LoggerFactory.getLogger(AbandonedHandovers.class);

  @Bean
  RecurringTask<Void> doubtAbandonedHandovers(OutboxMapper mapper, Clock clock) {
    return Tasks.recurring("doubt-abandoned-handovers", FixedDelay.ofSeconds(20))
        .execute(
            (instance, context) -> {
              int abandoned = mapper.doubtAbandoned(clock.instant());
              if (abandoned > 0) {
                LOG.warn("{} messages are in doubt: their process stopped.", abandoned);
              }
            });
  }
}
