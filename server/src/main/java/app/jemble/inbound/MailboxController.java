package app.jemble.inbound;

import app.jemble.access.Needs;
import app.jemble.account.AccountService;
import app.jemble.carrier.mail.MailStep;
import app.jemble.core.access.Right;
import app.jemble.history.Noted;
import app.jemble.inbound.MailTrialMapper.TrialRow;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether the mailbox can be read, and whether what the house sends to itself comes there. */
@RestController
@RequestMapping("/api")
class MailboxController {

  /**
   * How far a try went.
   *
   * @param failed the step that failed; null when all went well
   * @param words what the server or the network said
   */
  record MailboxTried(@Schema(nullable = true) MailStep failed, String words) {}

  /**
   * A trial that was begun.
   *
   * @param to where it was sent
   * @param refused what the mail server said against it; empty when it took it
   * @param own where another was sent, to be looked for there
   */
  record MailTrialBegun(long id, String to, String refused, String own) {}

  /**
   * @param cameAt when it was read in the mailbox; null as long as it was not
   */
  record MailTrial(long id, Instant sentAt, @Schema(nullable = true) Instant cameAt) {}

  private final MailboxCheck check;
  private final MailTrials trials;
  private final AccountService accounts;

  MailboxController(MailboxCheck check, MailTrials trials, AccountService accounts) {
    this.check = check;
    this.trials = trials;
    this.accounts = accounts;
  }

  @Needs(Right.SETTINGS)
  @Noted("Tried the mailbox")
  @PostMapping("/mailbox/try")
  MailboxTried tryOut() {
    accounts.currentWith(Right.SETTINGS);
    MailboxCheck.Result result = check.check();
    return new MailboxTried(result.failed(), result.words());
  }

  @Needs(Right.SETTINGS)
  @Noted("Sent a mail to the house and to themselves")
  @PostMapping("/mail-trials")
  MailTrialBegun begin() {
    var me = accounts.currentWith(Right.SETTINGS);
    MailTrials.Trial trial = trials.begin(me);
    return new MailTrialBegun(trial.id(), trial.to(), trial.refused(), me.email());
  }

  @Needs(Right.SETTINGS)
  @GetMapping("/mail-trials/{id}")
  MailTrial find(@PathVariable("id") long id) {
    accounts.currentWith(Right.SETTINGS);
    TrialRow trial = trials.find(id);
    return new MailTrial(trial.id(), trial.sentAt(), trial.cameAt());
  }
}
