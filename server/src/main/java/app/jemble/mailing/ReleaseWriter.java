package app.jemble.mailing;

import app.jemble.core.message.PublicToken;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Reach;
import app.jemble.outbox.NewMessage;
import app.jemble.outbox.OutboxService;
import app.jemble.outbox.OutboxService.ThreadEnd;
import app.jemble.people.PersonRecord;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Writes the messages of a released mailing, some thousand at a time, each lot in a transaction
 * that also notes how far it has come. It can be stopped at any point and goes on from there.
 */
@Service
class ReleaseWriter {

  static final int LOT = 2500;

  private final ReleaseMapper mapper;
  private final MailingMapper mailings;
  private final AudienceService audience;
  private final LetterService letters;
  private final FrozenValues frozen;
  private final PlanService plans;
  private final OutboxService outbox;
  private final WorkspaceService workspace;
  private final TransactionTemplate transaction;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  ReleaseWriter(
      ReleaseMapper mapper,
      MailingMapper mailings,
      AudienceService audience,
      LetterService letters,
      FrozenValues frozen,
      PlanService plans,
      OutboxService outbox,
      WorkspaceService workspace,
      TransactionTemplate transaction,
      Clock clock) {
    this.mapper = mapper;
    this.mailings = mailings;
    this.audience = audience;
    this.letters = letters;
    this.frozen = frozen;
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
      Workspace house) {

    int size() {
      return noted.personIds().length;
    }
  }

  /**
   * Writes all that is not written yet; returns early when the mailing was taken back, or another
   * process is at it. While one lot is stored, the next is made.
   */
  void write(long mailingId) {
    ReleaseMapper.Noted noted = mapper.noted(mailingId);
    if (noted == null) {
      return;
    }
    Job job = job(noted);
    int at = noted.written();
    CompletableFuture<List<NewMessage>> making = make(job, at);
    while (at < job.size()) {
      int end = Math.min(job.size(), at + LOT);
      List<NewMessage> lot = making.join();
      making = make(job, end);
      if (!store(job, at, end, lot)) {
        making.cancel(false);
        return;
      }
      at = end;
    }
    finish(mailingId);
  }

  private Job job(ReleaseMapper.Noted noted) {
    Mailing mailing = mailings.find(noted.mailingId());
    Letter letter = letters.of(mailing);
    return new Job(
        mailing,
        noted,
        letter,
        audience.again(mailing, letter),
        mailing.followsId() == null ? Map.of() : outbox.threadEnds(mailing.followsId()),
        workspace.current());
  }

  private CompletableFuture<List<NewMessage>> make(Job job, int from) {
    return CompletableFuture.supplyAsync(() -> lot(job, from));
  }

  /** One lot; who can no longer be written to is not in it. */
  private List<NewMessage> lot(Job job, int from) {
    int to = Math.min(job.size(), from + LOT);
    List<Long> people = List.of(job.noted().personIds()).subList(from, to);
    List<Long> records = List.of(job.noted().recordIds()).subList(from, to);
    List<AudienceService.Reader> readers = job.again().readers(people, records);
    List<NewMessage> lot = new ArrayList<>(readers.size());
    for (int i = 0; i < readers.size(); i++) {
      AudienceService.Reader reader = readers.get(i);
      if (reader != null && reader.reach() == Reach.READY) {
        lot.add(message(job, reader, Instant.ofEpochSecond(job.noted().dueSeconds()[from + i])));
      }
    }
    return lot;
  }

  private boolean store(Job job, int from, int to, List<NewMessage> lot) {
    long id = job.mailing().id();
    return Boolean.TRUE.equals(
        transaction.execute(
            tx -> {
              Integer written = mapper.lockedWritten(id);
              if (written == null || written != from) {
                return false;
              }
              outbox.enqueue(id, lot);
              mapper.wrote(id, to, clock.instant());
              return true;
            }));
  }

  private void finish(long id) {
    transaction.executeWithoutResult(
        tx -> {
          if (mapper.lockedWritten(id) != null) {
            mapper.written(id, plans.afterHold(clock.instant()));
            mapper.forget(id);
          }
        });
  }

  private NewMessage message(Job job, AudienceService.Reader reader, Instant due) {
    PersonRecord person = reader.person();
    ThreadEnd thread = job.threads().get(person.id());
    String returnDomain = job.house().returnDomain();
    ThreadPlace place =
        thread == null
            ? ThreadPlace.NEW
            : ThreadPlace.following(
                "<" + thread.token() + "@" + returnDomain + ">", thread.referenceIds());
    return new NewMessage(
        person.id(),
        person.email().strip(),
        person.name(),
        token(job.house()),
        frozen.freeze(person, job.letter().fields(person.id()), reader.values()),
        thread == null ? null : thread.messageId(),
        place,
        reader.about().id(),
        due);
  }

  private String token(Workspace house) {
    byte[] octets = new byte[16];
    random.nextBytes(octets);
    return PublicToken.of(octets, house.secret());
  }
}
