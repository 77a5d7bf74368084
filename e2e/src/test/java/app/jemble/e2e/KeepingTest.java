package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.KeyboardModifier;
import com.microsoft.playwright.options.SelectOption;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * Keeping people: acts on many, one record, two colleagues at once, a merge, a file, a new field.
 */
public class KeepingTest extends BrowserTest {

  @Override
  protected int people() {
    return 600;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void open() {
    signIn("orla");
  }

  private Locator dialog() {
    return page.getByRole(AriaRole.DIALOG);
  }

  private Locator picked() {
    return page.getByRole(AriaRole.REGION, named("Picked"));
  }

  private long count(String where) {
    return sql.sql("select count(*) from person p where " + where).query(Long.class).single();
  }

  @Test
  public void manyAreTaggedListedAndGivenATaskAndItIsTakenBack() {
    page.navigate(home + "/people");
    Locator boxes = page.locator("tbody input[type=checkbox]");
    boxes.nth(1).check();
    boxes.nth(4).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
    assertThat(page.getByText("4 picked")).isVisible();
    // Another order, and the same people are picked.
    page.getByRole(AriaRole.COLUMNHEADER).getByText("Joined").click();
    assertThat(page.getByText("4 picked")).isVisible();
    picked().getByText("Tag").click();
    dialog().getByLabel("Tag", new Locator.GetByLabelOptions().setExact(true)).fill("regatta");
    press("Enter");
    assertThat(page.getByText("Tagged “regatta”: 4 people.")).isVisible();
    assertThat(count("'regatta' = any(tags)")).isEqualTo(4);
    page.getByRole(AriaRole.STATUS).getByText("Undo").click();
    assertThat(page.getByText(Pattern.compile("Taken back: Tagged"))).isVisible();
    assertThat(count("'regatta' = any(tags)")).isZero();
    picked().getByText("List").click();
    dialog().getByPlaceholder("Name of the list").fill("Regatta crew");
    dialog().getByText("Make the list and add them").click();
    assertThat(page.getByText("Put on the list “Regatta crew”: 4 people.")).isVisible();
    picked().getByText("Task").click();
    dialog().getByLabel("What is to be done").fill("Ask about the mast");
    press("Enter");
    assertThat(page.getByText("Made the task “Ask about the mast”: 4 people.")).isVisible();
    page.navigate(home + "/lists");
    assertThat(page.getByText("Regatta crew")).isVisible();
    assertAccessible("lists");
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "manyAreTaggedListedAndGivenATaskAndItIsTakenBack", alwaysRun = true)
  public void tasksAreDoneTogetherAndOpenAgain() {
    page.navigate(home + "/tasks");
    page.getByText("Ask about the mast").first().click();
    press("Space", "ArrowDown", "Space");
    assertThat(page.getByText("2 picked")).isVisible();
    picked().getByText("Mark done").click();
    assertThat(page.getByText("2 tasks are done.")).isVisible();
    page.getByRole(AriaRole.STATUS).getByText("Undo").click();
    assertThat(page.getByText("2 tasks are open again.")).isVisible();
    assertNoComplaints();
  }

  private void startChange(String label) {
    page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^" + label + ": .*Change$"))).click();
  }

  @Test(dependsOnMethods = "tasksAreDoneTogetherAndOpenAgain", alwaysRun = true)
  public void theSecondOfTwoColleaguesIsToldAndChooses() {
    long id = sql.sql("select min(id) from person where source is null").query(Long.class).single();
    page.navigate(home + "/people/" + id);
    startChange("Source");
    page.keyboard().type("Boat show");
    press("Enter");
    assertThat(page.getByText("Source is saved.")).isVisible();
    assertThat(page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Source: Boat show"))))
        .isFocused();
    // While the field is open here, Tomas changes it elsewhere.
    startChange("Source");
    page.keyboard().press("Control+a");
    page.keyboard().type("Open day");
    tomasChanges(id);
    press("Enter");
    assertThat(dialog()).containsText("Tomas Vance changed source meanwhile");
    assertThat(dialog()).containsText("Word of mouth");
    assertThat(dialog()).containsText("Open day");
    assertAccessible("two who change one field");
    dialog().getByText("Put mine over it").click();
    assertThat(page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Source: Open day"))))
        .isVisible();
    page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Take back “Changed Source of .*")))
        .first()
        .click();
    assertAccessible("taking a change back");
    dialog().getByText("Take it back").click();
    assertThat(page.getByText(Pattern.compile("^Taken back: Changed Source of"))).isVisible();
    assertThat(page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Source: Word of mouth"))))
        .isVisible();
    startChange("E-mail");
    page.keyboard().press("Control+a");
    page.keyboard().type("nobody@nowhere");
    press("Enter");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("such as bea@quay.example");
    press("Escape");
    assertNoComplaints();
  }

  private void tomasChanges(long id) {
    Api tomas = new Api(home);
    tomas.signIn("tomas", "lowen-quay");
    long version = tomas.get("/api/people/" + id).json().get("version").asLong();
    Map<String, Object> change = new HashMap<>();
    change.put("version", version);
    change.put("values", Map.of("source", "Word of mouth"));
    Api.Answer saved = tomas.put("/api/people/" + id, change);
    assertThat(saved.status()).as(saved.json().toString()).isEqualTo(200);
    assertThat(saved.json().get("act").isNull()).isFalse();
  }

  @Test(dependsOnMethods = "theSecondOfTwoColleaguesIsToldAndChooses", alwaysRun = true)
  public void twoRecordsBecomeOne() {
    long first = addPerson("Bo", "Lund", "bo@lund.example");
    long second = addPerson("Bo", "LUND", "bo@lund.example");
    sql.sql("update person set phone = '+44 7700 900777' where id = ?").param(second).update();
    page.navigate(home + "/people/" + first);
    assertThat(page.getByText("may be the same person: same e-mail.")).isVisible();
    page.getByText("Compare and merge").click();
    assertThat(dialog()).containsText("+44 7700 900777");
    assertAccessible("merging");
    dialog().getByText("Merge the records").click();
    assertThat(page.getByText("The two records are merged.")).isVisible();
    assertThat(page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Phone: \\+44 7700 900777"))))
        .isVisible();
    assertThat(count("id = " + second + " and merged_into = " + first)).isEqualTo(1);
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "twoRecordsBecomeOne", alwaysRun = true)
  public void aFileIsMappedCheckedTakenInAndTakenBack() {
    long before = count("true");
    page.navigate(home + "/people/import");
    String file =
        "Vorname;Surname;E-Mail;Town\nZoë;Sørli;zoe@sorli.example;Umeå\nIvo;Fenn;no address;Oslo\n";
    page.locator("input[type=file]")
        .setInputFiles(
            new FilePayload("harbour.csv", "text/csv", file.getBytes(StandardCharsets.UTF_8)));
    page.waitForURL(Pattern.compile(".*/people/import/\\d+"));
    assertThat(page.getByText("2 rows · UTF-8, semicolons between cells")).isVisible();
    page.getByLabel("Vorname goes into").selectOption(new SelectOption().setLabel("First name"));
    assertAccessible("import mapping");
    button("Check without changing anything").click();
    assertThat(page.getByText("E-mail takes one address")).isVisible();
    assertThat(count("true")).isEqualTo(before);
    assertAccessible("import checked");
    button("Take 1 in").click();
    assertThat(page.getByText("Done: 1 new, 0 changed.")).isVisible();
    assertThat(count("email = 'zoe@sorli.example' and first_name = 'Zoë'")).isEqualTo(1);
    button("Take the import back").click();
    assertThat(page.getByText("Taken back: everything is as it was before.")).isVisible();
    assertThat(count("true")).isEqualTo(before);
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "aFileIsMappedCheckedTakenInAndTakenBack", alwaysRun = true)
  public void aFieldOfTheWorkspaceIsAtOnceAColumnAndACondition() {
    page.context().clearCookies();
    signIn("wilma");
    page.navigate(home + "/settings/fields");
    button("New field").click();
    dialog().getByLabel("Label").fill("Hull colour");
    dialog()
        .getByLabel("What it holds")
        .selectOption(new SelectOption().setLabel("one of several"));
    dialog().getByLabel("Choices, one a line").fill("red\nblue");
    dialog().getByText("Add the field").click();
    assertThat(page.getByText("hull_colour")).isVisible();
    page.navigate(home + "/people");
    button("Columns").click();
    dialog().getByText("+ Hull colour").click();
    press("Escape");
    assertThat(page.getByRole(AriaRole.COLUMNHEADER).getByText("Hull colour")).isVisible();
    page.locator("tbody input[type=checkbox]").first().check();
    picked().getByText("Set a field").click();
    dialog().getByLabel("Field").selectOption(new SelectOption().setLabel("Hull colour"));
    dialog()
        .locator("select[aria-label='Hull colour']")
        .selectOption(new SelectOption().setLabel("blue"));
    dialog().getByText("Set it for 1 person").click();
    assertThat(rows().first()).containsText("blue");
    press("+");
    page.keyboard().type("Hull");
    press("Enter");
    dialog().getByLabel("blue").check();
    assertThat(rows()).hasCount(1);
    assertNoComplaints();
  }
}
