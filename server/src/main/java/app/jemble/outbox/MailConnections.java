package app.jemble.outbox;

import app.jemble.workspace.JembleSettings;
import jakarta.mail.MessagingException;
import java.time.Duration;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;

/**
 * The connections of this process to the mail server: as many as the settings allow and no more.
 * Workers take turns with them, so that while one hands over another prepares.
 */
final class MailConnections implements AutoCloseable {

  private static final Duration KEPT_OPEN = Duration.ofSeconds(60);

  private final BlockingQueue<MailConnection> free;

  MailConnections(JembleSettings.Smtp settings) {
    free = new ArrayBlockingQueue<>(settings.connections());
    for (int i = 0; i < settings.connections(); i++) {
      free.add(new MailConnection(settings));
    }
  }

  /** Waits for one that nobody else has; it is to be put back. */
  MailConnection take() {
    try {
      return free.take();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("stopped while waiting for a mail connection", e);
    }
  }

  void putBack(MailConnection connection) {
    free.add(connection);
  }

  /** Makes sure that at least one is open, or in use. */
  void open() throws MessagingException {
    MailConnection connection = free.poll();
    if (connection != null) {
      try {
        connection.connect();
      } finally {
        putBack(connection);
      }
    }
  }

  /** Whether one is open, or in use. */
  boolean isOpen() {
    return free.remainingCapacity() > 0 || free.stream().anyMatch(MailConnection::isOpen);
  }

  /** Closes those that nobody has used for a while. */
  void closeUnused() {
    for (int i = free.size(); i > 0; i--) {
      MailConnection one = free.poll();
      if (one != null) {
        if (one.unusedFor().compareTo(KEPT_OPEN) > 0) {
          one.close();
        }
        putBack(one);
      }
    }
  }

  @Override
  public void close() {
    for (int i = free.size(); i > 0; i--) {
      MailConnection one = free.poll();
      if (one != null) {
        one.close();
      }
    }
  }
}
