package app.jemble.account;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.history.EventKind;
import app.jemble.history.Noted;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A colleague's own second factor; whoever changes it knows the password. */
@RestController
@RequestMapping("/api/colleagues/me/second-factor")
class SecondFactorController {

  record OwnProof(String password) {}

  record FirstCode(String code) {}

  /** Codes on paper, shown once. */
  record PaperCodes(List<String> codes) {}

  private final AccountService accounts;
  private final SecondFactors factors;
  private final OwnPasswordCheck passwords;

  SecondFactorController(
      AccountService accounts, SecondFactors factors, OwnPasswordCheck passwords) {
    this.accounts = accounts;
    this.factors = factors;
    this.passwords = passwords;
  }

  @Needs(value = Right.SEE, first = true)
  @GetMapping
  SecondFactors.OwnFactor own() {
    return factors.of(accounts.current());
  }

  @Needs(value = Right.SEE, first = true)
  @PostMapping
  SecondFactors.BegunFactor begin(
      @RequestBody OwnProof given, @Parameter(hidden = true) HttpServletRequest request) {
    return factors.begin(passwords.mustKnow("password", given.password(), request));
  }

  @Needs(value = Right.SEE, first = true)
  @Noted(value = "Set up a second factor", kind = EventKind.COLLEAGUES)
  @PutMapping
  PaperCodes confirm(@RequestBody FirstCode given, @Parameter(hidden = true) HttpSession session) {
    return new PaperCodes(factors.confirm(accounts.current(), given.code(), session.getId()));
  }

  @Needs(Right.SEE)
  @Noted(value = "Made new codes on paper", kind = EventKind.COLLEAGUES)
  @PostMapping("/codes")
  PaperCodes newCodes(
      @RequestBody OwnProof given, @Parameter(hidden = true) HttpServletRequest request) {
    Account me = passwords.mustKnow("password", given.password(), request);
    if (!factors.has(me)) {
      throw Problem.conflict("Set up your app first; the codes are for when it is lost.");
    }
    return new PaperCodes(factors.newCodes(me));
  }

  @Needs(Right.SEE)
  @Noted(value = "Took off their second factor", kind = EventKind.COLLEAGUES)
  @PostMapping("/off")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeOff(@RequestBody OwnProof given, @Parameter(hidden = true) HttpServletRequest request) {
    Account me = passwords.mustKnow("password", given.password(), request);
    if (factors.of(me).demanded()) {
      throw Problem.conflict(
          "Your house lets nobody in without one. An administrator can take it off, and you set up"
              + " another.");
    }
    factors.takeOff(me);
  }
}
