package app.jemble.account;

import app.jemble.account.SignInGuard.Trying;
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

  SignInCheck(
      AuthenticationManager authentication,
      AccountService accounts,
      SecondFactors factors,
      SignInGuard guard) {
    this.authentication = authentication;
    this.accounts = accounts;
    this.factors = factors;
    this.guard = guard;
  }

  /** Who signs in; a problem when it is not them, or when they tried too often. */
  Authentication check(Trying trying, String password, String code) {
    guard.mustNotWait("password", trying);
    Authentication who = byPassword(trying, password);
    mustHaveSecondFactor(accounts.findByLogin(who.getName()), code, trying);
    guard.succeeded(trying);
    return who;
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
      throw SecondFactors.wrong();
    }
  }
}
