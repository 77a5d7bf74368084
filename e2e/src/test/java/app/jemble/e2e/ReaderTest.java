package app.jemble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Who may only look is offered nothing, by keys or by buttons, that ends in a refusal. */
public class ReaderTest extends BrowserTest {

  /** Every key that does something where one may write. */
  private static final List<String> KEYS =
      List.of("w", "t", "o", "a", "s", "b", "d", "n", "p", "Enter", "Control+a", "Control+Enter");

  /** What buttons say that change something. */
  private static final Pattern CHANGES =
      Pattern.compile(
          "^(New |Add |Write|Release|Delete|Remove|Archive|Tag|Set |Task$|Mark|Move|Import|Save|Done$"
              + "|Withdraw|Pause|Resume|Take |Send|Use again|Make|Merge|Copy to me|Discard|Answer)");

  private final List<String> refused = new ArrayList<>();

  @Override
  protected int people() {
    return 120;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void signInToLook() {
    page.onResponse(
        response -> {
          if (response.status() == 403) {
            refused.add(response.request().method() + " " + response.url());
          }
        });
    signIn("reed");
  }

  @Test
  public void nothingIsOfferedThatWouldBeRefused() {
    long draft = one("select min(id) from cause where kind = 'MAILING' and state = 'draft'");
    long sent = one("select min(cause_id) from message where state = 'sent'");
    api.signIn("orla", "lowen-quay");
    long labels = beginLabels(List.of(1L, 2L));
    List<String> offered = new ArrayList<>();
    for (String path :
        List.of(
            "desk",
            "people",
            "people/1",
            "quotes",
            "tasks",
            "lists",
            "templates",
            "templates/1",
            "letterheads",
            "mailings",
            "mailings/series",
            "mailings/" + draft,
            "mailings/" + sent,
            "outbox",
            "paper",
            "paper/" + labels,
            "responses",
            "responses/" + sent,
            "settings/sending",
            "settings/do-not-write")) {
      page.navigate(home + "/" + path);
      page.waitForTimeout(500);
      for (Locator button : page.locator("main").getByRole(AriaRole.BUTTON).all()) {
        String words = button.textContent().strip();
        if (button.isVisible() && button.isEnabled() && CHANGES.matcher(words).find()) {
          offered.add(path + ": " + words);
        }
      }
      for (String key : KEYS) {
        press(key);
      }
      // What is written saves itself half a second later, and that would be refused.
      page.waitForTimeout(path.startsWith("mailings/") ? 900 : 200);
      assertThat(page.locator("dialog[open]").count()).as("dialogs on " + path).isZero();
    }
    assertThat(offered).isEmpty();
    assertThat(refused).isEmpty();
  }

  private long one(String query) {
    return sql.sql(query).query(Long.class).single();
  }
}
