package app.jemble.outbox;

import app.jemble.carrier.Carrier;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.Line;
import app.jemble.carrier.Lines;
import app.jemble.carrier.UnreachableException;
import app.jemble.core.message.MessageId;
import app.jemble.core.pace.BatchSize;
import app.jemble.settings.JembleSettings;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Lets messages leave, some at a time: in one transaction it notes how the last ones ended and that
 * the next begin, then hands them over one after another. Its journal tells, should the process be
 * killed, which of them had begun. For one thread.
 */
final class OutboxWorker implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(OutboxWorker.class);
  private static final Duration AFTER_TROUBLE = Duration.ofSeconds(5);
  private static final Duration AFTER_BREAK = Duration.ofSeconds(30);

  private final String name = UUID.randomUUID().toString();
  private final Carrier carrier;
  private final Object setting;
  private final Lines lines;
  private final Departures departures;
  private final DepartureGuards guards;
  private final DueQueue due;
  private final CarrierHealth health;
  private final JembleSettings.Outbox settings;
  private final Clock clock;
  private final BooleanSupplier stopping;
  private final HandoverJournal journal;
  private final BatchSize size;

  /** What has ended and is not noted in the database yet. */
  private final List<Ended> ends = new ArrayList<>();

  /** The last act may or may not be in the database. */
  private boolean unsure;

  /** There was nothing to take up the last time: one asks for all, before they open an act each. */
  private boolean idle;

  /**
   * What a worker works with.
   *
   * @param setting that of the carrier when the lines were made
   * @param lines those of this process to the carrier
   */
  record Tools(
      Carrier carrier,
      Object setting,
      Lines lines,
      Departures departures,
      DepartureGuards guards,
      DueQueue due,
      CarrierHealth health,
      JembleSettings.Outbox settings,
      Optional<Path> journals,
      Clock clock) {}

  OutboxWorker(Tools tools, BooleanSupplier stopping) {
    this.carrier = tools.carrier();
    this.setting = tools.setting();
    this.lines = tools.lines();
    this.departures = tools.departures();
    this.guards = tools.guards();
    this.due = tools.due();
    this.health = tools.health();
    this.settings = tools.settings();
    this.clock = tools.clock();
    this.stopping = stopping;
    this.size = new BatchSize(settings.batch());
    this.journal = tools.journals().map(this::journal).orElse(null);
  }

  private HandoverJournal journal(Path folder) {
    try {
      return HandoverJournal.begin(folder, name);
    } catch (IOException e) {
      LOG.warn("Hand-overs are not journalled; after a kill more messages are in doubt.", e);
      return null;
    }
  }

  /** Hands over some messages; says how long to wait before the next time. */
  Duration turn() {
    try {
      settle();
      if (!carrier.setting().equals(setting)) {
        // Others take their place, who go the new way.
        return settings.pollEvery();
      }
      if (!lines.isOpen()) {
        Duration wait = connectIfNeeded();
        if (!wait.isZero()) {
          return wait;
        }
      }
      if (idle && ends.isEmpty() && !due.anyDue(carrier.channel())) {
        return rest();
      }
      unsure = true;
      List<Departures.Ready> batch = departures.step(carrier, name, List.copyOf(ends), size.next());
      unsure = false;
      forgetEnds();
      idle = batch.isEmpty();
      return idle ? rest() : depart(batch);
    } catch (RuntimeException trouble) {
      // The database may be away; what ended is kept here and in the journal until it is back.
      LOG.error("The outbox stopped for a moment.", trouble);
      unsure = true;
      return AFTER_TROUBLE;
    }
  }

  /** Nothing is taken up before the way to the carrier is open; zero when it is. */
  private Duration connectIfNeeded() {
    if (!due.anyDue(carrier.channel())) {
      return settings.pollEvery();
    }
    try {
      lines.open();
      return Duration.ZERO;
    } catch (UnreachableException unreachable) {
      health.fails(carrier, unreachable.getMessage());
      return AFTER_TROUBLE;
    }
  }

  /** Nothing is due. */
  private Duration rest() {
    lines.closeUnused();
    return settings.pollEvery();
  }

  /** Before anything that may take long; else ends are noted with the next beginnings. */
  private void settle() {
    if (unsure || (!lines.isOpen() && !ends.isEmpty())) {
      departures.settle(name, List.copyOf(ends));
      unsure = false;
      forgetEnds();
    }
  }

  private void forgetEnds() {
    ends.clear();
    if (journal != null) {
      journal.forget();
    }
  }

  private Duration depart(List<Departures.Ready> batch) {
    Line line = lines.take();
    try {
      return depart(batch, line);
    } finally {
      lines.putBack(line);
    }
  }

  private Duration depart(List<Departures.Ready> batch, Line line) {
    long began = System.nanoTime();
    // A worker never holds a message longer than others leave it alone.
    Instant latest = clock.instant().plus(settings.lease().dividedBy(2));
    for (int i = 0; i < batch.size(); i++) {
      Departures.Ready next = i + 1 < batch.size() ? batch.get(i + 1) : null;
      boolean goesOn = !stopping.getAsBoolean() && clock.instant().isBefore(latest);
      Optional<Ended> stopped = goesOn ? guards.stopped(batch.get(i).message()) : Optional.empty();
      if (stopped.isPresent()) {
        ends.add(stopped.get());
        continue;
      }
      HandoverResult result = goesOn ? handOver(batch.get(i), next, line) : null;
      if (result == null || result instanceof HandoverResult.Unreachable) {
        batch.subList(i, batch.size()).forEach(this::notBegun);
        if (result != null) {
          health.fails(carrier, result.words());
          size.failed();
          return AFTER_TROUBLE;
        }
        break;
      }
      health.answers(carrier);
    }
    size.took(batch.size(), Duration.ofNanos(System.nanoTime() - began));
    return Duration.ZERO;
  }

  private void notBegun(Departures.Ready ready) {
    ends.add(Ended.notBegun(ready.message(), "", null));
  }

  private HandoverResult handOver(Departures.Ready ready, Departures.Ready next, Line line) {
    HandoverMapper.Claimed message = ready.message();
    int attempt = message.tries() + 1;
    boolean surelyNext = next != null && !next.message().comesAfter();
    HandoverResult result =
        line.send(
            ready.parcel(), surelyNext ? next.parcel() : null, () -> begun(message.id(), attempt));
    if (result instanceof HandoverResult.Unreachable) {
      return result;
    }
    Instant now = clock.instant();
    Ended ended =
        result instanceof HandoverResult.NotTried
            ? Ended.notBegun(message, result.words(), now.plus(AFTER_BREAK))
            : Ended.after(message, result, now);
    ends.add(ended);
    if (journal != null) {
      journal.ended(attempt, ended);
    }
    return result;
  }

  private void begun(MessageId id, int attempt) {
    if (journal != null) {
      journal.begun(id, attempt);
    }
  }

  /** Notes what has ended; what cannot be noted stays in the journal. */
  @Override
  public void close() {
    try {
      departures.settle(name, List.copyOf(ends));
    } catch (RuntimeException away) {
      LOG.error("The last hand-overs could not be noted; the journal keeps them.", away);
      if (journal != null) {
        journal.letGo();
      }
      return;
    }
    if (journal != null) {
      journal.close();
    }
  }
}
