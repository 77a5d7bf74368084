package app.jemble.filter;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.core.access.Access;
import app.jemble.core.filter.AsOf;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import org.springframework.stereotype.Component;

/** As of which instant and zone a filter is answered, and whom "me" means in it. */
@Component
public class AskedNow {

  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final Clock clock;

  AskedNow(AccountService accounts, WorkspaceService workspace, Clock clock) {
    this.accounts = accounts;
    this.workspace = workspace;
    this.clock = clock;
  }

  /** Asked by the colleague who is signed in. */
  public AsOf byMe() {
    return by(accounts.current());
  }

  /** Asked for a colleague, such as the sender of a mailing. */
  public AsOf by(Account account) {
    Workspace house = workspace.current();
    return new AsOf(
        clock.instant(),
        house.zoneId(),
        house.dayStyle().weekStart(),
        account.login(),
        account.personId(),
        Access.onlyPeopleOf(account.asker()).isPresent());
  }
}
