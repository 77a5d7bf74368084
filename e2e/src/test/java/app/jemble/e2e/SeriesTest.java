package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.Mails;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** A series made on its screen, people let in, steps received, one changed in mid-course. */
public class SeriesTest extends BrowserTest {

  private static final String BEA = "bea@series.example";

  @Override
  protected int people() {
    return 60;
  }

  @Override
  protected Duration readersDay() {
    return Duration.ofDays(30);
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void begin() {
    signIn("orla");
    api.signIn("orla", "lowen-quay");
    sql.sql("update sending_rules set hours = null").update();
    long bea = addPerson("Bea", "Series", BEA);
    sql.sql("update person set tags = '{newcomer}' where id = ?").param(bea).update();
  }

  private void addStep(String subject, int days) {
    button("Add a step").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    Locator editor = dialog.getByRole(AriaRole.TEXTBOX, inside("Subject"));
    assertThat(editor).isVisible();
    if (days > 0) {
      dialog.getByLabel("How long it waits").fill(Integer.toString(days));
    }
    editor.click();
    page.keyboard().type(subject);
    dialog.getByText("Save the step").click();
    assertThat(dialog).isHidden();
    assertThat(page.getByRole(AriaRole.ARTICLE).filter(having(subject))).isVisible();
  }

  private static Locator.GetByRoleOptions inside(String name) {
    return new Locator.GetByRoleOptions().setName(name).setExact(true);
  }

  private static Locator.FilterOptions having(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  @Test
  public void itIsMadeAndActivated() {
    page.navigate(home + "/mailings");
    button("Series").click();
    page.waitForURL("**/mailings/series");
    assertAccessible("all series");
    button("New series").click();
    page.getByRole(AriaRole.DIALOG).getByLabel("Name").fill("Welcome aboard");
    press("Enter");
    page.waitForURL(Pattern.compile(".*/mailings/series/\\d+"));
    assertThat(page.getByText("It has no step.")).isVisible();
    assertThat(button("Activate")).isDisabled();
    addStep("Welcome", 0);
    addStep("Your first week", 7);
    addStep("Your [gift] waits", 2);
    assertThat(page.getByText("Step 3: Fill in [gift].")).isVisible();
    page.getByRole(AriaRole.ARTICLE).nth(2).getByText("Take away").click();
    assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(2);
    assertAccessible("a series");
    button("Activate").click();
    assertThat(seen("active")).isVisible();
  }

  @Test(dependsOnMethods = "itIsMadeAndActivated")
  public void whomItIsForComeInByTyping() {
    button("Let people in").click();
    page.getByLabel("Type which people you seek").fill("tagged newcomer");
    Locator letIn =
        page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Let (1 person|them) in$")));
    assertThat(letIn).isEnabled();
    assertAccessible("letting people in");
    letIn.click();
    assertThat(page.getByText("1 person came in.")).isVisible();
    assertThat(page.getByRole(AriaRole.HEADING, named("Bea Series"))).isVisible();
    Eventually.holds(() -> assertThat(got()).containsExactly("Welcome"));
  }

  @Test(dependsOnMethods = "whomItIsForComeInByTyping")
  public void aStepIsChangedInMidCourse() {
    // The screen is told of it.
    assertThat(seen("1 got it")).isVisible();
    page.getByRole(AriaRole.ARTICLE).nth(1).getByText("Change", exact()).click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog.getByText("Nobody has had this step; the change is for all.")).isVisible();
    Locator subject = dialog.getByRole(AriaRole.TEXTBOX, inside("Subject"));
    subject.click();
    press("Control+a");
    page.keyboard().type("Your first fortnight");
    // Put aside, and the page lost: what was typed is there.
    dialog.getByText("Not now").click();
    assertThat(dialog).isHidden();
    page.reload();
    page.getByRole(AriaRole.ARTICLE).nth(1).getByText("Change", exact()).click();
    assertThat(dialog.getByText("This is what you typed before and did not save.")).isVisible();
    assertThat(subject).containsText("Your first fortnight");
    dialog.getByText("Save the step").click();
    assertThat(dialog).isHidden();
    clock.advance(Duration.ofDays(7).plusMinutes(5));
    Eventually.holds(() -> assertThat(got()).containsExactly("Welcome", "Your first fortnight"));
    assertThat(page.getByText("Is past all steps.")).isVisible();
    page.getByText("1 had all").click();
    assertThat(seen("had all steps")).isVisible();
    assertAccessible("who had all steps");
  }

  private static Locator.GetByTextOptions exact() {
    return new Locator.GetByTextOptions().setExact(true);
  }

  private Locator seen(String words) {
    return page.getByText(words, new Page.GetByTextOptions().setExact(true));
  }

  private List<String> got() {
    return office.delivered().stream()
        .filter(d -> d.to().equals(BEA))
        .map(d -> Mails.header(d.message(), "Subject"))
        .toList();
  }

  @Test(dependsOnMethods = "aStepIsChangedInMidCourse")
  public void itIsPausedGoesOnAndIsEnded() {
    page.getByRole(AriaRole.ARTICLE).nth(1).getByText("Take away").click();
    assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(1);
    // What was saved before may still say how to take that back.
    Locator takenAway = page.getByText("The step is taken away").locator("xpath=..");
    takenAway.getByText("Undo").click();
    assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(2);
    button("Pause").click();
    assertThat(page.getByText(Pattern.compile("^Nothing has left since"))).isVisible();
    button("Let it go on").click();
    button("Waits stood still").click();
    assertThat(seen("active")).isVisible();
    button("End it").click();
    page.getByRole(AriaRole.DIALOG).getByText("End it", exact()).click();
    assertThat(seen("ended")).isVisible();
    assertThat(button("Add a step")).hasCount(0);
    assertNoComplaints();
  }
}
