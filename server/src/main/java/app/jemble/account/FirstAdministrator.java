package app.jemble.account;

import app.jemble.core.access.Role;
import app.jemble.core.record.EmailAddress;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Adds the first administrator of a new workspace, with the login and password that the environment
 * names. There is no default password: without one nobody is added.
 */
@Component
@Order(2)
class FirstAdministrator implements ApplicationRunner {

  private static final Logger LOG = LoggerFactory.getLogger(FirstAdministrator.class);
  private static final int SHORTEST_PASSWORD = 12;

  /** What bcrypt looks at. */
  private static final int LONGEST_PASSWORD = 72;

  private final AccountService accounts;
  private final String login;
  private final String password;
  private final String email;

  FirstAdministrator(
      AccountService accounts,
      @Value("${JEMBLE_ADMIN_LOGIN:}") String login,
      @Value("${JEMBLE_ADMIN_PASSWORD:}") String password,
      @Value("${JEMBLE_ADMIN_EMAIL:}") String email) {
    this.accounts = accounts;
    this.login = login;
    this.password = password;
    this.email = email;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    if (accounts.hasAny()) {
      return;
    }
    Optional<String> wrong = wrong();
    if (wrong.isPresent()) {
      LOG.warn("Nobody can sign in yet. {} Then start again.", wrong.get());
      return;
    }
    String name = login.strip();
    accounts.add(
        name.toLowerCase(Locale.ROOT),
        password,
        name,
        email.strip(),
        "Administrator",
        Role.ADMINISTRATOR);
  }

  /** What has to be set otherwise; empty when all is well. */
  private Optional<String> wrong() {
    if (login.isBlank() || email.isBlank() || password.isEmpty()) {
      return Optional.of(
          "Set JEMBLE_ADMIN_LOGIN, JEMBLE_ADMIN_EMAIL and a JEMBLE_ADMIN_PASSWORD of 12 characters"
              + " or more.");
    }
    if (!login.strip().matches("[A-Za-z][A-Za-z0-9._-]{0,39}")) {
      return Optional.of(
          "JEMBLE_ADMIN_LOGIN has up to 40 letters, digits, full stops and hyphens, a letter first.");
    }
    if (!EmailAddress.isValid(email.strip())) {
      return Optional.of("JEMBLE_ADMIN_EMAIL is no e-mail address.");
    }
    if (password.codePointCount(0, password.length()) < SHORTEST_PASSWORD
        || password.getBytes(StandardCharsets.UTF_8).length > LONGEST_PASSWORD) {
      return Optional.of(
          "JEMBLE_ADMIN_PASSWORD has at least 12 characters and at most 72 octets; more would not"
              + " count.");
    }
    return Optional.empty();
  }
}
