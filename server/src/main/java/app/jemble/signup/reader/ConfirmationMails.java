package app.jemble.signup.reader;

import app.jemble.account.Account;
import app.jemble.account.AccountService;
import app.jemble.carrier.mail.HouseMails;
import app.jemble.core.message.Mailbox;
import app.jemble.core.signup.ReaderLanguage;
import app.jemble.page.PageWords;
import app.jemble.page.PublicPages;
import app.jemble.settings.JembleSettings;
import app.jemble.signup.SignUp;
import app.jemble.signup.SignUpPage;
import app.jemble.signup.SignUpPageBody;
import app.jemble.signup.SignUpPages;
import app.jemble.signup.SignUpWords;
import app.jemble.signup.SignUps;
import app.jemble.telling.ColleagueMails;
import app.jemble.workspace.WorkspaceService;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.context.annotation.Bean;
import org.springframework.stereotype.Component;

/**
 * The one mail that leaves before its reader has confirmed, and the mail that tells a colleague of
 * each who has.
 */
@Component
class ConfirmationMails {

  /** What the mail shows. */
  public record Shown(
      String subject, String text, String link, String linkWords, String language) {}

  private final SignUps signUps;
  private final SignUpPages pages;
  private final PublicPages html;
  private final HouseMails mails;
  private final ColleagueMails colleagues;
  private final PostLimits limits;
  private final AccountService accounts;
  private final WorkspaceService workspace;
  private final JembleSettings settings;

  ConfirmationMails(
      SignUps signUps,
      SignUpPages pages,
      PublicPages html,
      HouseMails mails,
      ColleagueMails colleagues,
      PostLimits limits,
      AccountService accounts,
      WorkspaceService workspace,
      JembleSettings settings) {
    this.signUps = signUps;
    this.pages = pages;
    this.html = html;
    this.mails = mails;
    this.colleagues = colleagues;
    this.limits = limits;
    this.accounts = accounts;
    this.workspace = workspace;
    this.settings = settings;
  }

  @Bean
  RecurringTask<Void> confirmSignUps() {
    return Tasks.recurring("confirm-sign-ups", FixedDelay.ofSeconds(1))
        .execute(
            (instance, context) -> {
              sendAll();
              tellAll();
            });
  }

  @Bean
  RecurringTask<Void> forgetSignUps() {
    return Tasks.recurring("forget-sign-ups", FixedDelay.ofMinutes(10))
        .execute(
            (instance, context) -> {
              signUps.forgetUnconfirmed();
              limits.forget();
            });
  }

  /** Until none is left, or one does not leave: the next look tries that again. */
  void sendAll() {
    Optional<SignUp> next = signUps.takeNextToMail();
    while (next.isPresent()) {
      if (!send(next.get())) {
        signUps.didNotLeave(next.get());
        return;
      }
      next = signUps.takeNextToMail();
    }
  }

  private boolean send(SignUp signUp) {
    SignUpPage page = pages.find(signUp.pageId());
    ReaderLanguage language = ReaderLanguage.of(signUp.language()).orElse(ReaderLanguage.EN);
    Shown shown = shown(page, language, settings.publicUrl() + "/join/confirm/" + signUp.token());
    String text = shown.text() + "\n\n" + shown.linkWords() + ": " + shown.link() + "\n";
    return mails.send(
        "confirm." + signUp.id(),
        sender(page),
        new Mailbox("", signUp.address()),
        shown.subject(),
        new HouseMails.Letter(html.html("confirmation.ftlh", shown), text));
  }

  /** The house's words where it has written some in this language, else those that ship. */
  private Shown shown(SignUpPage page, ReaderLanguage language, String link) {
    Map<String, String> words = PageWords.of(language);
    SignUpPageBody.WrittenWords written = page.written(language);
    SignUpWords own = written.language() == language ? written.words() : SignUpWords.NONE;
    String house = workspace.current().name();
    return new Shown(
        own.subject().isEmpty() ? words.get("subject").replace("{0}", house) : own.subject(),
        own.mail().isEmpty() ? words.get("mail") : own.mail(),
        link,
        words.get("mailLink"),
        language.tag());
  }

  /**
   * Where the house has no address: the colleague who is told, who looks after them, who made it.
   */
  private Mailbox sender(SignUpPage page) {
    long id =
        Stream.of(page.body().tell(), page.body().owner(), page.madeBy())
            .filter(Objects::nonNull)
            .findFirst()
            .orElseThrow();
    return new Mailbox(workspace.current().name(), accounts.find(id).email());
  }

  void tellAll() {
    Optional<SignUps.Told> next = signUps.takeNextToTell();
    while (next.isPresent()) {
      if (!tell(next.get())) {
        signUps.notTold(next.get().id());
        return;
      }
      next = signUps.takeNextToTell();
    }
  }

  /** Whether nothing is left to be told: whom a colleague does not see, they do not hear of. */
  private boolean tell(SignUps.Told told) {
    Account colleague = accounts.find(told.colleague());
    if (!signUps.isSeen(told, accounts.onlyPeopleOf(told.colleague()))) {
      return true;
    }
    return colleagues.send(
        "signed-up." + told.id(),
        colleague,
        new ColleagueMails.Told(
            "signedUp",
            told.awaitsLook() ? colleagues.words(colleague, "signedUp.look") : "",
            "/people/" + told.person().value(),
            List.of(told.who(), told.page())));
  }
}
