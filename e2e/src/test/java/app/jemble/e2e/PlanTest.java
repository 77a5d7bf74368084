package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * A mailing planned in waves towards a day, released, taken back, held back, changed, withdrawn.
 */
public class PlanTest extends BrowserTest {

  private static final Pattern TO_DEPART = Pattern.compile("^\\d+ to leave\\.$");
  private long draft;

  @Override
  protected int people() {
    return 800;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void openTheDraft() {
    sql.sql("update workspace set hold_seconds = 600").update();
    sql.sql("delete from day_off").update();
    draft =
        sql.sql("select id from cause where name = 'Dues, second word'").query(Long.class).single();
    signIn("orla");
    page.navigate(home + "/mailings/" + draft);
    assertThat(sheet().getByText(Pattern.compile("\\d+ messages"))).isVisible();
    button("Open Leaves").click();
    assertThat(sheet().getByText(Pattern.compile("^The last leaves"))).isVisible();
  }

  private Locator sheet() {
    return page.getByRole(AriaRole.REGION, named("Leaves"));
  }

  private Locator underWay() {
    return page.getByRole(AriaRole.REGION, named("Under way"));
  }

  private static Page.GetByLabelOptions exactly() {
    return new Page.GetByLabelOptions().setExact(true);
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneId.of("Europe/London"));
  }

  @Test
  public void aPlanIsMadeInWavesTowardsADay() {
    page.getByLabel("Pace", exactly()).selectOption("waves");
    page.getByLabel("People in a wave", exactly()).fill("1");
    page.getByLabel("From one wave to the next", exactly()).fill("2");
    page.getByLabel("Unit", exactly()).selectOption("hours");
    button("at any time").click();
    Locator hours = page.getByRole(AriaRole.DIALOG, named("Sending hours"));
    hours.getByLabel("in these hours").check();
    hours.getByLabel("Sat", new Locator.GetByLabelOptions().setExact(true)).check();
    hours.getByLabel("Mon to", new Locator.GetByLabelOptions().setExact(true)).fill("12:00");
    press("Tab", "Escape");
    assertThat(page.getByRole(AriaRole.BUTTON, named("Mon 09:00–12:00, Tue–Sat 09:00–17:00")))
        .isVisible();
    page.getByLabel("Done by", exactly()).fill("in 2 days");
    assertThat(sheet().getByText(Pattern.compile("^That is .* too late"))).isVisible();
    assertThat(page.getByText("would leave after the day by which it should be done")).isVisible();
    assertAccessible("run sheet");
  }

  @Test(dependsOnMethods = "aPlanIsMadeInWavesTowardsADay")
  public void whatWouldDoItIsOneClickAway() {
    page.getByLabel("Done by", exactly()).fill("in 9 days");
    Locator enough =
        sheet()
            .getByRole(AriaRole.BUTTON)
            .filter(byText("^Make the waves larger: \\d+ at a time would do$"));
    enough.click();
    assertThat(sheet().getByText(Pattern.compile("before your day ends"))).isVisible();
    assertThat(sheet().getByText(Pattern.compile("^Held back by the hours"))).isVisible();
    assertSaved();
  }

  @Test(dependsOnMethods = "whatWouldDoItIsOneClickAway")
  public void theBarsAreReadByKeysAndInATable() {
    Locator bars =
        sheet().getByRole(AriaRole.GROUP, group("When messages leave, in bars; the arrow keys.*"));
    bars.focus();
    press("ArrowRight");
    assertThat(bars.getByText(Pattern.compile("\\d{2}:00 to \\d{2}:00: .*messages?"))).isVisible();
    press("ArrowRight", "ArrowLeft");
    long planned =
        sheet().locator("table tbody tr td:nth-child(3)").allInnerTexts().stream()
            .mapToLong(Long::parseLong)
            .sum();
    assertThat(sheet().getByText(Pattern.compile("; " + planned + " messages in .* waves")))
        .isVisible();
  }

