package app.jemble.backup;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.core.access.Right;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether the house was made of a backup and waits for somebody to say that it goes on. */
@RestController
@RequestMapping("/api/restored")
class RestoredController {

  /**
   * How it stands.
   *
   * @param held whether nothing leaves
   * @param madeAt when the backup was made; null where it is not held, as the others
   * @param goesOnAt from when on somebody may say that it goes on; null: now
   */
  record RestoredStanding(
      boolean held,
      @Schema(nullable = true) Instant madeAt,
      @Schema(nullable = true) Instant restoredAt,
      @Schema(nullable = true) Instant goesOnAt) {}

  /**
   * @param inDoubt messages of which nobody knows whether they left
   */
  record WentOn(int inDoubt) {}

  private final GoingOn goingOn;
  private final AccountService accounts;
  private final HouseHistory history;

  RestoredController(GoingOn goingOn, AccountService accounts, HouseHistory history) {
    this.goingOn = goingOn;
    this.accounts = accounts;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  RestoredStanding standing() {
    return goingOn
        .standing()
        .map(s -> new RestoredStanding(true, s.madeAt(), s.restoredAt(), s.goesOnAt()))
        .orElse(new RestoredStanding(false, null, null, null));
  }

  @Needs(Right.SETTINGS)
  @Noted("Let the house go on after it was restored")
  @PostMapping("/go-on")
  WentOn goOn() {
    int inDoubt = goingOn.goOn(accounts.currentWith(Right.SETTINGS).id());
    history.tell("", "", inDoubt + " messages in doubt");
    return new WentOn(inDoubt);
  }
}
