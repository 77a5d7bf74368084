package app.jemble.colleague;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.account.PasswordService;
import app.jemble.colleague.PasswordLinkMapper.GoodLink;
import app.jemble.problem.Problem;
import app.jemble.settings.JembleSettings;
import app.jemble.telling.ColleagueMails;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Links by which a colleague sets a password, once. */
@Service
public class PasswordLinks {

  private static final Duration GOOD_FOR = Duration.ofDays(7);
  private static final String PATH = "/new-password#";

  /**
   * A link that was made.
   *
   * @param link the whole address, which is shown once
   * @param mailed whether it is on its way to the colleague
   */
  public record MadeLink(String link, Instant goodUntil, boolean mailed) {}

  /** Whom a link is for. */
  public record LinkOwner(String login, String name, String house, Instant goodUntil) {}

  private final PasswordLinkMapper mapper;
  private final AccountService accounts;
  private final PasswordService passwords;
  private final ColleagueMails mails;
  private final WorkspaceService workspace;
  private final JembleSettings settings;
  private final Clock clock;

  PasswordLinks(
      PasswordLinkMapper mapper,
      AccountService accounts,
      PasswordService passwords,
      ColleagueMails mails,
      WorkspaceService workspace,
      JembleSettings settings,
      Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.passwords = passwords;
    this.mails = mails;
    this.workspace = workspace;
    this.settings = settings;
    this.clock = clock;
  }

  /** Makes a link for a colleague, which takes the place of the one before, and mails it. */
  MadeLink make(long id) {
    Account colleague = accounts.colleague(id);
    if (colleague.off()) {
      throw Problem.conflict(colleague.name() + " is switched off; switch them on first.");
    }
    String token = LinkToken.made();
    Instant now = clock.instant();
    Instant until = now.plus(GOOD_FOR);
    Account me = accounts.current();
    mapper.make(id, LinkToken.hash(token), now, me.id(), until);
    boolean mailed =
        mails.send(
            "password link " + UUID.randomUUID(),
            colleague,
            new ColleagueMails.Told(
                colleague.invited() ? "invited" : "password",
                "",
                PATH + token,
                List.of(me.name(), workspace.current().name(), colleague.login())));
    return new MadeLink(settings.publicUrl() + PATH + token, until, mailed);
  }

  /** Whom a link is for; a problem when it is no longer good. */
  LinkOwner owner(String token) {
    GoodLink link = mapper.find(LinkToken.hash(token), clock.instant());
    Account colleague = link == null ? null : accounts.find(link.accountId());
    if (colleague == null) {
      throw tooLate();
    }
    return new LinkOwner(
        colleague.login(), colleague.name(), workspace.current().name(), link.expiresAt());
  }

  /** Sets the password; a password that will not do leaves the link as it is. */
  @Transactional
  public void use(String token, String password) {
    Account colleague =
        Optional.ofNullable(mapper.take(LinkToken.hash(token), clock.instant()))
            .map(accounts::find)
            .orElseThrow(PasswordLinks::tooLate);
    passwords.set(colleague, password, "");
  }

  /** Lets a colleague sign in no more, by a link neither. */
  @Transactional
  public void switchOff(long id) {
    accounts.switchOff(id);
    mapper.drop(id);
  }

  private static Problem tooLate() {
    return Problem.notFound(
        "This link is no longer good: it was used, another took its place, or seven days have gone."
            + " Ask an administrator of your house for a new one.");
  }
}
