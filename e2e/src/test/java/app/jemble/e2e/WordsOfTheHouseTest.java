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
    assertThat(page.getByText("None match.")).isVisible();
    assertAccessible("tasks by kinds");
    page.navigate(home + "/desk");
    assertAccessible("the desk");
    page.navigate(home + "/settings/topics");
  }

  private Locator office() {
    return page.getByRole(AriaRole.COMBOBOX, named("Office"));
  }

  /** "Officers" is a group one writes to: named here, found from here. */
  @Test(dependsOnMethods = "aKindOfTaskIsAddedAndAskedFor")
  public void anOfficeIsNamedHeldAndFoundByItsGroup() {
    Locator offices = panel("Offices");
    offices.getByLabel("Another office").fill("Beacon keeper");
    press("Enter");
    page.getByLabel("Group of Beacon keeper").fill("Keepers of lights");
    press("Enter");
    Locator groups = panel("Groups of offices");
    assertThat(groups.getByText("nobody today")).isVisible();
    page.navigate(home + "/people/5");
    button("Add an office").click();
    assertThat(office()).containsText("Beacon keeper");
    office().selectOption("Beacon keeper");
    button("Add the office").click();
    assertThat(page.getByText("holds the office.")).isVisible();
    page.navigate(home + "/settings/topics");
    page.getByRole(AriaRole.LINK, named("Find the 1 of Keepers of lights")).click();
    assertThat(page.getByRole(AriaRole.ROW)).hasCount(2);
    assertThat(page.getByText("Keepers of lights").first()).isVisible();
    itEndsForAllOfThem();
    page.navigate(home + "/settings/topics");
    page.getByLabel("Rename Keepers of lights").click();
    page.getByLabel("New name of Keepers of lights").fill("Lamps");
    press("Enter");
    assertThat(page.getByLabel("Group of Beacon keeper")).hasValue("Lamps");
  }

  /** Looked at before, and taken back after. */
  private void itEndsForAllOfThem() {
    page.getByText("all 1").click();
    page.getByRole(AriaRole.BUTTON, named("Office").setExact(true)).click();
    office().selectOption("Beacon keeper");
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog).containsText("All of them hold it on that day already.");
    page.getByLabel("What is done").selectOption("END_OFFICE");
    assertThat(dialog).containsText("All of them hold it on that day.");
    assertAccessible("an office of many");
    button("End it for them").click();
    assertThat(page.getByText("Ended the office of Beacon keeper")).isVisible();
    button("Undo").click();
    assertThat(page.getByText("Taken back: Ended the office")).isVisible();
  }

  @Test(dependsOnMethods = "anOfficeIsNamedHeldAndFoundByItsGroup")
  public void aPlanIsGivenUpByThoseToCome() {
    Locator plans = panel("Plans");
    page.getByLabel("Stop using Sail").click();
    assertThat(plans.getByText("not used any more")).isVisible();
    page.setViewportSize(390, 844);
    assertAccessible("words of the house on a phone");
    assertNoComplaints();
  }
}
