package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.Mails;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * Writing once and saying the right thing to each: fields by key, a missing value found and mended,
 * proofs, words for one, a file, a copy received with that person's values.
 */
public class WritingTest extends BrowserTest {

  private long bea;
  private long dov;
  private long carmen;

  @Override
  protected int people() {
    return 60;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void beginWithThree() {
    bea = addPerson("Bea", "Writing", "bea@writing.example");
    dov = addPerson("Dov", "Writing", "dov@writing.example");
    carmen = addPerson("CARMEN", "Writing", "carmen@writing.example");
    sql.sql("update person set attributes = '{\"berth_name\": \"Kittiwake\"}' where id = ?")
        .param(bea)
        .update();
    signIn("orla");
    api.signIn("orla", "lowen-quay");
    page.navigate(home + "/mailings/" + draft(List.of(bea, dov, carmen), "", ""));
    assertThat(page.getByText(Pattern.compile("Proof 1 of 3"))).isVisible();
  }

  private Locator message() {
    return page.getByRole(AriaRole.TEXTBOX, named("Message"));
  }

  private Locator who() {
    return page.getByRole(AriaRole.REGION, named("Who"));
  }

  private FrameLocator shown() {
    return page.frameLocator("iframe");
  }

  @Test
  public void writesWithFieldsByKey() {
    assertThat(page.getByText("The message is empty.")).isVisible();
    page.getByRole(AriaRole.TEXTBOX, named("Subject")).click();
    page.keyboard().type("Is ");
    press("{");
    page.keyboard().type("berth");
    press("Enter");
    page.keyboard().type(" ready?");
    press("Enter");
    page.keyboard().type("Dear {");
    page.keyboard().type("first name");
    press("Tab", "Tab");
    page.keyboard().type("friend");
    press("Enter");
    page.keyboard().type(", see ");
    // Typed by hand it turns into the same part.
    press("{", "{");
    page.keyboard().type("number or \"your card\"}}");
    page.keyboard().type(".");
    assertThat(message().locator(".merge-field").first()).hasText("first name or “friend”");
    assertThat(message().locator(".merge-field").nth(1)).hasText("number or “your card”");
    assertSaved();
    assertAccessible("mailing while writing");
  }

  @Test(dependsOnMethods = "writesWithFieldsByKey")
  public void seesAMissingValueAndMendsItOnRecord() {
    button("Open what the check found").click();
    Locator notice =
        page.getByText("2 of 3 have no berth name; set a fallback, or leave them out.");
    assertThat(notice).isVisible();
    who().getByText("Dov Writing").click();
    // Until it has come, the proof of whoever was chosen before is shown.
    assertThat(page.locator("[data-proof-to]")).containsText("Dov Writing");
    page.getByRole(AriaRole.REGION, named(Pattern.compile("Proof.*")))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("berth name"))
        .click();
    assertThat(page.getByLabel("berth name of Dov Writing")).isFocused();
    page.keyboard().type("Petrel");
    press("Enter");
    assertThat(page.locator("[data-proof-subject]")).hasText("Is Petrel ready?");
    assertThat(page.getByText("1 of 3 has no berth name")).isVisible();
  }

  @Test(dependsOnMethods = "seesAMissingValueAndMendsItOnRecord")
  public void setsAFallbackForTheRest() {
    button("Set a fallback").click();
    page.keyboard().type("your boat");
    press("Enter");
    assertThat(page.getByRole(AriaRole.TEXTBOX, named("Subject")).locator(".merge-field"))
        .hasText("berth name or “your boat”");
    assertThat(page.getByText("no berth name;")).not().isVisible();
    who().getByText("CARMEN Writing").click();
    assertThat(page.locator("[data-proof-subject]")).hasText("Is your boat ready?");
  }

