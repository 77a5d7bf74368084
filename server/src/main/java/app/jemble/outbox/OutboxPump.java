package app.jemble.outbox;

import app.jemble.carrier.Carrier;
import app.jemble.carrier.Carriers;
import app.jemble.carrier.Lines;
import app.jemble.settings.JembleSettings;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Keeps the outbox going: for each carrier workers that take turns with its lines, and one that
 * looks after hand-overs whose process is gone. Any number of processes share the outbox.
 */
@Component
class OutboxPump {

  private static final Duration BETWEEN_LOOKS = Duration.ofSeconds(2);

  private final Carriers carriers;
  private final Departures departures;
  private final DepartureGuards guards;
  private final DueQueue due;
  private final CarrierHealth health;
  private final AbandonedHandovers abandoned;
  private final JournalFolder journals;
  private final JembleSettings.Outbox settings;
  private final Clock clock;
  private final CountDownLatch stopping = new CountDownLatch(1);
  private final List<Lines> lines = new ArrayList<>();
  private final List<Thread> threads = new ArrayList<>();

  OutboxPump(
      Carriers carriers,
      Departures departures,
      DepartureGuards guards,
      DueQueue due,
      CarrierHealth health,
      AbandonedHandovers abandoned,
      JournalFolder journals,
      JembleSettings settings,
      Clock clock) {
    this.carriers = carriers;
    this.departures = departures;
    this.guards = guards;
    this.due = due;
    this.health = health;
    this.abandoned = abandoned;
    this.journals = journals;
    this.settings = settings.outbox();
    this.clock = clock;
  }

  @EventListener(ApplicationReadyEvent.class)
  void start() {
    start("outbox-abandoned", this::lookAfterAbandoned);
    carriers.all().forEach(this::start);
  }

  private void start(Carrier carrier) {
    Lines ofCarrier = carrier.lines();
    lines.add(ofCarrier);
    OutboxWorker.Tools tools =
        new OutboxWorker.Tools(
            carrier,
            ofCarrier,
            departures,
            guards,
            due,
            health,
            settings,
            journals.folder(),
            clock);
    String name = "outbox-" + carrier.channel().name().toLowerCase(Locale.ROOT) + "-";
    for (int i = 0; i < carrier.workersALine() * carrier.lineCount(); i++) {
      start(name + i, () -> work(tools));
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
    lines.forEach(Lines::close);
  }

  private void work(OutboxWorker.Tools tools) {
    try (OutboxWorker worker = new OutboxWorker(tools, () -> stopping.getCount() == 0)) {
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
