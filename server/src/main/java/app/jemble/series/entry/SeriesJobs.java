package app.jemble.series.entry;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Looks after all series; one process at a time, while any number may. */
@Configuration
class SeriesJobs {

  private static final Logger LOG = LoggerFactory.getLogger(SeriesJobs.class);

  @Bean
  RecurringTask<Void> lookAtSeries(SeriesRun run) {
    return Tasks.recurring("series", FixedDelay.ofSeconds(2))
        .execute((instance, context) -> run.toLookAt().forEach(series -> each(series, run)));
  }

  @Bean
  RecurringTask<Void> lookAtStandingEntries(StandingEntries standing) {
    return Tasks.recurring("series-standing", FixedDelay.ofSeconds(60))
        .execute((instance, context) -> standing.lookAtAll());
  }

  @Bean
  RecurringTask<Void> countLargeSeries(SeriesTally tallies) {
    return Tasks.recurring("series-tally", FixedDelay.ofSeconds(5))
        .execute((instance, context) -> tallies.refresh());
  }

  /** A series that cannot be looked at does not keep the others from it. */
  private static void each(long series, SeriesRun run) {
    try {
      run.lookAt(series);
    } catch (RuntimeException trouble) {
      LOG.error("Series {} could not be looked at; it is tried again.", series, trouble);
    }
  }
}
