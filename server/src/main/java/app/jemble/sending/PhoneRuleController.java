package app.jemble.sending;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.workspace.WorkspaceService;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the house keeps to where phones ring; all see it, administrators change it. */
@RestController
@RequestMapping("/api/phone-rules")
class PhoneRuleController {

  private final PhoneRuleService rules;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final HouseHistory history;

  PhoneRuleController(
      PhoneRuleService rules,
      AccountService accounts,
      WorkspaceService workspace,
      HouseHistory history) {
    this.rules = rules;
    this.accounts = accounts;
    this.workspace = workspace;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  PhoneRulesBody find() {
    return PhoneRulesBody.of(rules.current(), workspace.current().currency());
  }

  @Needs(Right.SETTINGS)
  @Noted("Changed the rules of texts and notices")
  @PutMapping
  PhoneRulesBody change(@RequestBody PhoneRulesBody wanted) {
    accounts.currentWith(Right.SETTINGS);
    PhoneRulesBody before = find();
    rules.write(wanted.rules());
    PhoneRulesBody after = find();
    history.tellChange("", before, after);
    return after;
  }
}
