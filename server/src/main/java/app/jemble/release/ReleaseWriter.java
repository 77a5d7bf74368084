package app.jemble.release;

import app.jemble.cause.CauseChanges;
import app.jemble.outbox.OutboxService;
import app.jemble.plan.PlanService;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Writes the messages of a released mailing by the lot, each in a transaction that also takes the
 * lot off the list. Several threads, of several processes, can be at one mailing; a lot whose
 * writer dies stays for another.
 */
@Service
class ReleaseWriter {

  /** At one mailing at once. */
  private static final int HANDS = Runtime.getRuntime().availableProcessors();

  private final ReleaseMapper mapper;
  private final LotMaker lots;
  private final CauseChanges changes;
  private final PlanService plans;
  private final OutboxService outbox;
  private final TransactionTemplate transaction;
  private final Clock clock;
  private final ExecutorService hands =
      Executors.newFixedThreadPool(HANDS, work -> new Thread(work, "release-hand"));

  ReleaseWriter(
      ReleaseMapper mapper,
      LotMaker lots,
      CauseChanges changes,
      PlanService plans,
      OutboxService outbox,
      TransactionTemplate transaction,
      Clock clock) {
    this.mapper = mapper;
    this.lots = lots;
    this.changes = changes;
    this.plans = plans;
    this.outbox = outbox;
    this.transaction = transaction;
    this.clock = clock;
  }

  /** Writes all lots that nobody else is at; returns early when the mailing is taken back. */
  void write(long mailingId) {
    ReleaseMapper.Noted noted = mapper.noted(mailingId);
    if (noted == null) {
      return;
    }
    LotMaker.Job job = lots.job(noted);
    CompletableFuture.allOf(
            Stream.generate(() -> CompletableFuture.runAsync(() -> writeLots(job), hands))
                .limit(HANDS)
                .toArray(CompletableFuture<?>[]::new))
        .join();
    finish(mailingId);
  }

  private void writeLots(LotMaker.Job job) {
    boolean more = true;
    while (more && !Thread.currentThread().isInterrupted()) {
      more = Boolean.TRUE.equals(transaction.execute(tx -> writeLot(job)));
    }
  }

  private boolean writeLot(LotMaker.Job job) {
    long id = job.mailing().id();
    ReleaseMapper.Lot lot = mapper.takeLot(id);
    if (lot == null) {
      return false;
    }
    outbox.enqueue(id, lots.messages(job, lot));
    return true;
  }

  private void finish(long id) {
    transaction.executeWithoutResult(
        tx -> {
          if (mapper.finish(id)) {
            changes.written(id, plans.afterHold(clock.instant()));
          }
        });
  }

  @PreDestroy
  void stop() {
    hands.shutdownNow();
  }
}
