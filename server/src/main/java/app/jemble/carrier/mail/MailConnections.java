package app.jemble.carrier.mail;

import app.jemble.settings.JembleSettings;
import jakarta.mail.MessagingException;
import java.time.Duration;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * The connections of this process to the mail server: as many as the settings allow and no more.
 * Workers take turns with them, so that while one hands over another prepares.
 */
public final class MailConnections implements AutoCloseable {

  private static final Duration KEPT_OPEN = Duration.ofSeconds(60);

  private final BlockingQueue<MailConnection> free;
  private final AtomicInteger inUse = new AtomicInteger();

  public MailConnections(JembleSettings.Smtp settings) {
    free = new ArrayBlockingQueue<>(settings.connections());
    for (int i = 0; i < settings.connections(); i++) {
      free.add(new MailConnection(settings));
    }
  }

  /** Waits for one that nobody else has; it is to be put back. */
  public MailConnection take() {
    try {
      MailConnection connection = free.take();
      inUse.incrementAndGet();
      return connection;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("stopped while waiting for a mail connection", e);
    }
  }

  public void putBack(MailConnection connection) {
    inUse.decrementAndGet();
    free.add(connection);
  }

  /** Makes sure that at least one is open, or in use; one attempt at a time. */
  public synchronized void open() throws MessagingException {
    if (isOpen()) {
      return;
    }
    MailConnection connection = free.poll();
    if (connection != null) {
      try {
        connection.connect();
      } finally {
        free.add(connection);
      }
    }
  }

  /** Whether one is open, or in use. */
  public boolean isOpen() {
    return inUse.get() > 0 || free.stream().anyMatch(MailConnection::isOpen);
  }

  /** Closes those that nobody has used for a while. */
  public void closeUnused() {
    for (int i = free.size(); i > 0; i--) {
      MailConnection one = free.poll();
      if (one != null) {
        if (one.unusedFor().compareTo(KEPT_OPEN) > 0) {
          one.close();
        }
        free.add(one);
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
