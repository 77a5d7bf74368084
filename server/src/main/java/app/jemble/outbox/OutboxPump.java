package app.jemble.outbox;

import app.jemble.core.pace.Retry;
import app.jemble.workspace.JembleSettings;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Lets messages leave. One thread a mail connection; each claims a few due messages, marks one as
 * being handed over before the mail server sees it, and notes the answer after. Any number of
 * processes share the outbox.
 */
@Component
class OutboxPump {

  private static final Logger LOG = LoggerFactory.getLogger(OutboxPump.class);
  private static final Duration AFTER_TROUBLE = Duration.ofSeconds(5);

  private final OutboxMapper mapper;
  private final Departures departures;
  private final Handover handover;
  private final JembleSettings settings;
  private final Clock clock;
  private final CountDownLatch stopping = new CountDownLatch(1);
  private final List<Thread> workers = new ArrayList<>();

  OutboxPump(
      OutboxMapper mapper,
      Departures departures,
      Handover handover,
      JembleSettings settings,
      Clock clock) {
    this.mapper = mapper;
    this.departures = departures;
    this.handover = handover;
    this.settings = settings;
    this.clock = clock;
  }

  @EventListener(ApplicationReadyEvent.class)
  void start() {
    for (int i = 0; i < settings.smtp().connections(); i++) {
      Thread worker = new Thread(this::work, "outbox-" + i);
      workers.add(worker);
      worker.start();
    }
  }

  @PreDestroy
  void stop() throws InterruptedException {
    stopping.countDown();
    for (Thread worker : workers) {
      worker.join(TimeUnit.SECONDS.toMillis(20));
    }
  }

  private void work() {
    String name = UUID.randomUUID().toString();
    try (MailConnection connection = handover.open()) {
      boolean goingOn = true;
      while (goingOn) {
        goingOn = !pauses(turn(name, connection));
      }
      mapper.letGo(name);
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

  /** Claims and hands over once; says how long to wait before the next time. */
  private Duration turn(String worker, MailConnection connection) {
    try {
      Instant now = clock.instant();
      List<OutboxMapper.Claimed> batch =
          mapper.claim(worker, now, now.plus(settings.outbox().lease()), settings.outbox().batch());
      for (OutboxMapper.Claimed message : batch) {
        if (stopping.getCount() == 0 || !leave(worker, connection, message)) {
          mapper.letGo(worker);
          return AFTER_TROUBLE;
        }
      }
      return batch.isEmpty() ? settings.outbox().pollEvery() : Duration.ZERO;
    } catch (RuntimeException trouble) {
      // The database may be away; nothing is lost, since every step was noted before it was taken.
      LOG.error("The outbox stopped for a moment.", trouble);
      return AFTER_TROUBLE;
    }
  }

  /** Hands one message over; false when the mail server cannot be reached. */
  private boolean leave(String worker, MailConnection connection, OutboxMapper.Claimed message) {
    Departures.Ready ready = departures.begin(worker, message).orElse(null);
    if (ready == null) {
      return true;
    }
    HandoverResult result = connection.send(ready.mime(), ready.returnAddress(), message.address());
    Instant now = clock.instant();
    if (result instanceof HandoverResult.Accepted) {
      departures.sent(worker, message);
    } else if (result instanceof HandoverResult.Refused refused) {
      mapper.end(message.id(), worker, "refused", refused.words(), null, null);
    } else if (result instanceof HandoverResult.InDoubt doubt) {
      mapper.end(message.id(), worker, "in_doubt", doubt.words(), null, null);
    } else if (result instanceof HandoverResult.PutOff putOff) {
      putOff(worker, message, putOff.words(), now);
    } else {
      mapper.giveBack(message.id(), worker, result.words(), now.plus(AFTER_TROUBLE));
      return false;
    }
    return true;
  }

  private void putOff(String worker, OutboxMapper.Claimed message, String words, Instant now) {
    Instant first = message.firstTryAt() == null ? now : message.firstTryAt();
    Retry.next(message.tries() + 1, first, now)
        .ifPresentOrElse(
            next -> mapper.end(message.id(), worker, "deferred", words, next, null),
            () ->
                mapper.end(
                    message.id(),
                    worker,
                    "refused",
                    "given up after two days: " + words,
                    null,
                    null));
  }
}
