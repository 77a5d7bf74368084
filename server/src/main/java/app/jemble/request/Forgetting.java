package app.jemble.request;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.time.Duration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Answers that nobody asks for again are not kept. */
@Configuration
class Forgetting {

  private static final Duration KEPT = Duration.ofDays(1);

  @Bean
  RecurringTask<Void> forgetAnswers(OnceMapper mapper, Clock clock) {
    return Tasks.recurring("forget-answers", FixedDelay.ofHours(1))
        .execute((instance, context) -> mapper.forgetBefore(clock.instant().minus(KEPT)));
  }
}
