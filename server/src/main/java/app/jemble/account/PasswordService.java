package app.jemble.account;

import app.jemble.core.access.PasswordRule;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.util.List;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Colleagues' passwords. */
@Service
public class PasswordService {

  private final AccountMapper accounts;
  private final SessionMapper sessions;
  private final PasswordEncoder passwords;
  private final WorkspaceService workspace;
  private final HouseHistory history;

  PasswordService(
      AccountMapper accounts,
      SessionMapper sessions,
      PasswordEncoder passwords,
      WorkspaceService workspace,
      HouseHistory history) {
    this.accounts = accounts;
    this.sessions = sessions;
    this.passwords = passwords;
    this.workspace = workspace;
    this.history = history;
  }

  /** Whether it is a colleague's own; nobody's is empty. */
  boolean isOf(Account account, String password) {
    String kept = accounts.passwordHash(account.login());
    return kept != null && password != null && passwords.matches(password, kept);
  }

  /**
   * Sets a colleague's password; wherever they were signed in with the one before, they are no
   * longer.
   *
   * @param butSession the session that goes on; empty for none
   */
  @Transactional
  public void set(Account account, String password, String butSession) {
    String given = password == null ? "" : password;
    PasswordRule.refusal(given, CommonPasswords::has, known(account))
        .ifPresent(
            reason -> {
              throw Problem.wrong("password", reason);
            });
    accounts.setPassword(account.id(), passwords.encode(given));
    sessions.endOthers(account.login(), butSession);
    history.note(EventKind.COLLEAGUES, account.id(), "Set a new password");
  }

  private List<String> known(Account account) {
    return List.of(account.login(), account.name(), account.email(), workspace.current().name());
  }
}
