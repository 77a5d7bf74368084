package app.jemble.mailing;

import app.jemble.account.AccountService;
import app.jemble.core.check.Finding;
import app.jemble.core.message.PublicToken;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.pace.Plan;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.pace.Planner;
import app.jemble.core.reach.Reach;
import app.jemble.outbox.NewMessage;
import app.jemble.outbox.OutboxService;
import app.jemble.outbox.OutboxService.ThreadEnd;
import app.jemble.people.PersonRecord;
import app.jemble.workspace.Problem;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The act that lets a mailing go, and what can be done about it afterwards. */
@Service
class ReleaseService {

  private static final int BATCH = 1000;

  private final MailingMapper mapper;
  private final AudienceService audience;
  private final LetterService letters;
  private final MailingFiles files;
  private final FrozenValues frozen;
  private final PlanService plans;
  private final OutboxService outbox;
  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  ReleaseService(
      MailingMapper mapper,
      AudienceService audience,
      LetterService letters,
      MailingFiles files,
      FrozenValues frozen,
      PlanService plans,
      OutboxService outbox,
      WorkspaceService workspace,
      AccountService accounts,
      Clock clock) {
    this.mapper = mapper;
    this.audience = audience;
    this.letters = letters;
    this.files = files;
    this.frozen = frozen;
    this.plans = plans;
    this.outbox = outbox;
    this.workspace = workspace;
    this.accounts = accounts;
    this.clock = clock;
  }

  /**
   * Checks everyone once more, writes one message row for each who can be written to, and holds the
   * mailing. All or nothing.
   *
   * @param version the version the writer saw; a later one is refused
   */
  @Transactional
  void release(long id, int version) {
    accounts.currentWriter();
    Mailing mailing = locked(id);
    if (mailing.state() != Mailing.State.DRAFT) {
      throw Problem.conflict(
          mailing.hasBeenReleased()
              ? "This mailing has already been released."
              : "This draft has been discarded; take it back first.");
    }
    if (mailing.version() != version) {
      throw Problem.conflict(
          "This mailing was changed in the meantime. Look again before release.");
    }
    Looked everyone = audience.look(mailing, AudienceService.Progress.NONE);
    everyone.findings().stream()
        .filter(f -> f.severity() == Finding.Severity.BLOCKER)
        .findFirst()
        .ifPresent(
            f -> {
              throw Problem.conflict(f.sentence());
            });
    Instant now = clock.instant();
    Instant heldUntil = plans.afterHold(now);
    PlanAsk ask = plans.ask(mailing, plans.of(mailing), heldUntil);
    Plan plan = Planner.plan(ask, everyone.clocks());
    mapper.release(id, now, heldUntil, plan.first().orElse(heldUntil));
    enqueue(mailing, new Dues(plan));
  }

  /** The instants of a plan, one after another; whoever came meanwhile leaves with the last. */
  private static final class Dues {
    private final Plan plan;
    private int next;

    Dues(Plan plan) {
      this.plan = plan;
    }

    Instant next() {
      int place = Math.min(next++, plan.size() - 1);
      return plan.of(place).or(plan::last).orElseThrow();
    }
  }

  private void enqueue(Mailing mailing, Dues dues) {
    Workspace house = workspace.current();
    Letter letter = letters.of(mailing);
    Map<Long, ThreadEnd> threads =
        mailing.followsId() == null ? Map.of() : outbox.threadEnds(mailing.followsId());
    List<NewMessage> batch = new ArrayList<>();
    List<String> names = new ArrayList<>();
    audience.each(
        mailing,
        letter,
        reader -> {
          if (reader.reach() == Reach.READY) {
            ThreadEnd thread = threads.get(reader.person().id());
            batch.add(message(reader, letter, thread, house, dues.next()));
            names.add(reader.person().name());
          }
          if (batch.size() == BATCH) {
            outbox.enqueue(mailing.id(), batch);
            batch.clear();
          }
        });
    outbox.enqueue(mailing.id(), batch);
    files.fillRecipients(mailing.id(), names.stream().distinct().toList());
  }

  private NewMessage message(
      AudienceService.Reader reader,
      Letter letter,
      ThreadEnd thread,
      Workspace house,
      Instant due) {
    PersonRecord person = reader.person();
    ThreadPlace place =
        thread == null
            ? ThreadPlace.NEW
            : ThreadPlace.following(
                "<" + thread.token() + "@" + house.returnDomain() + ">", thread.referenceIds());
    return new NewMessage(
        person.id(),
        person.email().strip(),
        person.name(),
        token(house),
        frozen.freeze(person, letter.fields(person.id()), reader.values()),
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

  /** While it is held: as if it had never been released. */
  @Transactional
  void takeBack(long id) {
    accounts.currentWriter();
    Mailing mailing = locked(id);
    if (!mailing.isHeld(clock.instant())) {
      throw Problem.conflict("It is no longer held; what has not left can still be withdrawn.");
    }
    outbox.removeHeld(id);
    files.emptyRecipients(id);
    mapper.takeBack(id);
  }

  /** Withdraws what has not left yet; returns how many messages that were. */
  @Transactional
  int withdraw(long id) {
    accounts.currentWriter();
    Mailing mailing = locked(id);
    if (mailing.state() != Mailing.State.RELEASED) {
      throw Problem.conflict("Only a released mailing can be withdrawn.");
    }
    int withdrawn = outbox.withdrawRest(id);
    mapper.withdraw(id);
    return withdrawn;
  }

  private Mailing locked(long id) {
    Mailing mailing = mapper.findLocked(id);
    if (mailing == null) {
      throw Problem.notFound("There is no such mailing any more.");
    }
    return mailing;
  }
}
