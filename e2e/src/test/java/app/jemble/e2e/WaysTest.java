package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.TextHouse;
import app.jemble.standins.text.MessageCentre;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** A mailing to sixty goes by text to those who can be texted, by mail to the others. */
public class WaysTest extends BrowserTest {

  private static final String PLACE = "Europe/London";
  private static final int TEXTED = 40;

  private final List<Long> people = new ArrayList<>();
  private MessageCentre centre;
  private long mailing;

  @Override
  protected List<String> moreSettings() {
    if (centre == null) {
      centre = new MessageCentre(0, TextHouse.USER, TextHouse.PASSWORD);
    }
    return TextHouse.through(centre.port());
  }

  @Override
  protected int people() {
    return 5;
  }

  private static String lastName(int place) {
    return "Way" + (char) ('a' + place / 26) + (char) ('a' + place % 26);
  }

  private static String number(int place) {
    return "+447700900" + (100 + place);
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void begin() {
    clock.toMonday(ZoneId.of(PLACE));
    for (int i = 0; i < 60; i++) {
      long id = addPerson("Ann", lastName(i), "ann" + i + "@ways.example");
      sql.sql("update person set phone = ?, time_zone = ? where id = ?")
          .params(Arrays.asList(i < TEXTED ? number(i) : null, PLACE, id))
          .update();
      people.add(id);
    }
    api.signIn("orla", "lowen-quay");
    mailing =
        draft(
            people,
            "The slipway",
            "<p>Dear {{first_name}}, it opens: <a href=\"https://quay.example/s\">see</a></p>");
    signIn("orla");
  }

  @AfterClass(alwaysRun = true)
  public void closeCentre() {
    centre.close();
  }

  private Locator group(String name) {
    return page.getByRole(AriaRole.GROUP, named(name));
  }

  @Test
  public void aWayIsAddedInOneActWithAllThatTheMailSays() {
    page.navigate(home + "/mailings/" + mailing);
    assertThat(page.getByText(Pattern.compile("^Proof 1 of 60"))).isVisible();
    page.getByText("+ text message").click();
    Locator text = page.getByRole(AriaRole.TEXTBOX, named("Text message"));
    assertThat(text).containsText("it opens: see: https://quay.example/s");
    assertThat(group("Ways")).containsText("text message 40");
    assertThat(group("Ways")).containsText("e-mail 20");
    assertThat(group("The audience")).containsText("40 ready by text");
    assertThat(group("The audience")).containsText("20 ready by e-mail");
  }

  @Test(dependsOnMethods = "aWayIsAddedInOneActWithAllThatTheMailSays")
  public void partsAndCostAreSeenWhileWriting() {
    Locator text = page.getByRole(AriaRole.TEXTBOX, named("Text message"));
    text.click();
    press("Control+End");
    page.keyboard().type(" It’s free.");
    Locator part = page.getByRole(AriaRole.REGION, named("Text message"));
    assertThat(part).containsText("40 texts");
    assertThat(part).containsText(Pattern.compile("£\\d+\\.\\d\\d to United Kingdom"));
    assertThat(part).containsText("“’” makes texts longer.");
    part.getByText("Send plain ones instead").click();
    assertThat(part).containsText("Plain characters");
    assertThat(page.locator("[data-proof-text]")).containsText("It's free.");
    assertThat(page.locator("[data-proof-text]")).containsText("Dear Ann, it opens");
    assertAccessible("a mailing by text");
  }

  @Test(dependsOnMethods = "partsAndCostAreSeenWhileWriting")
  public void itIsReleasedWithTheNumbersInTheQuestion() {
    sql.sql("update workspace set hold_seconds = 0").update();
    press("Control+Enter");
    Locator asked = page.getByRole(AriaRole.DIALOG);
    assertThat(asked).containsText("Release 60 messages?");
    assertThat(asked).containsText("40 by text, 20 by e-mail.");
    assertThat(asked).containsText("40 texts, 40 parts.");
    asked.getByText("Release 60").last().click();
    awaitSettled(mailing);
    Eventually.holds(() -> assertThat(centre.arrived()).hasSize(TEXTED));
    assertThat(centre.arrived().get(0).words()).contains("It's free.").contains("/l/");
    Eventually.holds(
        () ->
            assertThat(office.delivered().stream().filter(m -> m.to().endsWith("@ways.example")))
                .hasSize(60 - TEXTED));
  }

  @Test(dependsOnMethods = "itIsReleasedWithTheNumbersInTheQuestion")
  public void receiptsAnAnswerAndAStopArriveWhileOneLooks() {
    String message = messageValue(mailing, people.get(1), "id");
    page.navigate(home + "/responses/with/" + message);
    assertThat(page.getByText("Ann " + lastName(1)).first()).isVisible();
    centre.receipts(number(1), true);
    centre.writes(number(1), TextHouse.NUMBER.substring(1), List.of("Can I bring a friend?"));
    assertThat(page.getByText("Can I bring a friend?")).isVisible();
    assertThat(page.getByText("by text, delivered")).isVisible();
    page.getByLabel(Pattern.compile("^Answer to")).fill("Please do.");
    page.getByRole(AriaRole.BUTTON, named("Answer")).click();
    Eventually.holds(
        () ->
            assertThat(centre.arrived().stream().map(MessageCentre.Text::words))
                .contains("Please do."));
    assertAccessible("a conversation by text");
    centre.writes(number(2), TextHouse.NUMBER.substring(1), List.of("STOP"));
    Eventually.holds(
        () -> assertThat(messageValue(mailing, people.get(2), "standing")).isEqualTo("LEFT"));
  }

  @Test(dependsOnMethods = "receiptsAnAnswerAndAStopArriveWhileOneLooks")
  public void theLeavingPageClosesOnlyTexts() {
    String token = messageValue(mailing, people.get(3), "token");
    page.context().clearCookies();
    page.navigate(home + "/leave/" + token.substring(0, 12));
    Locator texts = page.getByRole(AriaRole.GROUP, named(Pattern.compile("^Text messages from")));
    Locator mails = page.getByRole(AriaRole.GROUP, named(Pattern.compile("^Mail from")));
    for (Locator box : texts.getByRole(AriaRole.CHECKBOX).all()) {
      box.uncheck();
    }
    button("Save my choice").click();
    assertThat(page.getByText("Your choice is saved")).isVisible();
    assertThat(mails.getByRole(AriaRole.CHECKBOX).first()).isChecked();
    assertThat(texts.getByRole(AriaRole.CHECKBOX).first()).not().isChecked();
    assertThat(
            sql.sql("select distinct channel from topic_left where person_id = ?")
                .param(people.get(3))
                .query(String.class)
                .list())
        .containsExactly("TEXT");
    assertAccessible("the leaving page of two ways");
  }
}
