package app.jemble.release;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.annotation.PreDestroy;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.stereotype.Component;

/** Has the messages of released mailings written, by this process or, if it dies, by another. */
@Component
public class ReleaseJobs {

  private static final Logger LOG = LoggerFactory.getLogger(ReleaseJobs.class);

  /** A small mailing is there when the answer to its release is. */
  private static final long PATIENCE_MILLIS = 2000;

  private final ReleaseWriter writer;
  private final ReleaseNotes notes;
  private final ExecutorService threads =
      Executors.newFixedThreadPool(2, work -> new Thread(work, "release-writer"));

  ReleaseJobs(ReleaseWriter writer, ReleaseNotes notes) {
    this.writer = writer;
    this.notes = notes;
  }

  /** Begins to write, and waits a moment for it to be done. */
  public void begin(long mailingId) {
    Future<?> written = threads.submit(() -> writer.write(mailingId));
    try {
      written.get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS);
    } catch (TimeoutException goesOn) {
      LOG.debug("The messages of mailing {} are being written.", mailingId);
    } catch (ExecutionException failed) {
      // What is noted stays; it is tried again in a moment.
      LOG.error("The messages of mailing {} could not be written.", mailingId, failed.getCause());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Bean
  RecurringTask<Void> goOnWithReleases() {
    return Tasks.recurring("go-on-with-releases", FixedDelay.ofSeconds(5))
        .execute((instance, context) -> notes.unfinished().forEach(writer::write));
  }

  @PreDestroy
  void stop() {
    threads.shutdownNow();
  }
}
