package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.AppHouse;
import app.jemble.Eventually;
import app.jemble.TextHouse;
import app.jemble.standins.push.PretendApp;
import app.jemble.standins.push.PretendApps;
import app.jemble.standins.push.PushService;
import app.jemble.standins.text.MessageCentre;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.security.GeneralSecurityException;
import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** A mailing to sixty goes to the app of those who have it, else by text, else by mail. */
public class WaysTest extends BrowserTest {

  private static final String PLACE = "Europe/London";
  private static final int WITH_APP = 15;
  private static final int TEXTED = 25;

  private final List<Long> people = new ArrayList<>();
  private final List<PretendApp> apps = new ArrayList<>();
  private final List<PushService.Notice> notices = Collections.synchronizedList(new ArrayList<>());
  private MessageCentre centre;
  private PushService service;
  private PretendApps pretends;
  private long mailing;

  @Override
  protected List<String> moreSettings() {
    if (centre == null) {
      centre = new MessageCentre(0, TextHouse.USER, TextHouse.PASSWORD);
      service = new PushService(0);
      service.tells(notices::add);
      pretends = new PretendApps(service, Duration.ofSeconds(5), 7);
    }
    List<String> settings = new ArrayList<>(TextHouse.through(centre.port()));
    settings.addAll(AppHouse.through(service));
    return settings;
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
  public void begin() throws IOException {
    clock.toMonday(ZoneId.of(PLACE));
    for (int i = 0; i < 60; i++) {
      long id = addPerson("Ann", lastName(i), "ann" + i + "@ways.example");
      sql.sql("update person set phone = ?, time_zone = ? where id = ?")
          .params(Arrays.asList(i < WITH_APP + TEXTED ? number(i) : null, PLACE, id))
          .update();
      people.add(id);
    }
    api.signIn("orla", "lowen-quay");
    for (long id : people.subList(0, WITH_APP)) {
      String link = api.get("/api/people/" + id + "/app").json().get("link").asString();
      apps.add(pretends.install(link, "Phone"));
    }
    mailing =
        draft(
            people,
            "The slipway",
            "<p>Dear {{first_name}}, it opens: <a href=\"https://quay.example/s\">see</a></p>");
    signIn("orla");
  }

  @AfterClass(alwaysRun = true)
  public void closeServices() {
    centre.close();
    pretends.close();
    service.close();
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
    page.getByText("+ app").click();
    assertThat(page.getByRole(AriaRole.TEXTBOX, named("Title of the notice")))
        .containsText("The slipway");
    assertThat(page.getByRole(AriaRole.TEXTBOX, named("Text of the notice")))
        .containsText("it opens: see");
    assertThat(page.getByRole(AriaRole.TEXTBOX, named("Link of the notice")))
        .containsText("https://quay.example/s");
    assertThat(group("Ways")).containsText("app 15");
    assertThat(group("Ways")).containsText("text message 25");
    assertThat(group("Ways")).containsText("e-mail 20");
    assertThat(group("The audience")).containsText("15 ready in the app");
    assertThat(group("The audience")).containsText("25 ready by text");
    assertThat(group("The audience")).containsText("20 ready by e-mail");
    assertThat(page.locator("[data-proof-text]")).containsText("Dear Ann, it opens: see");
    assertThat(page.getByText("text 157 left")).isVisible();
    assertAccessible("a mailing to the app");
    whatARuleSaysIsReadInItsDialog();
  }

  private void whatARuleSaysIsReadInItsDialog() {
    button("Add a rule").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    dialog.getByText("+ text message").click();
    dialog
        .getByRole(AriaRole.TEXTBOX, new Locator.GetByRoleOptions().setName("Text message"))
        .click();
    page.keyboard().type("Are you coming, ");
    page.keyboard().press("{");
    page.keyboard().type("first name");
    page.keyboard().press("Enter");
    Locator read = dialog.locator("[data-read-by-phone]");
    assertThat(read).containsText("would read it by text");
    assertThat(read).containsText(Pattern.compile("Are you coming, [A-Z]"));
    dialog.getByText("Not now").click();
    assertThat(read).hasCount(0);
  }

  @Test(dependsOnMethods = "aWayIsAddedInOneActWithAllThatTheMailSays")
  public void partsAndCostAreSeenWhileWriting() {
    Locator text = page.getByRole(AriaRole.TEXTBOX, named("Text message"));
    text.click();
    press("Control+End");
    page.keyboard().type(" It’s free.");
    Locator part = page.getByRole(AriaRole.REGION, named("Text message"));
    page.getByText("Ann " + lastName(WITH_APP)).first().click();
    assertThat(part).containsText("25 texts");
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
    assertThat(asked).containsText("15 in the app, 25 by text, 20 by e-mail.");
    assertThat(asked).containsText("25 texts, 25 parts.");
    asked.getByText("Release 60").last().click();
    awaitSettled(mailing);
    Eventually.holds(() -> assertThat(centre.arrived()).hasSize(TEXTED));
    assertThat(centre.arrived().get(0).words()).contains("It's free.").contains("/l/");
    Eventually.holds(
        () ->
            assertThat(office.delivered().stream().filter(m -> m.to().endsWith("@ways.example")))
                .hasSize(60 - TEXTED - WITH_APP));
    Eventually.holds(() -> assertThat(notices).hasSize(WITH_APP));
  }

  @Test(dependsOnMethods = "itIsReleasedWithTheNumbersInTheQuestion")
  public void whoOpensTheAppIsSeen() throws IOException, GeneralSecurityException {
    String message = messageValue(mailing, people.get(0), "id");
    page.navigate(home + "/responses/with/" + message);
    assertThat(page.getByText("Dear Ann, it opens: see")).isVisible();
    for (PushService.Notice notice : List.copyOf(notices)) {
      if (notice.device().equals(apps.get(0).device())) {
        pretends.open(apps.get(0), apps.get(0).read(notice.body()));
      }
    }
    Eventually.holds(
        () -> assertThat(messageValue(mailing, people.get(0), "standing")).isEqualTo("OPENED"));
    page.navigate(home + "/people/" + people.get(0));
    Locator app = page.getByRole(AriaRole.REGION, named("Our app"));
    assertThat(app).containsText("Phone");
    app.getByText("Take off").click();
    assertThat(app).containsText("taken off by Orla Finch");
    Locator consent = page.getByRole(AriaRole.REGION, named("May be written to"));
    consent.getByText("Not any more…").nth(1).click();
    consent.getByLabel("How they said so").fill("on the telephone");
    consent.getByText("Note it").click();
    assertThat(consent).containsText("on the telephone, noted by Orla Finch");
    assertAccessible("somebody with the app");
    consent.getByText("Allow").click();
    assertThat(consent).not().containsText("on the telephone");
  }

  @Test(dependsOnMethods = "itIsReleasedWithTheNumbersInTheQuestion")
  public void receiptsAnAnswerAndAStopArriveWhileOneLooks() {
    String message = messageValue(mailing, people.get(WITH_APP + 1), "id");
    page.navigate(home + "/responses/with/" + message);
    assertThat(page.getByText("Ann " + lastName(WITH_APP + 1)).first()).isVisible();
    centre.receipts(number(WITH_APP + 1), true);
    centre.writes(
        number(WITH_APP + 1), TextHouse.NUMBER.substring(1), List.of("Can I bring a friend?"));
    assertThat(page.getByText("Can I bring a friend?")).isVisible();
    assertThat(page.getByText("by text, delivered")).isVisible();
    page.getByLabel(Pattern.compile("^Answer to")).fill("Please do.");
    page.getByRole(AriaRole.BUTTON, named("Answer")).click();
    Eventually.holds(
        () ->
            assertThat(centre.arrived().stream().map(MessageCentre.Text::words))
                .contains("Please do."));
    assertAccessible("a conversation by text");
    centre.writes(number(WITH_APP + 2), TextHouse.NUMBER.substring(1), List.of("STOP"));
    Eventually.holds(
        () ->
            assertThat(messageValue(mailing, people.get(WITH_APP + 2), "standing"))
                .isEqualTo("LEFT"));
  }

  @Test(dependsOnMethods = "receiptsAnAnswerAndAStopArriveWhileOneLooks")
  public void theLeavingPageClosesOnlyTexts() {
    String token = messageValue(mailing, people.get(WITH_APP + 3), "token");
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
                .param(people.get(WITH_APP + 3))
                .query(String.class)
                .list())
        .containsExactly("TEXT");
    assertAccessible("the leaving page of two ways");
  }
}
