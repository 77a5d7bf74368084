package app.jemble.outbox;

import app.jemble.core.followup.FollowUp;
import app.jemble.core.pace.Retry;
import app.jemble.core.response.Standing;
import app.jemble.outbox.OutboxMapper.Ended;
import app.jemble.workspace.JembleSettings;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
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
 * Lets messages leave. One thread a mail connection; each claims a few due messages and writes
 * them, then marks one at a time as being handed over before the mail server sees it, and notes the
 * answer together with the next one's beginning. Any number of processes share the outbox.
 */
@Component
class OutboxPump {

  private static final Logger LOG = LoggerFactory.getLogger(OutboxPump.class);
  private static final Duration AFTER_TROUBLE = Duration.ofSeconds(5);

  /** Standings of a message that stop the one that follows it. */
  private static final List<String> STOPPING =
      Arrays.stream(Standing.values())
          .filter(s -> FollowUp.stoppedBy(s).isPresent())
          .map(Standing::name)
          .toList();

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
      if (batch.isEmpty()) {
        return settings.outbox().pollEvery();
      }
      boolean allWent = leave(worker, connection, departures.prepare(worker, batch));
      if (!allWent) {
        mapper.letGo(worker);
      }
      return allWent || stopping.getCount() == 0 ? Duration.ZERO : AFTER_TROUBLE;
    } catch (RuntimeException trouble) {
      // The database may be away; nothing is lost, since every step was noted before it was taken.
      LOG.error("The outbox stopped for a moment.", trouble);
      return AFTER_TROUBLE;
    }
  }

  /** Hands messages over, one after another; false when some were left over. */
  private boolean leave(String worker, MailConnection connection, List<Departures.Ready> batch) {
    Ended ended = Ended.NONE;
    boolean allWent = true;
    for (Departures.Ready next : batch) {
      if (stopping.getCount() == 0) {
        allWent = false;
        break;
      }
      Instant now = clock.instant();
      Instant until = now.plus(settings.outbox().lease());
      boolean begun = mapper.step(worker, ended, next.message().id(), now, until, STOPPING) > 0;
      ended = Ended.NONE;
      if (!begun) {
        mapper.letGoOne(next.message().id(), worker);
        continue;
      }
      HandoverResult result =
          connection.send(next.mime(), next.outgoing().returnAddress(), next.message().address());
      if (result instanceof HandoverResult.NotTried) {
        Instant later = clock.instant().plus(AFTER_TROUBLE);
        mapper.giveBack(next.message().id(), worker, result.words(), later);
        return false;
      }
      ended = ended(next.message(), result, clock.instant());
    }
    if (ended.id() != null) {
      mapper.end(worker, ended);
    }
    return allWent;
  }

  private static Ended ended(OutboxMapper.Claimed message, HandoverResult result, Instant now) {
    if (result instanceof HandoverResult.Accepted) {
      return new Ended(message.id(), "sent", "", null, now);
    }
    if (result instanceof HandoverResult.PutOff putOff) {
      Instant first = message.firstTryAt() == null ? now : message.firstTryAt();
      return Retry.next(message.tries() + 1, first, now)
          .map(next -> new Ended(message.id(), "deferred", putOff.words(), next, null))
          .orElseGet(
              () ->
                  new Ended(
                      message.id(),
                      "refused",
                      "given up after two days: " + putOff.words(),
                      null,
                      null));
    }
    String state = result instanceof HandoverResult.InDoubt ? "in_doubt" : "refused";
    return new Ended(message.id(), state, result.words(), null, null);
  }
}
