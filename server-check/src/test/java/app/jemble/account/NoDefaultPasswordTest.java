package app.jemble.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import org.testng.annotations.Test;

/** Outside the demo an empty database has no login, and none is made up. */
public class NoDefaultPasswordTest extends ServerTest {

  @Test
  public void anEmptyWorkspaceHasNoLogin() {
    assertThat(sql.sql("select count(*) from account").query(Long.class).single()).isZero();
    for (String login : new String[] {"admin", "orla", "administrator"}) {
      assertThat(api.signIn(login, login).status()).isEqualTo(422);
      assertThat(api.signIn(login, "lowen-quay").status()).isEqualTo(422);
    }
  }
}
