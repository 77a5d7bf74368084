package app.jemble.privacy;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Looks whether the night has come, and whether something was written to whoever was being erased;
 * one process at a time, while any number may.
 */
@Configuration
class RetentionJob {

  @Bean
  RecurringTask<Void> letGoOfTheOld(RetentionService retention) {
    return Tasks.recurring("let-go-of-the-old", FixedDelay.ofMinutes(10))
        .execute((instance, context) -> retention.look());
  }

  @Bean
  RecurringTask<Void> forgetWhatCameBetween(ErasureService erasures) {
    return Tasks.recurring("forget-what-came-between", FixedDelay.ofMinutes(10))
        .execute((instance, context) -> erasures.forgetWhatCameBetween());
  }
}
