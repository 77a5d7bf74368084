package app.jemble.phone;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Looks at what comes from phones; one process at a time, while any number may. */
@Configuration
class PhoneJobs {

  @Bean
  RecurringTask<Void> lookAtPhones(PhoneRun run) {
    return Tasks.recurring("phone", FixedDelay.ofSeconds(1))
        .execute((instance, context) -> run.look());
  }
}
