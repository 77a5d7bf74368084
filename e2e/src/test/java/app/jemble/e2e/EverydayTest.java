package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.Test;

/**
 * What happens every day beside the main job: looking up, other roles, two tabs, a phone, the dark.
 */
public class EverydayTest extends BrowserTest {

  private static final String NOT_WRITING =
      "Your role, Reader, may not write to anybody. Ask Wilma Gorse.";

  @Override
  protected int people() {
    return 800;
  }

  @AfterMethod(alwaysRun = true)
  public void signOut() {
    page.setViewportSize(1280, 800);
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    page.context().clearCookies();
  }

  private long draftId() {
    return sql.sql("select id from cause where name = 'Spring slipway reminder'")
        .query(Long.class)
        .single();
  }

  private void openDraft(Page tab) {
    tab.navigate(home + "/mailings/" + draftId());
    assertThat(tab.getByText(Pattern.compile("Proof 1 of"))).isVisible();
  }

  private long messageWithReply() {
    return sql.sql(
            """
            select max(r.message_id)
            from response r
            join inbound_mail i on i.id = r.mail_id
            where r.kind = 'REPLIED'
            """)
        .query(Long.class)
        .single();
  }

  /** Every screen with something on it. */
  private List<String> screens() {
    return List.of(
        "/desk",
        "/people",
        "/templates",
        "/templates/1",
        "/mailings",
        "/outbox",
        "/responses",
        "/responses/6",
        "/responses/6?view=course",
        "/responses/6?view=links",
        "/responses/6?view=groups&by=TAG",
        "/responses/6?view=earlier",
        "/settings/do-not-write",
        "/responses/with/" + messageWithReply(),
        "/responses/unplaced",
        "/people/40",
        "/people/import",
        "/tasks",
        "/quotes",
        "/events",
        "/lists",
        "/settings/fields",
        "/settings/sending",
        "/settings/counting",
        "/settings/texts",
        "/paper",
        "/paper/" + labels(),
        "/mailings/" + draftId());
  }

  private long labels() {
    api.signIn("orla", "lowen-quay");
    return beginLabels(
        sql.sql("select id from person order by id limit 30").query(Long.class).list());
  }

  private Locator subject(Page tab) {
    return tab.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Subject"));
  }

  @Test
  public void aReplyIsReadAnsweredTakenBackAndAnsweredAgain() {
    signIn("orla");
    sql.sql("update workspace set hold_seconds = 30").update();
    page.navigate(home + "/responses/with/" + messageWithReply());
    Locator box = page.getByPlaceholder(Pattern.compile("^Answer "));
    box.fill("Too soon");
    page.keyboard().press("Control+Enter");
    assertThat(page.getByText(Pattern.compile("Leaves in \\d+ s"))).isVisible();
    button("Take back").click();
    assertThat(page.getByText(Pattern.compile("Leaves in"))).hasCount(0);
    sql.sql("update workspace set hold_seconds = 0").update();
    box.fill("Nine o'clock, by the crane.");
    page.getByRole(AriaRole.BUTTON, named("Answer").setExact(true)).click();
    assertThat(page.getByLabel("Letters").getByText("Nine o'clock, by the crane.")).isVisible();
    assertThat(box).hasValue("");
    button("written by software").last().click();
    assertThat(page.locator("b", new Page.LocatorOptions().setHasText("written by software")))
        .isVisible();
    assertNoComplaints();
  }

  @Test
  public void mailNobodyCouldPlaceIsPlacedOrPutAside() {
    signIn("orla");
    page.navigate(home + "/responses");
    button("2 mails to place").click();
    page.getByText("The talk on knots").first().click();
    String name =
        sql.sql(
                "select p.name from message s join person p on p.id = s.person_id where s.sent_at is not null limit 1")
            .query(String.class)
            .single();
    page.getByPlaceholder("Name or address").fill(name);
    page.getByText("to " + name).first().waitFor();
    button("Their reply").click();
    assertThat(page.getByText("It stands with its message now.")).isVisible();
    button("It answers nothing of ours").click();
    assertThat(page.getByText("Nothing to place.")).isVisible();
    assertNoComplaints();
  }

