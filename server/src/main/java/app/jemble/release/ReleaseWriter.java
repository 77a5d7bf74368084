package app.jemble.release;

import app.jemble.audience.AudienceService;
import app.jemble.core.reach.Reach;
import app.jemble.mailing.Mailing;
import app.jemble.mailing.MailingChanges;
import app.jemble.mailing.OpenMailings;
import app.jemble.message.Letter;
import app.jemble.message.LetterService;
import app.jemble.message.MessageMaker;
import app.jemble.outbox.NewMessage;
import app.jemble.outbox.OutboxService;
import app.jemble.outbox.OutboxService.ThreadEnd;
import app.jemble.plan.PlanService;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
  private final OpenMailings mailings;
  private final MailingChanges changes;
  private final AudienceService audience;
  private final LetterService letters;
  private final MessageMaker maker;
  private final PlanService plans;
  private final OutboxService outbox;
  private final WorkspaceService workspace;
  private final TransactionTemplate transaction;
  private final Clock clock;
  private final ExecutorService hands =
      Executors.newFixedThreadPool(HANDS, work -> new Thread(work, "release-hand"));

  ReleaseWriter(
      ReleaseMapper mapper,
      OpenMailings mailings,
      MailingChanges changes,
      AudienceService audience,
      LetterService letters,
      MessageMaker maker,
      PlanService plans,
      OutboxService outbox,
      WorkspaceService workspace,
      TransactionTemplate transaction,
      Clock clock) {
    this.mapper = mapper;
    this.mailings = mailings;
    this.changes = changes;
    this.audience = audience;
    this.letters = letters;
    this.maker = maker;
    this.plans = plans;
    this.outbox = outbox;
    this.workspace = workspace;
    this.transaction = transaction;
    this.clock = clock;
  }

  /** What the messages of one mailing are made of. */
  private record Job(
      Mailing mailing,
      ReleaseMapper.Noted noted,
      Letter letter,
      AudienceService.Again again,
      Map<Long, ThreadEnd> threads,
      Workspace house) {}

  /** Writes all lots that nobody else is at; returns early when the mailing is taken back. */
  void write(long mailingId) {
    ReleaseMapper.Noted noted = mapper.noted(mailingId);
    if (noted == null) {
      return;
    }
    Job job = job(noted);
    CompletableFuture.allOf(
            Stream.generate(() -> CompletableFuture.runAsync(() -> writeLots(job), hands))
                .limit(HANDS)
                .toArray(CompletableFuture<?>[]::new))
        .join();
    finish(mailingId);
  }

  private void writeLots(Job job) {
    boolean more = true;
    while (more && !Thread.currentThread().isInterrupted()) {
      more = Boolean.TRUE.equals(transaction.execute(tx -> writeLot(job)));
    }
  }

  private boolean writeLot(Job job) {
    long id = job.mailing().id();
    ReleaseMapper.Lot lot = mapper.takeLot(id);
    if (lot == null) {
      return false;
    }
    outbox.enqueue(id, messages(job, lot));
    return true;
  }

  private Job job(ReleaseMapper.Noted noted) {
    Mailing mailing = mailings.anybodys(noted.mailingId());
    Letter letter = letters.of(mailing);
    return new Job(
        mailing,
        noted,
        letter,
        audience.again(mailing, letter::values),
        mailing.followsId() == null ? Map.of() : outbox.threadEnds(mailing.followsId()),
        workspace.current());
  }

  /** Who can no longer be written to is not among them. */
  private List<NewMessage> messages(Job job, ReleaseMapper.Lot lot) {
    int from = lot.begins();
    List<Long> people = List.of(job.noted().personIds()).subList(from, lot.ends());
    List<Long> records = List.of(job.noted().recordIds()).subList(from, lot.ends());
    List<AudienceService.Reader> readers = job.again().readers(people, records);
    List<NewMessage> messages = new ArrayList<>(readers.size());
    for (int i = 0; i < readers.size(); i++) {
      AudienceService.Reader reader = readers.get(i);
      if (reader != null && reader.reach() == Reach.READY) {
        messages.add(
            maker.make(
                job.letter(),
                reader,
                job.threads().get(reader.person().id()),
                job.house().returnDomain(),
                Instant.ofEpochSecond(job.noted().dueSeconds()[from + i])));
      }
    }
    return messages;
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
