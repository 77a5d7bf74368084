package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.CodeApp;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.List;
import org.testng.annotations.Test;

/** An app beside the password, set up by screens alone; and a house that demands it. */
public class SecondFactorTest extends BrowserTest {

  private CodeApp app;
  private List<String> paper;

  @Override
  protected int people() {
    return 3;
  }

  private String shown() {
    return app.shown(clock.instant());
  }

  private Locator factor() {
    return page.getByRole(AriaRole.REGION, named("A second factor"));
  }

  private void setUp() {
    factor().getByLabel("Your password").fill("lowen-quay");
    press("Enter");
    app = new CodeApp(factor().locator("[data-secret]").innerText());
    assertThat(page.getByRole(AriaRole.IMG, named("What your app reads"))).isVisible();
    factor().getByLabel("Code").fill(shown());
    press("Enter");
    Locator codes = page.getByRole(AriaRole.LIST, named("Codes on paper"));
    assertThat(codes.getByRole(AriaRole.LISTITEM)).hasCount(10);
    paper = codes.getByRole(AriaRole.LISTITEM).allInnerTexts();
  }

  private void signInWith(String login, String code) {
    page.context().clearCookies();
    page.navigate(home + "/sign-in");
    page.getByLabel("Login").fill(login);
    page.getByLabel("Password").fill("lowen-quay");
    press("Enter");
    page.getByLabel("Code").fill(code);
    press("Enter");
  }

  @Test
  public void itIsSetUpWithAnApp() {
    signIn("wilma");
    page.navigate(home + "/settings/sessions");
    assertAccessible("a second factor to set up");
    setUp();
    assertAccessible("codes on paper");
    button("I have them").click();
    assertThat(factor()).containsText("10 codes on paper left");
  }

  @Test(dependsOnMethods = "itIsSetUpWithAnApp")
  public void itIsAskedForWhenSigningIn() {
    signInWith("wilma", "000000");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("not good");
    assertAccessible("signing in with a code");
    clock.advance(Duration.ofMinutes(1));
    page.getByLabel("Code").fill(shown());
    press("Enter");
    page.waitForURL("**/desk");
    signInWith("wilma", paper.get(0));
    page.waitForURL("**/desk");
  }

  @Test(dependsOnMethods = "itIsAskedForWhenSigningIn")
  public void whereItIsDemandedItComesFirst() {
    page.navigate(home + "/settings/colleagues");
    page.getByLabel("Everyone needs a second factor").check();
    assertThat(page.getByText("sets one up before anything else")).isVisible();
    page.context().clearCookies();
    signIn("orla");
    assertThat(page.getByRole(AriaRole.HEADING, named("A second factor first"))).isVisible();
    page.navigate(home + "/people");
    assertThat(page.getByRole(AriaRole.HEADING, named("A second factor first"))).isVisible();
    assertAccessible("a second factor first");
    setUp();
    button("I have them").click();
    button("Go on").click();
    assertThat(page.getByText("match in all")).isVisible();
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "whereItIsDemandedItComesFirst")
  public void whoLostTheirAppIsHelpedByAnAdministrator() {
    sql.sql("update workspace set second_factor_demanded = false").update();
    clock.advance(Duration.ofMinutes(1));
    page.context().clearCookies();
    sql.sql(
            "delete from second_factor where account_id = (select id from account where login = 'wilma')")
        .update();
    signIn("wilma");
    page.navigate(home + "/settings/colleagues");
    Locator orla = page.locator("[data-colleague=orla]");
    assertThat(orla).containsText("with a second factor");
    orla.getByText("Change").click();
    button("Take off their second factor").click();
    assertThat(orla).not().containsText("with a second factor");
    assertThat(sql.sql("select count(*) from second_factor").query(Long.class).single()).isZero();
  }
}
