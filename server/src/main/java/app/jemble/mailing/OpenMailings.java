package app.jemble.mailing;

import app.jemble.account.AccountService;
import app.jemble.problem.Problem;
import org.springframework.stereotype.Component;

/**
 * The only way to a mailing: as far as it is open to the colleague who asks. What is private to
 * another is to them as if it did not exist.
 */
@Component
public class OpenMailings {

  private final MailingMapper mapper;
  private final AccountService accounts;

  OpenMailings(MailingMapper mapper, AccountService accounts) {
    this.mapper = mapper;
    this.accounts = accounts;
  }

  /** A mailing; a problem when there is none that the colleague may see. */
  public Mailing find(long id) {
    return open(mapper.find(id));
  }

  /** The same, which nobody else changes until the transaction ends. */
  public Mailing lock(long id) {
    return open(mapper.findLocked(id));
  }

  /** For work that no colleague asks for at present; a problem when there is none. */
  public Mailing anybodys(long id) {
    return there(mapper.find(id));
  }

  /** As {@link #anybodys}, which nobody else changes until the transaction ends. */
  public Mailing lockAnybodys(long id) {
    return there(mapper.findLocked(id));
  }

  /** The name of a mailing; null when it is not open to the colleague who asks. */
  String nameOf(long id) {
    Mailing mailing = mapper.find(id);
    return mailing == null || isAnothers(mailing) ? null : mailing.name();
  }

  private Mailing open(Mailing mailing) {
    if (isAnothers(there(mailing))) {
      throw gone();
    }
    return mailing;
  }

  private boolean isAnothers(Mailing mailing) {
    return mailing.isPrivate() && mailing.senderId() != accounts.current().id();
  }

  private static Mailing there(Mailing mailing) {
    if (mailing == null) {
      throw gone();
    }
    return mailing;
  }

  private static Problem gone() {
    return Problem.notFound("There is no such mailing any more.");
  }
}
