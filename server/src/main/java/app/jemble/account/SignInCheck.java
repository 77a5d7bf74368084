package app.jemble.account;

import app.jemble.account.SignInGuard.Trying;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.problem.Problem;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.stereotype.Component;

/** Whether it is who they say: by password, and by a second factor for whoever has one. */
@Component
class SignInCheck {

  private final AuthenticationManager authentication;
  private final AccountService accounts;
  private final SecondFactors factors;
  private final SignInGuard guard;
  private final HouseHistory history;

  SignInCheck(
      AuthenticationManager authentication,
      AccountService accounts,
      SecondFactors factors,
      SignInGuard guard,
      HouseHistory history) {
    this.authentication = authentication;
    this.accounts = accounts;
    this.factors = factors;
    this.guard = guard;
    this.history = history;
  }

  /** Who signs in; a problem when it is not them, or when they tried too often. */
  Authentication check(Trying trying, String password, String code) {
    guard.mustNotWait("password", trying);
    Authentication who = byPassword(trying, password);
    mustHaveSecondFactor(accounts.findByLogin(who.getName()), code, trying);
    guard.succeeded(trying);
    Account account = accounts.findByLogin(who.getName());
    history.note(EventKind.SIGN_IN, account.id(), "Signed in");
    return who;
  }

  void signedOut(Authentication who) {
    history.note(EventKind.SIGN_IN, accounts.findByLogin(who.getName()).id(), "Signed out");
  }

  private Authentication byPassword(Trying trying, String password) {
    try {
      if (trying.login() == null || password == null) {
        throw new BadCredentialsException("nothing was given");
      }
      return authentication.authenticate(
          UsernamePasswordAuthenticationToken.unauthenticated(trying.login(), password));
    } catch (AuthenticationException | IllegalArgumentException refused) {
      guard.failed(trying);
      history.noteFailure(trying.login(), "Could not sign in: wrong login or password");
      throw Problem.wrong("password", "Login and password do not belong together.");
    }
  }

  /** That no code was given is no failure: whoever knows the password is asked for it. */
  private void mustHaveSecondFactor(Account account, String code, Trying trying) {
    if (!factors.has(account)) {
      return;
    }
    if (code == null || code.isBlank()) {
      throw Problem.wrong("code", "Now the six digits that your app shows.");
    }
    if (!factors.accepts(account, code)) {
      guard.failed(trying);
      history.noteFailure(trying.login(), "Could not sign in: wrong code");
      throw SecondFactors.wrong();
    }
  }
}
