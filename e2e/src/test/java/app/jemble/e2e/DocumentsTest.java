package app.jemble.e2e;

import static app.jemble.core.document.TestDocument.choice;
import static app.jemble.core.document.TestDocument.merge;
import static app.jemble.core.document.TestDocument.paragraph;
import static app.jemble.core.document.TestDocument.run;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.core.document.TestDocument;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** A letter from a .docx, from the file to what was posted. */
public class DocumentsTest extends BrowserTest {

  private static final String TYPE =
      "application/vnd.openxmlformats-officedocument.wordprocessingml.document";

  private long bo;

  @Override
  protected int people() {
    return 5;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void begin() {
    signIn("orla");
    api.signIn("orla", "lowen-quay");
    sql.sql("update workspace set hold_seconds = 0").update();
    bo = addPerson("Bo", "Post", null);
    sql.sql(
            """
            update person
            set address_street = '4 Quay Lane', address_postcode = 'TR19 6AB',
                address_place = 'Lowen Quay', address_country = 'GB'
            where id = ?
            """)
        .param(bo)
        .update();
  }

  private static FilePayload letter(String more) {
    Map<String, byte[]> parts =
        TestDocument.of(
                paragraph(merge("AddressBlock"))
                    + paragraph(run("Dear ") + merge("FirstName") + run(","))
                    + paragraph(
                        choice(" IF ", merge("Hull"), " = \"\" \"No boat yet.\" \"A boat.\" "))
                    + more)
            .parts();
    return new FilePayload("Winter letter.docx", TYPE, TestDocument.file(parts));
  }

  @Test
  public void itIsBroughtInAndItsFieldsShowWhatTheyStandFor() {
    page.navigate(home + "/templates");
    page.getByLabel("A document to bring in").setInputFiles(letter(""));
    page.waitForURL(Pattern.compile(".*/documents/\\d+"));
    assertThat(page.getByLabel("Name of the document")).hasValue("Winter letter");
    assertThat(page.getByLabel("FirstName shows")).hasValue("first_name");
    assertThat(page.getByLabel("AddressBlock shows")).hasValue("address.lines");
    assertThat(page.getByLabel("Hull shows")).hasValue("");
    page.getByLabel("Hull shows").selectOption("organisation.name");
    page.getByLabel("FirstName otherwise").fill("friend");
    FrameLocator shown = page.frameLocator("[data-proof-document]");
    assertThat(shown.locator("body")).containsText("Dear «FirstName»,");
    assertAccessible("a document");
    button("Save").click();
    assertThat(button("Saved")).isVisible();
    page.getByLabel("The next version").setInputFiles(letter(paragraph(merge("Plan"))));
    assertThat(page.getByLabel("Plan shows")).hasValue("plan");
    button("Versions and use").click();
    assertThat(page.getByText("new: Plan")).isVisible();
    page.keyboard().press("Escape");
  }

  @Test(dependsOnMethods = "itIsBroughtInAndItsFieldsShowWhatTheyStandFor")
  public void aFileThatIsNoneIsRefusedWithASentence() {
    page.getByLabel("The next version")
        .setInputFiles(new FilePayload("x.docx", TYPE, new byte[] {1, 2}));
    assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("This is no .docx document");
  }

  @Test(dependsOnMethods = "aFileThatIsNoneIsRefusedWithASentence")
  public void lettersAreMadeOfItForWhoIsPicked() {
    page.navigate(home + "/people");
    page.getByRole(AriaRole.CHECKBOX, named("Pick Bo Post")).check();
    page.getByRole(AriaRole.REGION, named("Picked")).getByText("Letter").click();
    assertThat(page.getByLabel("As letters on paper, to print and post")).isChecked();
    page.getByRole(AriaRole.OPTION).getByText("Winter letter").click();
    page.waitForURL(Pattern.compile(".*/mailings/\\d+"));
    Locator letter = page.getByRole(AriaRole.REGION, named("Letter on paper"));
    assertThat(letter).containsText("Made of version 3");
    FrameLocator proof = page.frameLocator("[title='The document as Bo Post gets it']");
    assertThat(proof.locator("body")).containsText("4 Quay Lane");
    assertThat(proof.locator("body")).containsText("Dear Bo,");
    assertThat(proof.locator("body")).containsText("No boat yet.");
    assertSaved();
    assertAccessible("a letter of a document on the bench");
  }

  private static byte[] octets(Download file) {
    try (InputStream in = file.createReadStream()) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test(dependsOnMethods = "lettersAreMadeOfItForWhoIsPicked")
  public void theyArePrintedAndPosted() {
    press("Control+Enter");
    releaseByEnter();
    // Whoever leaves before the answer is in may have released nothing.
    assertThat(page.getByRole(AriaRole.REGION, named("Under way"))).isVisible();
    page.navigate(home + "/outbox");
    Locator letters = page.getByRole(AriaRole.REGION, named("Letters of Winter letter"));
    letters.getByRole(AriaRole.BUTTON).getByText("Print 1 letter").click();
    assertThat(letters).containsText("1 letter in one document, not posted yet");
    String path = letters.getByText("Download these letters").getAttribute("href");
    byte[] file = page.request().get(home + path).body();
    assertThat(TestDocument.text(TestDocument.parts(file), "word/document.xml"))
        .contains("Bo")
        .contains("No boat yet.")
        .doesNotContain("MERGEFIELD");
    letters.getByText("A file for each").click();
    page.getByLabel("Each is called").fill("{{first_name}} in winter");
    Download each = page.waitForDownload(() -> page.getByText("Download all in one .zip").click());
    assertThat(TestDocument.parts(octets(each)).keySet()).containsExactly("Bo in winter.docx");
    button("Posted today").click();
    assertThat(page.getByText("1 letter posted.")).isVisible();
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql("select state from message where person_id = ?")
                        .param(bo)
                        .query(String.class)
                        .list())
                .containsExactly("sent"));
  }
}
