package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.standins.PostOffice.Delivered;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/**
 * An administrator limits a role; whoever has it is told how far it goes, and lets go what is more
 * with the nod of a second colleague.
 */
public class RoleLimitsTest extends BrowserTest {

  private long mailing;

  @Override
  protected int people() {
    return 10;
  }

  private Locator field(String name) {
    return page.getByLabel("Representative: " + name);
  }

  private void signInAnew(String login) {
    page.context().clearCookies();
    signIn(login);
  }

  private Locator band() {
    return page.getByRole(AriaRole.REGION, named("The nod of a second colleague"));
  }

  @Test
  public void anAdministratorLimitsARole() {
    sql.sql("update workspace set hold_seconds = 1").update();
    sql.sql("update sending_rules set hours = null").update();
    signIn("wilma");
    page.navigate(home + "/settings/roles");
    field("Series and days to remember").uncheck();
    field("Write to one person, and answer").uncheck();
    assertThat(field("Write to many at once")).not().isChecked();
    field("Write to many at once").check();
    assertThat(field("Write to one person, and answer")).isChecked();
    field("to at most … people").fill("4");
    field("with a nod above … people").fill("9");
    assertAccessible("roles");
    button("Keep the changes").click();
    assertThat(page.getByText("a nod would never be asked for")).isVisible();
    assertThat(field("to at most … people")).hasValue("4");
    field("with a nod above … people").fill("2");
    button("Keep the changes").click();
    assertThat(page.getByText("It holds from the next thing they do.")).isVisible();
    assertThat(button("Keep the changes")).isHidden();
    button("Look as one").nth(2).click();
    Locator look = page.getByRole(AriaRole.DIALOG);
    assertThat(look).containsText("One mailing goes to at most 4 people.");
    assertThat(look).containsText("may not change series or days to remember. Ask Wilma Gorse.");
    assertAccessible("looking as a role");
    press("Escape");
  }

  @Test(dependsOnMethods = "anAdministratorLimitsARole")
  public void aRoleOfOnesOwnComesAndGoes() {
    button("Add a role").click();
    page.getByRole(AriaRole.DIALOG).getByLabel("Name").fill("reader");
    press("Enter");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("a role called “reader” already");
    page.getByRole(AriaRole.DIALOG).getByLabel("Name").fill("Quay hand");
    page.getByRole(AriaRole.DIALOG)
        .getByLabel("It begins with what this one may")
        .selectOption("Coordinator");
    press("Enter");
    assertThat(page.getByLabel("Quay hand: Templates, documents and letterheads")).isChecked();
    button("Remove").click();
    assertThat(page.getByLabel("Name of the role Quay hand")).hasCount(0);
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "aRoleOfOnesOwnComesAndGoes")
  public void whoHasItIsToldHowFarItGoesAndAsksForANod() {
    api = signedIn("tomas");
    List<Long> five = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      five.add(addPerson("Bea", "Nod " + i, "nod" + i + "@nod.example"));
    }
    mailing = draft(five, "Hello", "<p>Hello</p>");
    signInAnew("tomas");
    page.navigate(home + "/mailings/" + mailing);
    button("Open what the check found").click();
    assertThat(page.getByText("You may write to 4 at once; these are 5. Ask Wilma Gorse").last())
        .isVisible();
    button("Leave out the last 1").click();
    assertThat(page.getByText("4 at once; these are 5")).hasCount(0);
    page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Release 4…"))).click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog).containsText("Ask for a nod to 4 messages?");
    assertThat(dialog).containsText("Orla Finch or Wilma Gorse");
    assertThat(button("Ask for the nod")).isFocused();
    press("Enter");
    assertThat(band()).containsText("nothing leaves before it is given");
    assertAccessible("a nod is asked for");
  }

  @Test(dependsOnMethods = "whoHasItIsToldHowFarItGoesAndAsksForANod")
  public void theOtherGivesNoneAndSaysWhy() {
    signInAnew("orla");
    Locator wants = page.getByRole(AriaRole.LISTITEM).filter(hasText("asks for your nod"));
    assertThat(wants).containsText("Tomas Vance asks for your nod to 4 messages");
    wants.getByRole(AriaRole.LINK).click();
    page.waitForURL("**/mailings/" + mailing);
    assertThat(page.getByText("Proof 1 of 4")).isVisible();
    button("Give no nod…").click();
    page.getByLabel("Why not").fill("Not before the regatta.");
    press("Enter");
    assertThat(band()).containsText("“Not before the regatta.”");
    assertThat(state()).isEqualTo("draft");
  }

  @Test(dependsOnMethods = "theOtherGivesNoneAndSaysWhy")
  public void askedAgainItIsGivenAndTheyLeave() {
    signInAnew("tomas");
    Locator refused = page.getByRole(AriaRole.LISTITEM).filter(hasText("gives no nod"));
    assertThat(refused).containsText("Not before the regatta.");
    refused.getByRole(AriaRole.LINK).click();
    assertThat(band()).containsText("Orla Finch gave no nod to this");
    page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Release 4…"))).click();
    button("Ask for the nod").click();
    assertThat(band()).containsText("nothing leaves before it is given");
    Page theirs = page.context().browser().newContext().newPage();
    theirs.navigate(home + "/sign-in");
    theirs.getByLabel("Login").fill("orla");
    theirs.getByLabel("Password").fill("lowen-quay");
    theirs.keyboard().press("Enter");
    theirs.waitForURL("**/desk");
    theirs.navigate(home + "/mailings/" + mailing);
    theirs.getByText("Nod, and let them go").click();
    assertThat(theirs.getByText("4 messages released with your nod.")).isVisible();
    theirs.context().close();
    // Whoever asked looks on, and is told.
    assertThat(band()).isHidden();
    assertThat(button("Use again")).isVisible();
    Eventually.holds(() -> assertThat(written()).hasSize(4));
    assertThat(written()).doesNotContain("nod4@nod.example");
    assertNoComplaints();
  }

  /** To whom something came. */
  private List<String> written() {
    return office.delivered().stream()
        .map(Delivered::to)
        .filter(address -> address.endsWith("@nod.example"))
        .toList();
  }

  private String state() {
    return sql.sql("select state from cause where id = ?")
        .param(mailing)
        .query(String.class)
        .single();
  }

  private static Locator.FilterOptions hasText(String words) {
    return new Locator.FilterOptions().setHasText(words);
  }
}
