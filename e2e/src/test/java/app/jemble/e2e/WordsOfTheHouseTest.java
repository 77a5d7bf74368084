package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import org.testng.annotations.Test;

/** An administrator gives up a word of the house: it is offered no more, and stays where it is. */
public class WordsOfTheHouseTest extends BrowserTest {

  @Override
  protected int people() {
    return 20;
  }

  private Locator panel(String name) {
    return page.getByRole(AriaRole.REGION, named(name));
  }

  @Test
  public void aTopicIsGivenUpAndTakenUpAgain() {
    signIn("wilma");
    page.navigate(home + "/settings/topics");
    Locator topics = panel("Topics");
    String topic = topics.getByRole(AriaRole.LISTITEM).nth(1).locator("span").first().innerText();
    page.getByLabel("Stop using " + topic).click();
    assertThat(topics.getByText("not used any more")).isVisible();
    assertAccessible("words of the house");
    page.navigate(home + "/templates/new");
    assertThat(page.getByLabel("Topic")).not().containsText(topic);
    page.navigate(home + "/settings/topics");
    page.getByLabel("Use " + topic + " again").click();
    assertThat(topics.getByText("not used any more")).hasCount(0);
    assertThat(page.getByLabel("Stop using " + topic)).isVisible();
  }

  @Test(dependsOnMethods = "aTopicIsGivenUpAndTakenUpAgain")
  public void aKindOfTaskIsAddedAndAskedFor() {
    Locator kinds = panel("Kinds of tasks");
    kinds.getByLabel("Another kind").fill("visit");
    press("Enter");
    assertThat(kinds.getByText("visit").first()).isVisible();
    for (int place = 2; place >= 0; place--) {
      page.getByLabel("Move visit up").click();
      assertThat(kinds.getByRole(AriaRole.LISTITEM).nth(place)).containsText("visit");
    }
    page.navigate(home + "/tasks");
    assertThat(button("Mine: call")).isVisible();
    button("Mine: visit").click();
    assertThat(button("Mine: visit")).hasAttribute("aria-pressed", "true");
    assertThat(page.getByRole(AriaRole.ROW)).hasCount(1);
    assertAccessible("tasks by kinds");
    page.navigate(home + "/desk");
    assertAccessible("the desk");
    page.navigate(home + "/settings/topics");
  }

  @Test(dependsOnMethods = "aKindOfTaskIsAddedAndAskedFor")
  public void aPlanIsGivenUpByThoseToCome() {
    Locator plans = panel("Plans");
    page.getByLabel("Stop using Sail").click();
    assertThat(plans.getByText("not used any more")).isVisible();
    page.setViewportSize(390, 844);
    assertAccessible("words of the house on a phone");
    assertNoComplaints();
  }
}
