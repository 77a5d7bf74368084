package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Consent is shown with how it is known; a person is erased; what grows old is said before. */
public class PrivacyTest extends BrowserTest {

  private long bea;

  @Override
  protected int people() {
    return 20;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void write() {
    bea = addPerson("Bea", "Marker", "bea@marker.example");
    sql.sql(
            """
            with g as (
              insert into sign_up_page (key, name, words, languages, created_at, created_by)
              values ('row', 'Learn to row', '{}', '{en}', now(), 1) returning id)
            insert into sign_up (page_id, token, address, said, topics, language, consent,
                                 consent_version, asked_at, asked_from, confirmed_at,
                                 confirmed_from, person_id)
            select id, 'row-token', 'bea@marker.example', '{}', '{}', 'en',
                   'Yes, write to me about rowing.', 2, now(), '192.0.2.7', now(), '192.0.2.9', ?
            from g
            """)
        .param(bea)
        .update();
  }

  @Test
  public void itIsShownHowConsentIsKnown() {
    signIn("wilma");
    page.navigate(home + "/people/" + bea);
    assertThat(page.getByText("Yes, write to me about rowing.")).isVisible();
    assertThat(page.getByText("from 192.0.2.9")).isVisible();
    assertAccessible("a person with their consent");
  }

  @Test(dependsOnMethods = "itIsShownHowConsentIsKnown")
  public void aPersonIsErased() {
    button("Erase them…").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog).containsText("Sign-ups");
    Locator erase = button("Erase for good");
    assertThat(erase).isDisabled();
    page.getByRole(AriaRole.TEXTBOX, named("They asked for it on")).fill("1 Jan");
    dialog.getByText("This is the right person").click();
    assertAccessible("erasing");
    erase.click();
    page.waitForURL("**/settings/privacy");
    assertThat(page.getByText("They are erased. Certificate no. 1")).isVisible();
    Download paper =
        page.waitForDownload(() -> page.getByLabel("Download certificate no. 1").click());
    assertThat(paper.suggestedFilename()).isEqualTo("erasure-1.pdf");
    page.navigate(home + "/people/" + bea);
    assertThat(page.getByText("There is no such person any more.")).isVisible();
  }

  @Test(dependsOnMethods = "aPersonIsErased")
  public void whatGrowsOldIsSaidBefore() {
    page.navigate(home + "/settings/privacy");
    assertThat(page.getByText("all of it is kept for good")).isVisible();
    page.getByLabel("Copies of messages").fill("24");
    press("Enter");
    assertThat(page.getByText("no copies of messages")).isVisible();
    page.getByLabel("Copies of messages").fill("999");
    button("Save").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("from 1 to 600");
    page.reload();
    assertThat(page.getByLabel("Copies of messages")).hasValue("24");
    assertAccessible("privacy");
    page.setViewportSize(390, 844);
    assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
        .isLessThanOrEqualTo(390);
  }
}
