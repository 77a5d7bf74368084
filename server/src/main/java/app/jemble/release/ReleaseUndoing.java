package app.jemble.release;

import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.OpenCauses;
import app.jemble.core.message.CauseState;
import app.jemble.mailing.MailingFiles;
import app.jemble.outbox.OutboxService;
import app.jemble.problem.Problem;
import java.time.Clock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What can be done about a mailing that was let go: taken back while it is held, or withdrawn. */
@Service
public class ReleaseUndoing {

  private final CauseChanges changes;
  private final OpenCauses open;
  private final MailingFiles files;
  private final ReleaseNotes writing;
  private final OutboxService outbox;
  private final WithRelease withRelease;
  private final AccountService accounts;
  private final Clock clock;

  ReleaseUndoing(
      CauseChanges changes,
      OpenCauses open,
      MailingFiles files,
      ReleaseNotes writing,
      OutboxService outbox,
      WithRelease withRelease,
      AccountService accounts,
      Clock clock) {
    this.changes = changes;
    this.open = open;
    this.files = files;
    this.writing = writing;
    this.outbox = outbox;
    this.withRelease = withRelease;
    this.accounts = accounts;
    this.clock = clock;
  }

  /** While it is held: as if it had never been released. */
  @Transactional
  public void takeBack(long id) {
    accounts.currentWriter();
    Cause mailing = open.lock(id);
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
    return withdraw(open.lock(id));
  }

  /** As {@link #withdraw(long)}, of whom it may be private to; whoever calls asks for the right. */
  @Transactional
  public int withdrawAnybodys(long id) {
    return withdraw(open.lockAnybodys(id));
  }

  private int withdraw(Cause mailing) {
    long id = mailing.id();
    if (mailing.state() != CauseState.RELEASED) {
      throw Problem.conflict("Only a released mailing can be withdrawn.");
    }
    writing.mustBeDone(id);
    int withdrawn = outbox.withdrawRest(id);
    changes.withdraw(id);
    withRelease.withdrawn(mailing);
    return withdrawn;
  }
}