  @Test(dependsOnMethods = "setsAFallbackForTheRest")
  public void correctsANameAfterALook() {
    assertThat(page.getByText("1 person has a first name all in capitals.")).isVisible();
    button("Correct").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog.getByLabel("First name of CARMEN Writing")).hasValue("Carmen");
    dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Correct 1")).click();
    assertThat(page.getByText("Corrected the first name of 1 person.")).isVisible();
    assertThat(who().getByText("Carmen Writing")).isVisible();
    assertThat(page.getByText("all in capitals")).not().isVisible();
  }

  @Test(dependsOnMethods = "correctsANameAfterALook")
  public void stepsThroughProofsAndWritesOtherWordsForOne() {
    page.locator("main").click(new Locator.ClickOptions().setPosition(2, 2));
    for (String name : List.of("Bea", "Carmen", "Dov")) {
      who().getByText(name + " Writing").click();
      assertThat(shown().getByText(Pattern.compile("Dear " + name))).isVisible();
    }
    press("p", "p");
    assertThat(page.locator("[data-proof-to]")).containsText("Bea Writing");
    button("Change it for Bea only").click();
    assertThat(page.getByText("For Bea Writing alone.")).isVisible();
    message().click();
    press("Control+End");
    page.keyboard().type(" And do bring the new mast along.");
    assertThat(shown().getByText("And do bring the new mast along.")).isVisible();
    button("Compare").click();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("And do bring the new mast along.");
    press("Escape");
    button("Done").click();
    assertThat(message()).not().containsText("mast");
    assertThat(who().getByText("own wording", new Locator.GetByTextOptions().setExact(true)))
        .isVisible();
    press("n");
    assertThat(shown().getByText("mast")).not().isVisible();
  }

  @Test(dependsOnMethods = "stepsThroughProofsAndWritesOtherWordsForOne")
  public void isWarnedWhenTheSharedTextChangesAndGoesBack() {
    message().click();
    press("Control+End");
    page.keyboard().type(" Soon.");
    assertSaved();
    assertThat(page.getByText("1 person has words of their own, written before")).isVisible();
    who().getByText("Bea Writing").click();
    assertThat(page.getByText("The shared text has changed since.")).isVisible();
    button("Go back to the shared text").click();
    assertThat(page.getByText("Bea Writing gets the shared words again.")).isVisible();
    assertThat(shown().getByText("mast")).not().isVisible();
  }

  @Test(dependsOnMethods = "isWarnedWhenTheSharedTextChangesAndGoesBack")
  public void attachesAFileAndGetsACopyAsBeaWould() throws Exception {
    button("No attachment").click();
    page.getByLabel("Attach files")
        .setInputFiles(
            new FilePayload(
                "times.txt", "text/plain", "09:00 haul-out".getBytes(StandardCharsets.UTF_8)));
    page.getByLabel("Name of times.txt, as readers see it").fill("times for {{first_name}}.txt");
    press("Tab", "Escape");
    assertThat(page.getByText("times for Bea.txt")).isVisible();
    page.locator("main").click(new Locator.ClickOptions().setPosition(2, 2));
    press("t");
    assertThat(page.getByText("is on its way to orla@ternquay.example")).isVisible();
    Eventually.holds(
        () ->
            assertThat(office.mailbox("orla"))
                .anyMatch(m -> Mails.subject(m).equals("Is Kittiwake ready?")));
    MimeMessage copy =
        office.mailbox("orla").stream()
            .filter(m -> Mails.subject(m).equals("Is Kittiwake ready?"))
            .findFirst()
            .orElseThrow();
    assertThat(copy.getContentType()).contains("multipart/mixed");
    var parts = (jakarta.mail.Multipart) copy.getContent();
    assertThat(parts.getBodyPart(1).getFileName()).isEqualTo("times for Bea.txt");
    assertThat(parts.getBodyPart(1).getInputStream().readAllBytes())
        .isEqualTo("09:00 haul-out".getBytes(StandardCharsets.UTF_8));
  }

  @Test(dependsOnMethods = "attachesAFileAndGetsACopyAsBeaWould")
  public void whatIsPastedComesInCleanAndNothingRuns() {
    message().click();
    press("Control+End");
    page.evaluate(
        """
        html => {
          const data = new DataTransfer();
          data.setData('text/html', html);
          document.querySelector('[aria-label="Message"][role=textbox]').dispatchEvent(
            new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
        }
        """,
        """
        <style>*{color:red}</style><p class="MsoNormal" style="color:red" onclick="window.hit=1"><b>Pasted</b>
        <a href="javascript:window.hit=2">trap</a> <a href="https://quay.example">true</a></p>
        <script>window.hit = 3</script><img src=x onerror="window.hit=4">\
        """);
    assertThat(message().locator("strong").getByText("Pasted")).isVisible();
    assertThat(message().locator("a")).hasCount(1);
    assertThat(message().locator("[style], [class^=Mso], script, img")).hasCount(0);
    assertThat(shown().getByText("Pasted")).isVisible();
    assertThat(shown().locator("a[href^=javascript], script")).hasCount(0);
    assertThat(page.evaluate("window.hit ?? 0")).isEqualTo(0);
    assertThat(page.locator("iframe").first()).hasAttribute("sandbox", "");
  }

  @Test(dependsOnMethods = "whatIsPastedComesInCleanAndNothingRuns")
  public void aPassageForSomeIsABlockAndTheTextFormSaysTheSame() {
    message().click();
    press("Control+End", "Enter");
    page.keyboard().type("Only for members.");
    page.getByRole(AriaRole.BUTTON, named("More")).click();
    button("Passage for some").click();
    page.keyboard().press("Tab");
    page.getByRole(AriaRole.TEXTBOX, named("Which field")).fill("plan");
    press("Enter");
    assertThat(message().locator(".passage .passage-head")).hasText("only if plan");
    assertSaved();
    assertThat(shown().getByText("Only for members.")).not().isVisible();
    page.getByRole(AriaRole.BUTTON, named("More")).click();
    button("Show the text form").click();
    Locator source = page.getByLabel("Message, text form");
    assertThat(source).hasValue(Pattern.compile("\\{\\{#plan\\}\\}\\s*<p>Only for members\\.</p>"));
    source.fill(source.inputValue() + "\n<p>{{^plan}}For all others.{{/plan}}</p>");
    assertThat(shown().getByText("For all others.")).isVisible();
    button("Back to the letter").click();
    assertThat(message()).containsText("For all others.");
    source = page.getByLabel("Message, text form");
    assertThat(source).hasCount(0);
    assertSaved();
  }

  @Test(dependsOnMethods = "aPassageForSomeIsABlockAndTheTextFormSaysTheSame")
  public void aTemplateIsSeenOnItsLetterheadAndAnEarlierVersionComesBack() {
    page.navigate(home + "/templates");
    page.getByText("Gentle nudge").click();
    assertThat(page.getByText("the sender’s signature stands here")).isVisible();
    assertThat(shown().getByText("Orla Finch")).isVisible();
    page.getByRole(AriaRole.TEXTBOX, named("Subject")).click();
    press("End");
    page.keyboard().type(", please");
    button("Save").click();
    assertThat(page.getByText("“Gentle nudge” is saved.")).isVisible();
    button("Versions and use").click();
    assertAccessible("template");
    button("Compare").click();
    Locator then = page.getByRole(AriaRole.DIALOG, named("Then and now"));
    assertThat(then).containsText(", please");
    then.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Close")).click();
    button("Versions and use").click();
    button("Bring it back").click();
    assertThat(page.locator("[data-proof-subject]")).not().containsText("please");
    button("Save").click();
    assertThat(page.getByText("“Gentle nudge” is saved.").last()).isVisible();
    whatWouldLeaveAGapIsSaid();
  }

  private void whatWouldLeaveAGapIsSaid() {
    assertThat(page.locator("[data-gaps]")).hasCount(0);
    sql.sql("update person set source = null").update();
    page.getByRole(AriaRole.TEXTBOX, named("Subject")).click();
    press("End");
    page.keyboard().type(" {{source}} {{quote.total}}");
    assertThat(page.locator("[data-gaps]"))
        .containsText("Not known, and nothing stands in for it: source.");
    assertThat(page.getByText("Filled in when it is sent: quote total.")).isVisible();
  }

  @Test(dependsOnMethods = "aTemplateIsSeenOnItsLetterheadAndAnEarlierVersionComesBack")
  public void aLetterheadIsMadeAndSeenBeforeItIsSaved() {
    page.navigate(home + "/letterheads/new");
    page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Winter");
    page.getByLabel("behind the words above").fill("#334455");
    assertThat(shown().locator("td[style*='#334455']")).hasCount(1);
    page.getByLabel("words", new Page.GetByLabelOptions().setExact(true)).fill("#eeeeee");
    assertThat(page.getByText(Pattern.compile("can hardly be read"))).isVisible();
    page.getByLabel("words", new Page.GetByLabelOptions().setExact(true)).fill("#222222");
    button("Dark").click();
    assertAccessible("letterhead");
    button("Save").click();
    page.waitForURL("**/letterheads");
    assertThat(page.getByRole(AriaRole.LINK, named(Pattern.compile("^Winter")))).isVisible();
    Map<String, Object> kept =
        sql.sql("select band, ink from letterhead where name = 'Winter'").query().singleRow();
    assertThat(kept).containsEntry("band", "#334455").containsEntry("ink", "#222222");
    assertNoComplaints();
  }
}
