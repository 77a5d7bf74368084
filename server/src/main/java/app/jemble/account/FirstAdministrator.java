package app.jemble.account;

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
    if (login.isBlank() || email.isBlank() || password.length() < SHORTEST_PASSWORD) {
      LOG.warn(
          "Nobody can sign in yet. Set JEMBLE_ADMIN_LOGIN, JEMBLE_ADMIN_EMAIL and a"
              + " JEMBLE_ADMIN_PASSWORD of {} characters or more, and start again.",
          SHORTEST_PASSWORD);
      return;
    }
    accounts.add(login, password, login, email, "Administrator", Account.Role.ADMINISTRATOR);
  }
}
