package app.jemble.sending;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
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

  PhoneRuleController(PhoneRuleService rules, AccountService accounts, WorkspaceService workspace) {
    this.rules = rules;
    this.accounts = accounts;
    this.workspace = workspace;
  }

  @Needs(Right.SEE)
  @GetMapping
  PhoneRulesBody find() {
    return PhoneRulesBody.of(rules.current(), workspace.current().currency());
  }

  @Needs(Right.ADMINISTER)
  @PutMapping
  PhoneRulesBody change(@RequestBody PhoneRulesBody wanted) {
    accounts.currentWith(Right.ADMINISTER);
    rules.write(wanted.rules());
    return find();
  }
}
