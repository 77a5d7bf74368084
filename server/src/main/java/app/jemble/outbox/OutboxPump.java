package app.jemble.outbox;

import app.jemble.carrier.mail.MailConnections;
import app.jemble.settings.JembleSettings;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Keeps the outbox going: workers that take turns with the mail connections, and one that looks
 * after hand-overs whose process is gone. Any number of processes share the outbox.
 */
@Component
class OutboxPump {

  private static final Duration BETWEEN_LOOKS = Duration.ofSeconds(2);

  /** While one hands over, another prepares. */
  private static final int WORKERS_A_CONNECTION = 4;

  private final Departures departures;
  private final AbandonedHandovers abandoned;
  private final JournalFolder journals;
  private final JembleSettings settings;
  private final Clock clock;
  private final CountDownLatch stopping = new CountDownLatch(1);
  private MailConnections connections;
  private final List<Thread> threads = new ArrayList<>();

  OutboxPump(
      Departures departures,
      AbandonedHandovers abandoned,
      JournalFolder journals,
      JembleSettings settings,
      Clock clock) {
    this.departures = departures;
    this.abandoned = abandoned;
    this.journals = journals;
    this.settings = settings;
    this.clock = clock;
  }

  @EventListener(ApplicationReadyEvent.class)
  void start() {
    connections = new MailConnections(settings.smtp());
    start("outbox-abandoned", this::lookAfterAbandoned);
    for (int i = 0; i < WORKERS_A_CONNECTION * settings.smtp().connections(); i++) {
      start("outbox-" + i, this::work);
    }
  }

  private void start(String name, Runnable work) {
    Thread thread = new Thread(work, name);
    threads.add(thread);
    thread.start();
  }

  @PreDestroy
  void stop() throws InterruptedException {
    stopping.countDown();
    for (Thread thread : threads) {
      thread.join(TimeUnit.SECONDS.toMillis(20));
    }
    if (connections != null) {
      connections.close();
    }
  }

  private void work() {
    try (OutboxWorker worker =
        new OutboxWorker(
            departures,
            connections,
            settings.outbox(),
            journals.folder(),
            clock,
            () -> stopping.getCount() == 0)) {
      boolean goingOn = true;
      while (goingOn) {
        goingOn = !pauses(worker.turn());
      }
    }
  }

  private void lookAfterAbandoned() {
    boolean goingOn = true;
    while (goingOn) {
      abandoned.look();
      goingOn = !pauses(BETWEEN_LOOKS);
    }
  }

  /** Waits; true when the pump is to stop. */
  private boolean pauses(Duration wait) {
    try {
      return stopping.await(wait.toMillis(), TimeUnit.MILLISECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return true;
    }
  }
}
