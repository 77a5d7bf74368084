package app.jemble.carrier.text;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.history.Noted;
import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether texts would leave through the text service. */
@RestController
@RequestMapping("/api/text-service")
class TextServiceController {

  /**
   * How far a try went.
   *
   * @param failed the step that failed; null when all went well
   * @param words what the service or the network said
   */
  record TextServiceTried(@Schema(nullable = true) TextServiceCheck.Step failed, String words) {}

  private final TextServiceCheck check;
  private final AccountService accounts;

  TextServiceController(TextServiceCheck check, AccountService accounts) {
    this.check = check;
    this.accounts = accounts;
  }

  @Needs(Right.SETTINGS)
  @Noted("Tried the text service")
  @PostMapping("/try")
  TextServiceTried tryOut() {
    accounts.currentWith(Right.SETTINGS);
    return check.check();
  }
}
