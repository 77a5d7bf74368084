package app.jemble.carrier.mail;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.history.Noted;
import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether mails would leave through the mail server. */
@RestController
@RequestMapping("/api/mail-server")
class MailServerController {

  /**
   * How far a try went.
   *
   * @param failed the step that failed; null when all went well
   * @param words what the server or the network said
   */
  record MailServerTried(@Schema(nullable = true) MailStep failed, String words) {}

  private final MailServerCheck check;
  private final AccountService accounts;

  MailServerController(MailServerCheck check, AccountService accounts) {
    this.check = check;
    this.accounts = accounts;
  }

  @Needs(Right.SETTINGS)
  @Noted("Tried the mail server")
  @PostMapping("/try")
  MailServerTried tryOut() {
    accounts.currentWith(Right.SETTINGS);
    MailServerCheck.Result result = check.check();
    return new MailServerTried(result.failed(), result.words());
  }
}
