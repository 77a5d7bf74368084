package app.jemble.carrier.mail;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.history.Noted;
import app.jemble.settings.JembleSettings;
import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The mail server that messages leave through, and whether they would. */
@RestController
@RequestMapping("/api/mail-server")
class MailServerController {

  /** As set by environment; docs/operations.md names the variables. */
  record MailServer(
      String host, int port, JembleSettings.Security security, boolean signsIn, int connections) {}

  /**
   * How far a try went.
   *
   * @param failed the step that failed; null when all went well
   * @param words what the server or the network said
   */
  record MailServerTried(@Schema(nullable = true) MailServerCheck.Step failed, String words) {}

  private final MailServerCheck check;
  private final JembleSettings settings;
  private final AccountService accounts;

  MailServerController(MailServerCheck check, JembleSettings settings, AccountService accounts) {
    this.check = check;
    this.settings = settings;
    this.accounts = accounts;
  }

  @Needs(Right.SEE)
  @GetMapping
  MailServer find() {
    JembleSettings.Smtp smtp = settings.smtp();
    return new MailServer(
        smtp.host(), smtp.port(), smtp.security(), !smtp.user().isBlank(), smtp.connections());
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
