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
import java.util.concurrent.CountDownLatch;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Keeps the outbox going: for each carrier workers that take turns with its lines, and one that
 * looks after hand-overs whose process is gone. Any number of processes share the outbox.
 */
@Component
class OutboxPump {

  private static final Logger LOG = LoggerFactory.getLogger(OutboxPump.class);
  private static final Duration BETWEEN_LOOKS = Duration.ofSeconds(2);
  private static final Duration PATIENCE = Duration.ofSeconds(20);

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
  private final List<OutboxCrew> crews = new ArrayList<>();
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
    carriers
        .all()
        .forEach(carrier -> crews.add(new OutboxCrew(carrier, (s, l) -> tools(carrier, s, l))));
    start("outbox-abandoned", abandoned::look);
    crews.forEach(OutboxCrew::start);
    start("outbox-settings", this::keepToSettings);
  }

  private OutboxWorker.Tools tools(Carrier carrier, Object setting, Lines lines) {
    return new OutboxWorker.Tools(
        carrier,
        setting,
        lines,
        departures,
        guards,
        due,
        health,
        settings,
        journals.folder(),
        clock);
  }

  /** Looks again and again until the house stops. */
  private void start(String name, Runnable look) {
    Thread thread =
        new Thread(
            () -> {
              boolean goingOn = true;
              while (goingOn) {
                look.run();
                goingOn = !OutboxCrew.pauses(stopping, BETWEEN_LOOKS);
              }
            },
            name);
    threads.add(thread);
    thread.start();
  }

  private void keepToSettings() {
    try {
      for (OutboxCrew crew : crews) {
        crew.keepToSetting();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (RuntimeException away) {
      // The database may be away; what is set is asked again in a moment.
      LOG.debug("The settings of the ways out could not be read.", away);
    }
  }

  @PreDestroy
  void stop() throws InterruptedException {
    stopping.countDown();
    crews.forEach(OutboxCrew::askToStop);
    for (Thread thread : threads) {
      thread.join(PATIENCE.toMillis());
    }
    for (OutboxCrew crew : crews) {
      crew.end();
    }
  }
}
