package app.jemble.account;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
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

  private final OwnPasswordCheck check;
  private final PasswordService passwords;

  OwnPasswordController(OwnPasswordCheck check, PasswordService passwords) {
    this.check = check;
    this.passwords = passwords;
  }

  @Needs(Right.SEE)
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @RequestBody OwnPassword given,
      @Parameter(hidden = true) HttpSession session,
      @Parameter(hidden = true) HttpServletRequest request) {
    Account me = check.mustKnow("current", given.current(), request);
    passwords.set(me, given.password(), session.getId());
  }
}
