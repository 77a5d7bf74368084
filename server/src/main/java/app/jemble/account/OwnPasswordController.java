package app.jemble.account;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A colleague's own password. */
@RestController
@RequestMapping("/api/colleagues/me/password")
class OwnPasswordController {

  record OwnPassword(String current, String password) {}

  private final AccountService accounts;
  private final PasswordService passwords;
  private final SignInGuard guard;

  OwnPasswordController(AccountService accounts, PasswordService passwords, SignInGuard guard) {
    this.accounts = accounts;
    this.passwords = passwords;
    this.guard = guard;
  }

  /** Whoever finds a screen left open does not know the one that is changed, and may not guess. */
  @Needs(Right.SEE)
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @RequestBody OwnPassword given,
      @Parameter(hidden = true) HttpSession session,
      @Parameter(hidden = true) HttpServletRequest request) {
    Account me = accounts.current();
    SignInGuard.Trying trying =
        new SignInGuard.Trying(me.login(), request.getRemoteAddr(), Optional.of("of " + me.id()));
    guard.mustNotWait("current", trying);
    if (!passwords.isOf(me, given.current())) {
      guard.failed(trying);
      throw Problem.wrong("current", "That is not the password you have now.");
    }
    guard.succeeded(trying);
    passwords.set(me, given.password(), session.getId());
  }
}
