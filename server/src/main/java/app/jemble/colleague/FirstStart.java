package app.jemble.colleague;

import app.jemble.account.AccountService;
import app.jemble.account.PasswordService;
import app.jemble.problem.Problem;
import app.jemble.settings.JembleSettings;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Where nobody can sign in yet, a link by which the first administrator makes themselves is printed
 * to whoever starts the house. It is good until somebody has, for a week at most.
 */
@Component
@Order(3)
public class FirstStart implements ApplicationRunner {

  private static final Logger LOG = LoggerFactory.getLogger(FirstStart.class);
  private static final Duration GOOD_FOR = Duration.ofDays(7);

  /** The first of a house. */
  record First(String token, String login, String name, String email, String password) {}

  private final FirstStartMapper mapper;
  private final AccountService accounts;
  private final PasswordService passwords;
  private final JembleSettings settings;
  private final Clock clock;

  FirstStart(
      FirstStartMapper mapper,
      AccountService accounts,
      PasswordService passwords,
      JembleSettings settings,
      Clock clock) {
    this.mapper = mapper;
    this.accounts = accounts;
    this.passwords = passwords;
    this.settings = settings;
    this.clock = clock;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    if (accounts.hasAny()) {
      mapper.forget();
      return;
    }
    String token = LinkToken.made();
    mapper.make(LinkToken.hash(token), clock.instant());
    LOG.warn(
        "Nobody can sign in yet. The first administrator begins here, once, within seven days:"
            + " {}/first-start#{}",
        settings.publicUrl(),
        token);
  }

  /** A problem when a link makes nobody any more. */
  void mustBeGood(String token) {
    if (accounts.hasAny() || mapper.good(LinkToken.hash(token), oldest()) == 0) {
      throw Problem.notFound(
          "This link is no longer good: somebody signs in here already, or a week has gone."
              + " A new one is printed whenever Jemble starts and nobody can sign in.");
    }
  }

  /** Makes the first administrator; what will not do leaves the link as it is. */
  @Transactional
  void make(First first) {
    mapper.lock();
    mustBeGood(first.token());
    long id = accounts.addFirst(first.login(), first.name(), first.email());
    passwords.set(accounts.find(id), first.password(), "");
    mapper.forget();
  }

  private Instant oldest() {
    return clock.instant().minus(GOOD_FOR);
  }
}
