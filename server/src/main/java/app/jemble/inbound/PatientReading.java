package app.jemble.inbound;

import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.stereotype.Component;

/**
 * Reads mails apart from whoever waits for them: one that takes too long, is nested too deep or
 * breaks the reader in any other way is told from the others, and holds nobody up.
 */
@Component
class PatientReading {

  /** A mail that cannot be read; the message says why, for people. */
  static final class Unreadable extends Exception {
    private static final long serialVersionUID = 1L;

    Unreadable(String why, Throwable cause) {
      super(why, cause);
    }
  }

  /** Readers take milliseconds; this is for what nobody has thought of. */
  private static final Duration PATIENCE = Duration.ofSeconds(10);

  private final ExecutorService readers =
      Executors.newCachedThreadPool(
          task -> {
            Thread thread = new Thread(task, "mail-reading");
            thread.setDaemon(true);
            return thread;
          });

  ReadMail read(byte[] mime) throws Unreadable {
    Future<ReadMail> reading = readers.submit(() -> ReadMail.of(mime));
    try {
      return reading.get(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
    } catch (TimeoutException tooSlow) {
      reading.cancel(true);
      throw new Unreadable("It takes too long to read.", tooSlow);
    } catch (ExecutionException broken) {
      Throwable cause = broken.getCause();
      throw new Unreadable(
          cause instanceof StackOverflowError
              ? "It is nested too deep to be read."
              : "It cannot be read: " + cause.getClass().getSimpleName() + ".",
          cause);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("stopped while a mail was read", stopped);
    }
  }

  @PreDestroy
  void stop() {
    readers.shutdownNow();
  }
}
