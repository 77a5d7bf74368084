package app.jemble.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import app.jemble.role.Roles;
import org.springframework.boot.DefaultApplicationArguments;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Whoever is made at the first start can sign in, or is not made. */
public class FirstAdministratorTest extends ServerTest {

  private static final String EMAIL = "root@ternquay.example";

  private void start(String login, String password, String email) {
    new FirstAdministrator(
            application.getBean(AccountService.class),
            application.getBean(Roles.class),
            login,
            password,
            email)
        .run(new DefaultApplicationArguments());
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {"root", "long enough ".repeat(17), EMAIL},
      {"root", "eleven11chr", EMAIL},
      {"root", "password2026", EMAIL},
      {"root", "root@ternquay", EMAIL},
      {"root", "long enough to be one", "root at ternquay"},
      {"root", "long enough to be one", "a@b.example\r\nBcc: c@d.example"},
      {"two words", "long enough to be one", EMAIL},
      {"", "long enough to be one", EMAIL},
    };
  }

  @Test(dataProvider = "wrong")
  public void whoCouldNotSignInIsNotMade(String login, String password, String email) {
    start(login, password, email);
    assertThat(sql.sql("select count(*) from account").query(Long.class).single()).isZero();
  }

  @Test(dependsOnMethods = "whoCouldNotSignInIsNotMade")
  public void theLoginMayBeWrittenInAnyCase() {
    String password = "grüne Treppe 7";
    start("Root", password, EMAIL);
    for (String written : new String[] {"root", "Root"}) {
      Api who = new Api("http://127.0.0.1:" + port);
      assertThat(who.signIn(written, password).status()).as(written).isEqualTo(200);
    }
  }
}
