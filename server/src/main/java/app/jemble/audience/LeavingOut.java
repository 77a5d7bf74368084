package app.jemble.audience;

import app.jemble.account.AccountService;
import app.jemble.core.record.PersonId;
import app.jemble.mailing.MailingService;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Leaves people of a draft out by hand. */
@Service
public class LeavingOut {

  private final MailingService mailings;
  private final AccountService accounts;
  private final Audiences audiences;

  LeavingOut(MailingService mailings, AccountService accounts, Audiences audiences) {
    this.mailings = mailings;
    this.accounts = accounts;
    this.audiences = audiences;
  }

  /** Besides those who already are. */
  @Transactional
  public void leaveOut(long mailingId, List<PersonId> people) {
    accounts.currentWriter();
    audiences.leaveOut(mailings.draft(mailingId), people);
  }
}
