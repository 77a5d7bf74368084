package app.jemble.release;

import app.jemble.access.AccessService;
import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.cause.Cause;
import app.jemble.core.access.Access;
import app.jemble.core.access.Decision;
import app.jemble.problem.Problem;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Asks core who may let a mailing to so many go. */
@Component
public class ReleaseRights {

  private final AccountService accounts;
  private final AccessService access;

  ReleaseRights(AccountService accounts, AccessService access) {
    this.accounts = accounts;
    this.access = access;
  }

  /** A problem when the colleague who asks may not release it alone. */
  void mustRelease(Cause mailing, int people) {
    must(Access.write(accounts.current().asker(), people));
    if (wantsNod(mailing, people)) {
      throw Problem.conflict("It leaves when a second colleague has nodded. Ask for that.");
    }
  }

  /** A problem when the colleague who asks cannot nod to what another asked for. */
  void mustNod(long askedBy, int people) {
    Account asking = accounts.find(askedBy);
    if (asking.off()) {
      throw Problem.conflict(asking.name() + " asked for it, and is no colleague any more.");
    }
    must(Access.write(asking.asker(), people));
    must(Access.nod(accounts.current().asker(), askedBy, people));
  }

  /** Whether the colleague who asks, or the sender, may write to so many with a nod alone. */
  public boolean wantsNod(Cause mailing, int people) {
    return Stream.of(accounts.current(), accounts.find(mailing.senderId()))
        .anyMatch(who -> Access.write(who.asker(), people) instanceof Decision.WithNod);
  }

  private void must(Decision decision) {
    access
        .refusal(decision)
        .ifPresent(
            why -> {
              throw Problem.forbidden(why);
            });
  }
}
