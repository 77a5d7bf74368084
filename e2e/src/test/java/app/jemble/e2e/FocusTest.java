package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** After each dialog and act something has the focus, and it is not the page. */
public class FocusTest extends BrowserTest {

  private long draft;

  @Override
  protected int people() {
    return 120;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void begin() {
    signIn("orla");
    api.signIn("orla", "lowen-quay");
    draft = draft(List.of(addPerson("Foc", "Used", "foc@used.example")), "Hello", "<p>Hello</p>");
  }

  private Locator dialog() {
    return page.locator("dialog[open]");
  }

  private void openAndClose(Runnable opens, String what) {
    opens.run();
    assertThat(dialog()).isVisible();
    assertFocused(what + " open");
    assertThat(page.evaluate("document.activeElement.textContent.match(/Delete|Discard/)"))
        .as("the focus of " + what)
        .isNull();
    press("Escape");
    assertThat(dialog()).hasCount(0);
    assertFocused(what);
  }

  private void assertFocused(String what) {
    page.waitForTimeout(150);
    assertThat(page.evaluate("document.activeElement.tagName"))
        .as("what has the focus after " + what)
        .isNotEqualTo("BODY");
  }

  @Test
  public void afterTheDialogsOfAMailing() {
    page.navigate(home + "/mailings/" + draft);
    assertThat(page.getByText(Pattern.compile("^Proof 1 of 1"))).isVisible();
    openAndClose(() -> press("a"), "whom it is for");
    openAndClose(() -> press("Control+Enter"), "release");
    openAndClose(() -> button("Add a rule").click(), "a rule");
    openAndClose(() -> page.getByText(Pattern.compile("^Opens and clicks")).click(), "options");
    openAndClose(() -> page.getByText("Link", exactText()).click(), "a link");
    openAndClose(() -> page.getByText("Picture", exactText()).click(), "a picture");
    openAndClose(() -> press("/"), "the finder");
  }

  private static Page.GetByTextOptions exactText() {
    return new Page.GetByTextOptions().setExact(true);
  }

  /**
   * Chosen as people choose: the field has the focus, and is not to be used while a file goes up.
   */
  @Test(dependsOnMethods = "afterTheDialogsOfAMailing")
  public void afterAFileIsAttachedAndTakenOff() {
    page.getByText("No attachment").click();
    Locator chooser = page.getByLabel("Attach files");
    // It has the focus once the popup is open, and nothing takes it from there.
    assertThat(chooser).isFocused();
    page.waitForFileChooser(() -> chooser.press("Enter")).setFiles(notes());
    assertThat(page.getByLabel("Name of notes.txt, as readers see it")).isVisible();
    assertFocused("attaching a file");
    page.getByLabel("Remove notes.txt").click();
    assertThat(page.getByText("No attachment")).isVisible();
    assertFocused("taking a file off");
    press("Escape");
    assertFocused("the attachments");
  }

  private static FilePayload notes() {
    return new FilePayload("notes.txt", "text/plain", "Bring a lamp.".getBytes(UTF_8));
  }

  @Test(dependsOnMethods = "afterAFileIsAttachedAndTakenOff")
  public void afterOwnWordingAndPuttingADraftAway() {
    press("o");
    assertThat(page.getByText("For Foc Used alone.")).isVisible();
    page.getByText("Done", exactText()).click();
    assertThat(page.getByText("For Foc Used alone.")).isHidden();
    assertFocused("own wording");
    page.getByText("More", exactText()).first().click();
    page.getByText("Discard this draft").click();
    page.waitForURL("**/mailings");
    assertFocused("putting a draft away");
  }

  @Test(dependsOnMethods = "afterOwnWordingAndPuttingADraftAway")
  public void afterTheDialogsOfPeople() {
    page.navigate(home + "/people");
    seek("members");
    assertThat(rows().first()).isVisible();
    press("ArrowDown", "Space");
    Locator picked = page.getByRole(AriaRole.REGION, named("Picked"));
    for (String act : List.of("Tag", "Set a field", "List", "Task", "Export")) {
      openAndClose(() -> picked.getByText(act, exactly()).click(), act);
    }
    openAndClose(() -> page.getByText("Keep this filter").click(), "keeping a filter");
    openAndClose(() -> press("w"), "what to begin from");
    page.getByText(Pattern.compile("^Open the record")).click();
    page.waitForURL(Pattern.compile(".*/people/\\d+"));
    assertFocused("going to a person");
  }

  private static Locator.GetByTextOptions exactly() {
    return new Locator.GetByTextOptions().setExact(true);
  }
}
