package app.jemble.account;

import app.jemble.problem.Problem;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Whoever finds a screen left open does not know the password, and may not guess it. */
@Component
class OwnPasswordCheck {

  private final AccountService accounts;
  private final PasswordService passwords;
  private final SignInGuard guard;

  OwnPasswordCheck(AccountService accounts, PasswordService passwords, SignInGuard guard) {
    this.accounts = accounts;
    this.passwords = passwords;
    this.guard = guard;
  }

  /**
   * The colleague who asks; a problem when they do not know their password.
   *
   * @param field of what was given, for the problem
   */
  Account mustKnow(String field, String password, HttpServletRequest request) {
    Account me = accounts.current();
    SignInGuard.Trying trying =
        new SignInGuard.Trying(me.login(), request.getRemoteAddr(), Optional.of("of " + me.id()));
    guard.mustNotWait(field, trying);
    if (!passwords.isOf(me, password)) {
      guard.failed(trying);
      throw Problem.wrong(field, "That is not the password you have now.");
    }
    guard.succeeded(trying);
    return me;
  }
}
