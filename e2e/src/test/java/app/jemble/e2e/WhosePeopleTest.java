package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import org.testng.annotations.Test;

/** An administrator has representatives see their own people only; one of them is at work. */
public class WhosePeopleTest extends BrowserTest {

  @Override
  protected int people() {
    return 30;
  }

  private void signInAnew(String login) {
    page.context().clearCookies();
    signIn(login);
  }

  private long owned(String login) {
    return sql.sql(
            """
            select count(*) from person p join account a on a.id = p.owner_id
            where a.login = ? and p.archived_at is null
            """)
        .param(login)
        .query(Long.class)
        .single();
  }

  @Test
  public void anAdministratorSaysSoOfARole() {
    signIn("wilma");
    page.navigate(home + "/settings/roles");
    page.getByLabel("Representative: see people").selectOption("their own");
    assertThat(page.getByLabel("Administrator: see people")).hasCount(0);
    assertAccessible("whose people a role sees");
    button("Keep the changes").click();
    assertThat(page.getByText("It holds from the next thing they do.")).isVisible();
    button("Look as one").nth(2).click();
    Locator look = page.getByRole(AriaRole.DIALOG);
    assertThat(look).containsText("Lists, messages and answers of the people they own");
    press("Escape");
  }

  @Test(dependsOnMethods = "anAdministratorSaysSoOfARole")
  public void theyFindTheirsAlone() {
    long theirs = owned("tomas");
    assertThat(theirs).isBetween(1L, 29L);
    signInAnew("tomas");
    page.navigate(home + "/people");
    assertThat(page.getByText("These are the people you own")).isVisible();
    assertThat(page.getByRole(AriaRole.ROW)).hasCount((int) theirs + 1);
    assertAccessible("the people of one colleague");
    long other =
        sql.sql(
                """
                select min(p.id) from person p join account a on a.id = p.owner_id
                where a.login = 'orla'
                """)
            .query(Long.class)
            .single();
    page.navigate(home + "/people/" + other);
    assertThat(page.getByText("There is no such person any more.").first()).isVisible();
    page.navigate(home + "/people");
    button("Tomas Vance").click();
    assertThat(page.getByText("Representative, own people")).isVisible();
    assertNoComplaints();
  }
}
