package app.jemble.release;

import app.jemble.account.AccountService;
import app.jemble.check.LookService;
import app.jemble.check.Looked;
import app.jemble.core.check.Finding;
import app.jemble.core.pace.Plan;
import app.jemble.core.pace.PlanAsk;
import app.jemble.core.pace.Planner;
import app.jemble.mailing.Mailing;
import app.jemble.mailing.MailingChanges;
import app.jemble.mailing.MailingFiles;
import app.jemble.mailing.OpenMailings;
import app.jemble.outbox.OutboxService;
import app.jemble.plan.PlanService;
import app.jemble.problem.Problem;
import java.time.Clock;
import java.time.Instant;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The act that lets a mailing go, and what can be done about it afterwards. */
@Service
public class ReleaseService {

  private final MailingChanges changes;
  private final OpenMailings open;
  private final LookService looks;
  private final MailingFiles files;
  private final PlanService plans;
  private final ReleaseNotes writing;
  private final OutboxService outbox;
  private final WithRelease withRelease;
  private final AccountService accounts;
  private final Clock clock;

  ReleaseService(
      MailingChanges changes,
      OpenMailings open,
      LookService looks,
      MailingFiles files,
      PlanService plans,
      ReleaseNotes writing,
      OutboxService outbox,
      WithRelease withRelease,
      AccountService accounts,
      Clock clock) {
    this.changes = changes;
    this.open = open;
    this.looks = looks;
    this.files = files;
    this.plans = plans;
    this.writing = writing;
    this.outbox = outbox;
    this.withRelease = withRelease;
    this.accounts = accounts;
    this.clock = clock;
  }

  /**
   * Checks everyone once more, notes who is written to and when, and holds the mailing. The
   * messages themselves are written after that.
   *
   * @param version the version the writer saw; a later one is refused
   */
  @Transactional
  public void release(long id, int version) {
    accounts.currentWriter();
    Mailing mailing = open.lock(id);
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
    if (mailing.byRule()) {
      throw Problem.conflict(
          "It is sent by a rule of the mailing it follows, and released with it.");
    }
    withRelease.mayRelease(mailing);
    Looked everyone = looks.look(mailing, LookService.Progress.NONE);
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
    changes.release(id, now, heldUntil, plan.first().orElse(heldUntil));
    files.fillRecipients(id, everyone.ready().stream().map(Looked.Entry::name).distinct().toList());
    writing.note(id, everyone.ready(), plan);
    withRelease.released(mailing);
  }

  /** While it is held: as if it had never been released. */
  @Transactional
  public void takeBack(long id) {
    accounts.currentWriter();
    Mailing mailing = open.lock(id);
    boolean begun = !mailing.isHeld(clock.instant()) && writing.progress(id) == null;
    if (begun) {
      throw Problem.conflict("It is no longer held; what has not left can still be withdrawn.");
    }
    writing.forget(id);
    outbox.removeHeld(id);
    files.emptyRecipients(id);
    changes.takeBack(id);
    withRelease.takenBack(mailing);
  }

  /** Withdraws what has not left yet; returns how many messages that were. */
  @Transactional
  public int withdraw(long id) {
    accounts.currentWriter();
    Mailing mailing = open.lock(id);
    if (mailing.state() != Mailing.State.RELEASED) {
      throw Problem.conflict("Only a released mailing can be withdrawn.");
    }
    writing.mustBeDone(id);
    int withdrawn = outbox.withdrawRest(id);
    changes.withdraw(id);
    withRelease.withdrawn(mailing);
    return withdrawn;
  }
}
