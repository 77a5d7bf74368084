package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.testng.annotations.Test;

/**
 * Whoever starts an empty house makes themselves by the printed link, and says who the house is.
 */
public class FirstStartTest extends BrowserTest {

  private static final String TOKEN = "printed-at-the-start";
  private static final String PASSWORD = "green stair 7";

  @Test
  public void theFirstComesInByThePrintedLink() {
    sql.sql("insert into first_start (token_hash, made_at) values (sha256(?::bytea), now())")
        .param(TOKEN)
        .update();
    page.navigate(home + "/first-start#guessed");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("no longer good");
    page.navigate("about:blank");
    page.navigate(home + "/first-start#" + TOKEN);
    page.getByLabel("Your name").fill("Mara Penrose");
    assertThat(page.getByLabel("You sign in as")).hasValue("mara");
    page.getByLabel("Your e-mail").fill("mara@choir.example");
    page.getByLabel("New password").fill("marapenrose1");
    press("Enter");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("made of your name");
    assertAccessible("the first administrator");
    page.getByLabel("New password").fill(PASSWORD);
    press("Enter");
    page.waitForURL("**/settings/set-up");
    assertAccessible("set-up");
    page.getByRole(AriaRole.MAIN).getByText("Who you are").click();
    page.waitForURL("**/settings/house");
  }

  @Test(dependsOnMethods = "theFirstComesInByThePrintedLink")
  public void theHouseSaysWhoItIs() {
    Locator name = page.getByLabel("Name", exactly());
    assertThat(name).hasValue("New workspace");
    name.fill("Harbour Choir");
    page.getByLabel("Postal address").fill("2 Mole Street, Lowen Quay");
    page.getByLabel("Time zone").selectOption("Europe/Lisbon");
    page.getByLabel("Language and country").selectOption("pt-PT");
    page.getByLabel("Mail domain").fill("choir .example");
    button("Save").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("a domain such as");
    assertThat(name).hasValue("Harbour Choir");
    page.getByLabel("Mail domain").fill("choir.example");
    button("Save").click();
    assertThat(page.getByText("Saved; it holds from now on.")).isVisible();
    assertAccessible("the house");
    page.reload();
    assertThat(page.getByLabel("Postal address")).hasValue("2 Mole Street, Lowen Quay");
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "theHouseSaysWhoItIs")
  public void topicsAndPlansAreItsOwn() {
    page.getByRole(AriaRole.NAVIGATION, named("Settings")).getByText("Words of the house").click();
    page.getByLabel("Another plan").fill("Voice");
    press("Enter");
    assertThat(page.getByLabel("Another plan")).hasValue("");
    page.getByLabel("Another plan").fill("Friend");
    press("Enter");
    button("Move Friend up").click();
    assertThat(button("Move Voice up")).isVisible();
    button("Rename News").click();
    page.getByLabel("New name of News").fill("Concerts");
    press("Enter");
    assertThat(button("Rename Concerts")).isVisible();
    assertAccessible("topics and plans");
    assertNoComplaints();
  }

  /** All settings are one act from each other, on a phone too. */
  @Test(dependsOnMethods = "topicsAndPlansAreItsOwn")
  public void oneSettingLeadsToAnother() {
    Locator places = page.getByRole(AriaRole.NAVIGATION, named("Settings"));
    places.getByText("Roles").click();
    assertThat(page.getByLabel("Name of the role Coordinator")).isVisible();
    page.setViewportSize(390, 844);
    page.getByLabel("Settings").last().selectOption("Colleagues");
    page.waitForURL("**/settings/colleagues");
    assertThat(page.locator("[data-colleague=mara]")).containsText("Mara Penrose (you)");
    assertAccessible("settings on a phone");
    page.navigate(home + "/first-start#" + TOKEN);
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("no longer good");
  }

  private static Page.GetByLabelOptions exactly() {
    return new Page.GetByLabelOptions().setExact(true);
  }
}