  private static Locator.GetByRoleOptions group(String name) {
    return new Locator.GetByRoleOptions().setName(Pattern.compile(name));
  }

  @Test(dependsOnMethods = "theBarsAreReadByKeysAndInATable")
  public void theBenchHasRoomToWrite() {
    button("Fold Leaves").click();
    assertRoomToWrite(1280, 800, 330);
    assertRoomToWrite(1024, 700, 260);
    page.setViewportSize(1280, 800);
    page.reload();
    assertThat(button("Open Leaves")).isVisible();
    button("Open Leaves").click();
    page.reload();
    assertThat(button("Fold Leaves")).isVisible();
  }

  /** With a plan, and with something that the check found. */
  private void assertRoomToWrite(int width, int height, int least) {
    page.setViewportSize(width, height);
    assertThat(page.getByText(Pattern.compile("things? (to look at|stops? the release)")))
        .isVisible();
    double high =
        ((Number)
                page.getByRole(AriaRole.TEXTBOX, named("Message"))
                    .locator("..")
                    .evaluate("box => box.clientHeight"))
            .doubleValue();
    org.assertj.core.api.Assertions.assertThat(high)
        .as("px of text at %d × %d", width, height)
        .isGreaterThanOrEqualTo(least);
  }

  @Test(dependsOnMethods = "theBenchHasRoomToWrite")
  public void aPlanIsTypedAsASentence() {
    assertThat(page.getByText(Pattern.compile("^\\d+ messages? in"))).isVisible();
    press("d");
    Locator box = page.getByLabel("The plan as a sentence");
    box.fill("soonish");
    press("Enter");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("“soonish” is not understood");
    box.fill("tomorrow 9 Lisbon time, 20 every 3 hours, Mon-Sat 9-17, by " + today().plusDays(9));
    press("Enter");
    assertThat(sheet().getByText(Pattern.compile("09:00 Lisbon time, 20 every 3 hours")))
        .isVisible();
    assertThat(page.getByLabel("The place whose time it is")).hasValue("Europe/Lisbon");
    assertSaved();
    press("d");
    assertThat(box)
        .hasValue(
            Pattern.compile("09:00 Lisbon time, 20 every 3 hours, Mon–Sat 09:00–17:00, done by"));
    press("Escape");
    assertThat(box).isHidden();
  }

  private static Locator.FilterOptions byText(String pattern) {
    return new Locator.FilterOptions().setHasText(Pattern.compile(pattern));
  }

  @Test(dependsOnMethods = "aPlanIsTypedAsASentence")
  public void itIsReleasedTakenBackAndReleased() {
    release();
    button("Take back").click();
    assertThat(page.getByText("Taken back: nothing has left")).isVisible();
    assertThat(sheet()).isVisible();
    sql.sql("update workspace set hold_seconds = 0").update();
    page.reload();
    assertThat(sheet().getByText(Pattern.compile("^The last leaves"))).isVisible();
    release();
    assertThat(underWay().getByText(Pattern.compile("^\\d+ of \\d+ gone"))).isVisible();
    assertThat(underWay().getByRole(AriaRole.GROUP, group("When messages leave.*"))).isVisible();
    Locator stand = page.getByRole(AriaRole.GROUP, named("Where the messages stand"));
    assertThat(stand.getByText("to leave")).isVisible();
    assertThat(page.getByText("ready to go")).isHidden();
  }

