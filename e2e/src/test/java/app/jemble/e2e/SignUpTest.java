package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.Mails;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.List;
import org.jsoup.Jsoup;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A sign-up page is made; somebody without scripts signs up by it and is on record. */
public class SignUpTest extends BrowserTest {

  private static final String ADDRESS = "nell@sign.example";

  @Override
  protected int people() {
    return 20;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void begin() {
    signIn("orla");
  }

  @Test
  public void aPageIsMadeAndItsProofFollows() {
    page.navigate(home + "/people");
    button("More ▾").click();
    page.getByText("Sign-up pages").click();
    button("New sign-up page").click();
    page.getByLabel("Name, for colleagues").fill("Harbour News!");
    assertThat(page.getByLabel("Its address ends with")).hasValue("harbour-news");
    page.getByLabel("Ask for one more field").selectOption("Last name");
    page.getByRole(AriaRole.TEXTBOX, named("Title")).fill("News of the harbour");
    var proof = page.frameLocator("iframe[title='The page as its readers see it']");
    assertThat(proof.getByRole(AriaRole.HEADING).first()).hasText("News of the harbour");
    assertThat(proof.getByLabel("Last name not required")).isVisible();
    button("Save").click();
    assertThat(page.getByText("“Harbour News!” is saved.")).isVisible();
    assertThat(page.getByRole(AriaRole.LINK, named(home + "/join/harbour-news"))).isVisible();
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "aPageIsMadeAndItsProofFollows")
  public void somebodyWithoutScriptsSignsUpOnAPhone() {
    BrowserContext phone =
        page.context()
            .browser()
            .newContext(
                new Browser.NewContextOptions()
                    .setJavaScriptEnabled(false)
                    .setViewportSize(390, 844)
                    .setLocale("en-GB"));
    try (phone) {
      Page reader = phone.newPage();
      reader.navigate(home + "/join/harbour-news");
      reader.keyboard().press("Tab");
      assertThat(reader.getByLabel("E-mail required")).isFocused();
      reader.keyboard().type(ADDRESS);
      reader.keyboard().press("Tab");
      reader.keyboard().type("Nell");
      // No person is as quick as this.
      reader.waitForTimeout(2100);
      reader.keyboard().press("Enter");
      assertThat(reader.getByRole(AriaRole.HEADING, heading("Look in your mail"))).isVisible();
      reader.navigate(confirmation());
      assertThat(reader.getByText(ADDRESS)).isVisible();
      reader.getByText("Yes, that is me").click();
      assertThat(reader.getByRole(AriaRole.HEADING, heading("Thank you"))).isVisible();
    }
    page.navigate(home + "/people/sign-ups");
    Locator row = page.getByRole(AriaRole.LINK, named(java.util.regex.Pattern.compile("Harbour")));
    assertThat(row).containsText("1 saw it · 1 began · 1 asked · 1 confirmed");
    row.click();
    button("Who signed up").click();
    page.getByText("Nell").first().click();
    assertThat(page.getByRole(AriaRole.REGION, named("Agreed to"))).containsText("version 1");
  }

  private static Page.GetByRoleOptions heading(String words) {
    return new Page.GetByRoleOptions().setName(words);
  }

  private String confirmation() {
    Eventually.holds(() -> assertThat(arrived()).hasSize(1));
    return Jsoup.parse(Mails.part(arrived().get(0), "text/html")).select("a").attr("href");
  }

  private List<jakarta.mail.internet.MimeMessage> arrived() {
    return office.delivered().stream()
        .filter(d -> d.to().equals(ADDRESS))
        .map(d -> d.message())
        .toList();
  }

  @DataProvider
  public Object[][] languagesAndWidths() {
    return new Object[][] {
      {"en", 1280}, {"de", 1280}, {"fr", 1280}, {"no", 1280}, {"es", 1280},
      {"en", 390}, {"de", 390}, {"fr", 390}, {"no", 390}, {"es", 390},
    };
  }

  @Test(
      dataProvider = "languagesAndWidths",
      dependsOnMethods = "somebodyWithoutScriptsSignsUpOnAPhone")
  public void everyPageOfItIsReadable(String language, int width) {
    page.setViewportSize(width, 800);
    // As many posts are taken of one address in a minute.
    clock.advance(Duration.ofMinutes(1));
    for (String path : List.of("?lang=", "/asked?lang=")) {
      page.navigate(home + "/join/harbour-news" + path + language);
      assertThat(page.locator("html")).hasAttribute("lang", language);
      assertAccessible(language + " " + path);
      assertFits();
    }
    page.navigate(home + "/join/harbour-news?lang=" + language);
    page.locator("main form button").click();
    assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
    assertAccessible(language + " to look over");
    page.waitForTimeout(2100);
    page.locator("main form button").click();
    assertThat(page.locator(".fault").first()).isVisible();
    assertAccessible(language + " with what is missing");
    assertFits();
    page.navigate(confirmation());
    assertAccessible("confirmed");
    page.setViewportSize(1280, 800);
  }

  private void assertFits() {
    assertThat((boolean) page.evaluate("document.body.scrollWidth <= window.innerWidth")).isTrue();
  }
}
