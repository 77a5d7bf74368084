package app.jemble.carrier.mail;

import app.jemble.carrier.Line;
import app.jemble.carrier.Lines;
import app.jemble.carrier.UnreachableException;
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
final class MailConnections implements Lines {

  private static final Duration KEPT_OPEN = Duration.ofSeconds(60);

  private final BlockingQueue<MailConnection> free;
  private final AtomicInteger inUse = new AtomicInteger();

  MailConnections(JembleSettings.Smtp settings) {
    free = new ArrayBlockingQueue<>(settings.connections());
    for (int i = 0; i < settings.connections(); i++) {
      free.add(new MailConnection(settings));
    }
  }

  @Override
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

  @Override
  public void putBack(Line line) {
    inUse.decrementAndGet();
    free.add((MailConnection) line);
  }

  @Override
  public synchronized void open() throws UnreachableException {
    if (isOpen()) {
      return;
    }
    MailConnection connection = free.poll();
    if (connection != null) {
      try {
        connection.connect();
      } catch (MessagingException unreachable) {
        throw new UnreachableException(MailStep.words(unreachable));
      } finally {
        free.add(connection);
      }
    }
  }

  @Override
  public boolean isOpen() {
    return inUse.get() > 0 || free.stream().anyMatch(MailConnection::isOpen);
  }

  @Override
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