  private void release() {
    button("Release").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog)
        .containsText(Pattern.compile("They leave from .* in \\d+ waves, London time"));
    press("Enter");
    assertThat(underWay()).isVisible();
  }

  @Test(dependsOnMethods = "itIsReleasedTakenBackAndReleased")
  public void itIsPausedAndTheOutboxSaysSo() {
    underWay().getByRole(AriaRole.BUTTON, role("Pause")).click();
    assertThat(underWay().getByRole(AriaRole.HEADING)).hasText("Paused");
    underWay().getByText("Outbox").click();
    Locator first = rows().first();
    assertThat(first).containsText("held");
    assertThat(first).containsText("paused by Orla Finch");
    clock.advance(Duration.ofDays(1));
    page.goBack();
    underWay().getByRole(AriaRole.BUTTON, role("Resume")).click();
    assertThat(underWay().getByRole(AriaRole.HEADING)).hasText("Under way");
  }

  private static Locator.GetByRoleOptions role(String name) {
    return new Locator.GetByRoleOptions().setName(name).setExact(true);
  }

  @Test(dependsOnMethods = "itIsPausedAndTheOutboxSaysSo")
  public void thePaceOfTheRestIsChanged() {
    underWay().getByRole(AriaRole.BUTTON, role("Change the rest")).click();
    Locator dialog = page.getByRole(AriaRole.DIALOG, named("What has not left yet"));
    dialog.getByLabel("Start", new Locator.GetByLabelOptions().setExact(true)).selectOption("at");
    dialog
        .getByLabel("Day it starts", new Locator.GetByLabelOptions().setExact(true))
        .fill("in 20 days");
    dialog.getByLabel("Time it starts", new Locator.GetByLabelOptions().setExact(true)).fill("9");
    dialog.getByLabel("Done by", new Locator.GetByLabelOptions().setExact(true)).fill("");
    dialog.getByLabel("Pace", new Locator.GetByLabelOptions().setExact(true)).selectOption("once");
    assertThat(dialog.getByText(Pattern.compile("^The last leaves"))).isVisible();
    assertAccessible("changing the rest");
    dialog.getByRole(AriaRole.BUTTON, role("Use this plan for the rest")).click();
    assertThat(page.getByText(Pattern.compile("leave by the new plan"))).isVisible();
    underWay().getByText("Outbox").click();
    assertThat(rows().first()).containsText(", 09:00");
    assertThat(page.getByText(TO_DEPART)).isVisible();
  }

  @Test(dependsOnMethods = "thePaceOfTheRestIsChanged")
  public void oneIsSentNowAndTheRestWithdrawn() {
    Locator first = rows().first();
    first.getByText("Send now").click();
    assertThat(page.getByText(Pattern.compile("message leaves now"))).isVisible();
    page.goBack();
    underWay().getByRole(AriaRole.BUTTON, role("Withdraw the rest")).click();
    assertThat(underWay().getByRole(AriaRole.HEADING)).hasText("Withdrawn");
    assertThat(underWay().getByText(Pattern.compile("\\d+ withdrawn"))).isVisible();
    underWay().getByText("Outbox").click();
    assertThat(rows().first()).containsText("withdrawn");
  }

  /** Half past twelve in London, when its hours are over, is half past eight in Halifax. */
  @Test(dependsOnMethods = "oneIsSentNowAndTheRestWithdrawn")
  public void hoursOnOwnClocksAreOneClickAway() {
    api.signIn("orla", "lowen-quay");
    long person = addPerson("Nell", "Overseas", "nell@overseas.example");
    sql.sql("update person set time_zone = 'America/Halifax' where id = ?").param(person).update();
    page.navigate(
        home + "/mailings/" + draft(List.of(person), "From across the sea", "<p>Hello</p>"));
    assertThat(page.getByText(Pattern.compile("^Proof 1 of 1"))).isVisible();
    press("d");
    page.getByLabel("The plan as a sentence")
        .fill("tomorrow 12:30, Mon-Sun 9-12, by " + today().plusDays(1));
    press("Enter");
    sheet().getByText(Pattern.compile("^Keep the hours on each person’s own clock")).click();
    assertThat(sheet().getByText(Pattern.compile("^Keep the hours"))).isHidden();
    assertThat(sheet().getByText(Pattern.compile("^The last leaves .* 13:00"))).isVisible();
    assertThat(page.getByLabel("On whose clock the hours are")).hasValue("true");
    assertSaved();
    assertNoComplaints();
  }
}
