package app.jemble.colleague;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.account.SecondFactors;
import app.jemble.core.access.Right;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What the house asks of whoever signs in. */
@RestController
@RequestMapping("/api/sign-in-rules")
class SignInRulesController {

  /**
   * @param secondFactor whether nobody goes on without one
   */
  record SignInRules(boolean secondFactor) {}

  private final WorkspaceService workspace;
  private final AccountService accounts;
  private final SecondFactors factors;
  private final HouseHistory history;

  SignInRulesController(
      WorkspaceService workspace,
      AccountService accounts,
      SecondFactors factors,
      HouseHistory history) {
    this.workspace = workspace;
    this.accounts = accounts;
    this.factors = factors;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  SignInRules rules() {
    return new SignInRules(workspace.isSecondFactorDemanded());
  }

  /** Whoever demands it of others has one: no administrator locks the house by accident. */
  @Needs(Right.COLLEAGUES)
  @Noted(value = "Changed what whoever signs in needs", kind = EventKind.COLLEAGUES)
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(@RequestBody SignInRules rules) {
    if (rules.secondFactor() && !factors.has(accounts.current())) {
      throw Problem.conflict("Set up your own second factor first, then demand it of all.");
    }
    history.tellChange("", rules(), rules);
    workspace.demandSecondFactor(rules.secondFactor());
  }
}
