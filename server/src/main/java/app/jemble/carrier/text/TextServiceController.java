package app.jemble.carrier.text;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.history.Noted;
import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The text service that texts leave through, and whether they would. */
@RestController
@RequestMapping("/api/text-service")
class TextServiceController {

  /**
   * As set by environment; docs/operations.md names the variables.
   *
   * @param set whether the house has one
   */
  record TextService(
      boolean set,
      String host,
      int port,
      boolean secure,
      String user,
      String sender,
      int window,
      int perSecond) {}

  /**
   * How far a try went.
   *
   * @param failed the step that failed; null when all went well
   * @param words what the service or the network said
   */
  record TextServiceTried(@Schema(nullable = true) TextServiceCheck.Step failed, String words) {}

  private final TextServiceCheck check;
  private final TextSettings settings;
  private final AccountService accounts;

  TextServiceController(TextServiceCheck check, TextSettings settings, AccountService accounts) {
    this.check = check;
    this.settings = settings;
    this.accounts = accounts;
  }

  @Needs(Right.SEE)
  @GetMapping
  TextService find() {
    return new TextService(
        settings.isOn(),
        settings.host(),
        settings.port(),
        settings.secure(),
        settings.user(),
        settings.sender(),
        settings.window(),
        settings.perSecond());
  }

  @Needs(Right.SETTINGS)
  @Noted("Tried the text service")
  @PostMapping("/try")
  TextServiceTried tryOut() {
    accounts.currentWith(Right.SETTINGS);
    return check.check();
  }
}