  @Test
  public void aReaderSeesEverythingAndIsToldWhyNothingCanBeChanged() {
    signIn("reed");
    page.navigate(home + "/people");
    rows().first().click();
    assertThat(page.getByText(NOT_WRITING).first()).isVisible();
    press("Space");
    assertThat(page.getByText(NOT_WRITING).last()).isVisible();
    page.navigate(home + "/templates");
    assertThat(page.getByText("Season opening")).isVisible();
    assertThat(button("New template")).hasCount(0);
    openDraft(page);
    assertThat(subject(page)).hasAttribute("contenteditable", "false");
    assertThat(page.getByText(Pattern.compile("^Release \\d"))).hasCount(0);
    assertNoComplaints();
  }

  @Test
  public void thingsAreFoundByTheirNameAndKeysAreListed() {
    signIn("orla");
    press("/");
    Locator finder = page.getByRole(AriaRole.DIALOG);
    page.keyboard().type("outb");
    press("Enter");
    page.waitForURL("**/outbox");
    press("/");
    String name = sql.sql("select name from person where id = 7").query(String.class).single();
    page.keyboard().type(name);
    assertThat(finder.getByRole(AriaRole.OPTION).getByText(name).first()).isVisible();
    finder.getByRole(AriaRole.OPTION).getByText(name).first().click();
    page.waitForURL("**/people/7");
    assertThat(page.getByRole(AriaRole.HEADING, named(name))).isVisible();
    press("?");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("write to the picked");
    assertAccessible("keys");
    press("Escape");
    assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    assertNoComplaints();
  }

  @Test
  public void aTemplateIsWrittenByKeyboardAndAMistakeIsNamed() {
    signIn("tomas");
    page.navigate(home + "/templates/new");
    page.getByLabel("Name of the template").fill("Kit dinghy, second word");
    subject(page).click();
    page.keyboard().type("The kit, {{first_name or \"friend\"}}");
    assertThat(subject(page).locator(".merge-field")).hasText("first name or “friend”");
    press("Enter");
    page.keyboard().type("Dear {{frist_name}},");
    button("Save").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("Did you mean first_name?");
    press("Control+a", "Delete");
    Locator body = page.getByRole(AriaRole.TEXTBOX, named("Message"));
    body.click();
    press("Control+a", "Delete");
    page.keyboard().type("Dear ");
    press("{");
    page.keyboard().type("first");
    press("Enter");
    button("Save").click();
    page.waitForURL(Pattern.compile(".*/templates/\\d+"));
    assertThat(page.getByText("“Kit dinghy, second word” is saved.")).isVisible();
    assertThat(
            sql.sql("select body from template where name = 'Kit dinghy, second word'")
                .query(String.class)
                .single())
        .isEqualTo("<p>Dear {{first_name}}</p>");
    assertAccessible("template");
  }

  @Test
  public void aSecondTabIsToldAndLosesNothing() {
    signIn("orla");
    openDraft(page);
    Page second = page.context().newPage();
    openDraft(second);
    subject(second).click();
    second.keyboard().press("End");
    second.keyboard().type(" (second tab)");
    assertThat(second.locator("[data-saved]")).hasText("saved");
    subject(page).click();
    press("End");
    page.keyboard().type(" (first tab)");
    assertThat(page.getByText(Pattern.compile("was changed elsewhere"))).isVisible();
    assertThat(subject(page)).containsText("(first tab)");
    button("Compare").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("(second");
    press("Escape");
    button("Keep mine").click();
    assertSaved();
    assertThat(subject(page)).containsText("(first tab)");
    subject(second).click();
    second.keyboard().press("End");
    second.keyboard().type(" (again)");
    second.getByText("Take theirs").click();
    assertThat(subject(second)).containsText("(first tab)");
    second.close();
  }

  @Test
  public void oneIsLeftOutAndTakenInAgainWithOneUndo() {
    signIn("orla");
    openDraft(page);
    Locator release = page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Release \\d+…")));
    String before = release.textContent();
    Locator first =
        page.getByRole(AriaRole.REGION, named("Who")).locator("li:not([aria-hidden])").first();
    first.hover();
    first.getByText("leave out").click();
    assertThat(release).not().hasText(before);
    button("Undo").click();
    assertThat(release).hasText(before);
  }

