package app.jemble.print;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.context.annotation.Bean;
import org.springframework.stereotype.Component;

/** Has runs printed, by this process or, if it dies, by another. */
@Component
public class PrintJobs {

  private final RunPrinter printer;
  private final ItemMapper items;
  private final Clock clock;
  private final ExecutorService thread =
      Executors.newSingleThreadExecutor(work -> new Thread(work, "printer"));

  PrintJobs(RunPrinter printer, ItemMapper items, Clock clock) {
    this.printer = printer;
    this.items = items;
    this.clock = clock;
  }

  /** Begins to print a run that is noted as being printed. */
  public void begin(long id) {
    thread.execute(() -> printer.print(id));
  }

  @Bean
  RecurringTask<Void> goOnWithPrinting() {
    return Tasks.recurring("go-on-with-printing", FixedDelay.ofSeconds(10))
        .execute(
            (instance, context) ->
                items
                    .standingStill(clock.instant().minus(RunPrinter.STANDS_STILL))
                    .forEach(printer::print));
  }

  @PreDestroy
  void stop() {
    thread.shutdownNow();
  }
}
