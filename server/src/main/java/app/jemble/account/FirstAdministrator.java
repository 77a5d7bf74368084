package app.jemble.account;

import app.jemble.core.access.LoginRule;
import app.jemble.core.access.PasswordRule;
import app.jemble.core.record.EmailAddress;
import app.jemble.role.Roles;
import java.util.List;
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

  private final AccountService accounts;
  private final Roles roles;
  private final String login;
  private final String password;
  private final String email;

  FirstAdministrator(
      AccountService accounts,
      Roles roles,
      @Value("${JEMBLE_ADMIN_LOGIN:}") String login,
      @Value("${JEMBLE_ADMIN_PASSWORD:}") String password,
      @Value("${JEMBLE_ADMIN_EMAIL:}") String email) {
    this.accounts = accounts;
    this.roles = roles;
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
      if (!(login + email + password).isBlank()) {
        LOG.warn("Nobody is made of JEMBLE_ADMIN_LOGIN. {} Then start again.", wrong.get());
      }
      return;
    }
    String name = login.strip();
    accounts.add(
        name.toLowerCase(Locale.ROOT),
        password,
        name,
        email.strip(),
        "Administrator",
        roles.first());
  }

  /** What has to be set otherwise; empty when all is well. */
  private Optional<String> wrong() {
    if (login.isBlank() || email.isBlank() || password.isEmpty()) {
      return Optional.of(
          "Set JEMBLE_ADMIN_LOGIN, JEMBLE_ADMIN_EMAIL and a JEMBLE_ADMIN_PASSWORD of 12 characters"
              + " or more.");
    }
    if (LoginRule.refusal(login).isPresent()) {
      return LoginRule.refusal(login).map(why -> "JEMBLE_ADMIN_LOGIN is none: " + why);
    }
    if (!EmailAddress.isValid(email.strip())) {
      return Optional.of("JEMBLE_ADMIN_EMAIL is no e-mail address.");
    }
    return PasswordRule.refusal(password, CommonPasswords::has, List.of(login, email))
        .map(why -> "JEMBLE_ADMIN_PASSWORD is none: " + why);
  }
}