  @Test
  public void aDraftIsDiscardedAtOnceAndTakenBackWithOneUndo() {
    signIn("orla");
    long id =
        sql.sql("select id from cause where name = 'Dues, second word'").query(Long.class).single();
    page.navigate(home + "/mailings/" + id);
    button("More about this mailing").click();
    button("Discard this draft").click();
    page.waitForURL("**/mailings");
    Locator drafts = page.getByRole(AriaRole.REGION, named("Drafts"));
    assertThat(drafts.getByText("Dues, second word")).hasCount(0);
    button("Undo").click();
    page.waitForURL("**/mailings/" + id);
    assertThat(button("Release")).isVisible();
    assertNoComplaints();
  }

  private static final String SMALL =
      """
      () => [...document.querySelectorAll(
          'main button, main select, main input, dialog button, dialog input, [role=option]')]
        .filter((e) => e.getClientRects().length && !e.closest('p, td, th, .letter-body') &&
          !['checkbox', 'radio', 'color'].includes(e.type) && e.offsetHeight < 44)
        .map((e) => `${e.offsetHeight}: ${e.ariaLabel || e.textContent.trim().slice(0, 40)}`)
      """;

  /** Pick, write from a template, send: in one hand, each step looked at. */
  @Test
  public void theWholeJobFitsAPhone() {
    sql.sql("update workspace set hold_seconds = 600").update();
    page.setViewportSize(390, 844);
    signIn("orla");
    page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Desk"))).click();
    page.getByRole(AriaRole.LINK, named("People")).click();
    assertFitsAHand("the list");
    page.locator("tbody input[type=checkbox]").first().check();
    assertThat(page.getByText("1 picked")).isVisible();
    assertThat(page.getByRole(AriaRole.COMPLEMENTARY, named("Person"))).isHidden();
    rows().first().getByRole(AriaRole.BUTTON).click();
    assertThat(page.getByRole(AriaRole.COMPLEMENTARY, named("Person"))).isVisible();
    page.getByRole(AriaRole.BUTTON, named("Close")).click();
    assertThat(page.getByRole(AriaRole.COMPLEMENTARY, named("Person"))).isHidden();
    page.getByRole(AriaRole.REGION, named("Picked")).getByText("Write to them").click();
    assertFitsAHand("what to begin from");
    page.getByRole(AriaRole.DIALOG).getByText("Gentle nudge").click();
    page.waitForURL(Pattern.compile(".*/mailings/\\d+"));
    assertFitsAHand("the mailing");
    page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Release 1…"))).click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Release 1 message?");
    assertFitsAHand("the release");
    page.getByRole(AriaRole.DIALOG)
        .getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName(Pattern.compile("^Release \\d")))
        .click();
    page.getByRole(AriaRole.BUTTON, named("Under way")).click();
    page.getByRole(AriaRole.BUTTON, named("Take back")).click();
    assertThat(page.getByText(Pattern.compile("^Taken back"))).isVisible();
    assertNoComplaints();
  }

  private void assertFitsAHand(String step) {
    page.waitForTimeout(300);
    assertThat((List<?>) page.evaluate(SMALL)).as("too small for a thumb: " + step).isEmpty();
    assertThat(((Number) page.evaluate("document.documentElement.scrollWidth")).intValue())
        .as("width of " + step)
        .isLessThanOrEqualTo(390);
  }

  @Test
  public void everyScreenIsReadableInTheDarkAndFitsAPhone() {
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
    signIn("orla");
    for (String screen : screens()) {
      page.setViewportSize(1280, 800);
      page.navigate(home + screen);
      page.waitForTimeout(500);
      assertReadable(screen + " in the dark");
      page.setViewportSize(390, 844);
      Object wide =
          page.evaluate(
              "new Promise(shown => requestAnimationFrame(() => requestAnimationFrame(shown)))"
                  + ".then(() => document.documentElement.scrollWidth)");
      assertThat(((Number) wide).intValue()).as("width of " + screen).isLessThanOrEqualTo(390);
    }
  }
}
