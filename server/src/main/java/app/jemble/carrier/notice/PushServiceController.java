package app.jemble.carrier.notice;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.history.Noted;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The push services that notices leave through, and whether they would. */
@RestController
@RequestMapping("/api/push-service")
class PushServiceController {

  /**
   * As set by environment; docs/operations.md names the variables.
   *
   * @param set whether the house has an app
   * @param publicKey by which push services know the house; the app needs it
   */
  record PushService(
      boolean set, List<String> services, String contact, int inFlight, String publicKey) {}

  /**
   * How far a try went.
   *
   * @param failed the step that failed; null when all went well
   * @param words what the service or the network said
   */
  record PushServiceTried(@Schema(nullable = true) PushServiceCheck.Step failed, String words) {}

  private final PushServiceCheck check;
  private final NoticeSettings settings;
  private final PushKeys keys;
  private final AccountService accounts;

  PushServiceController(
      PushServiceCheck check, NoticeSettings settings, PushKeys keys, AccountService accounts) {
    this.check = check;
    this.settings = settings;
    this.keys = keys;
    this.accounts = accounts;
  }

  @Needs(Right.SEE)
  @GetMapping
  PushService find() {
    return new PushService(
        settings.isOn(),
        settings.services(),
        settings.contact(),
        settings.inFlight(),
        keys.publicKey());
  }

  @Needs(Right.SETTINGS)
  @Noted("Tried the push services")
  @PostMapping("/try")
  PushServiceTried tryOut() {
    accounts.currentWith(Right.SETTINGS);
    return check.check();
  }
}
