package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** "E-mail, else a letter", from the bench to what was posted. */
public class LettersTest extends BrowserTest {

  private long mailing;
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
    long ada = addPerson("Ada", "Post", "ada@post.example");
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
    mailing =
        draft(List.of(ada, bo), "The quay", "<p>Dear {{first_name}},</p><p>it is closed.</p>");
  }

  @Test
  public void whomNoMailReachesGetsALetter() {
    page.navigate(home + "/mailings/" + mailing);
    Locator ways = page.getByRole(AriaRole.GROUP, named("Ways"));
    ways.getByText("+ post").click();
    assertThat(ways).containsText("e-mail 1");
    assertThat(ways).containsText("post 1");
    // All that the mail says is proposed.
    Locator letter = page.getByRole(AriaRole.REGION, named("Letter on paper"));
    assertThat(letter).containsText("it is closed.");
    assertThat(page.locator("[data-pages]")).hasText("1 letter of 1 page: 1 sheet");
    Locator who = page.getByRole(AriaRole.REGION, named(Pattern.compile("Who.*")));
    page.getByText("ready by post").click();
    assertThat(who.getByText("Ada Post")).hasCount(0);
    page.getByRole(AriaRole.REGION, named(Pattern.compile("Who.*"))).getByText("Bo Post").click();
    assertThat(page.locator("[data-proof-to]"))
        .hasText("To Bo Post, by post to 4 Quay Lane, LOWEN QUAY, TR19 6AB");
    Locator sheet = page.locator("[data-proof-sheet]");
    assertThat(sheet)
        .hasAttribute(
            "alt", Pattern.compile("Bo Post\\n4 Quay Lane.*it is closed.", Pattern.DOTALL));
    assertThat(sheet).hasJSProperty("complete", true);
    assertThat((Integer) sheet.evaluate("image => image.naturalWidth")).isGreaterThan(1000);
    assertSaved();
    assertAccessible("a letter on the bench");
  }

  @Test(dependsOnMethods = "whomNoMailReachesGetsALetter")
  public void itIsPrintedFromTheOutbox() throws IOException {
    press("Control+Enter");
    releaseByEnter();
    Eventually.holds(() -> assertThat(messageValue(mailing, bo, "state")).isEqualTo("waiting"));
    page.navigate(home + "/outbox");
    Locator letters = page.getByRole(AriaRole.REGION, named("Letters of Test mailing"));
    assertThat(letters).containsText("1 letter to print");
    assertThat(page.getByText("on paper, to print or post").first()).isVisible();
    letters.getByRole(AriaRole.BUTTON).getByText("Print 1 letter").click();
    assertThat(letters).containsText("1 letter on 1 page, not posted yet");
    String path = letters.getByText("Open these pages").getAttribute("href");
    APIResponse printed = page.request().get(home + path);
    try (PDDocument document = Loader.loadPDF(printed.body())) {
      assertThat(new PDFTextStripper().getText(document)).contains("Dear Bo,", "4 Quay Lane");
    }
    assertAccessible("letters in the outbox");
  }

  @Test(dependsOnMethods = "itIsPrintedFromTheOutbox")
  public void whatIsPostedIsDone() throws IOException {
    button("Posted today").click();
    assertThat(page.getByText("1 letter posted.")).isVisible();
    assertThat(page.getByRole(AriaRole.REGION, named("Letters of Test mailing"))).hasCount(0);
    assertThat(messageValue(mailing, bo, "state")).isEqualTo("sent");
    page.navigate(home + "/people/" + bo);
    assertThat(page.getByText("Posted").first()).isVisible();
    String kept = page.getByText("as it was printed").getAttribute("href");
    try (PDDocument document = Loader.loadPDF(page.request().get(home + kept).body())) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      assertThat(new PDFTextStripper().getText(document)).contains("Dear Bo,", "it is closed.");
    }
  }
}
