package app.jemble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.AppHouse;
import app.jemble.Eventually;
import app.jemble.TextHouse;
import app.jemble.standins.push.PretendApps;
import app.jemble.standins.push.PushService;
import app.jemble.standins.text.MessageCentre;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;

/** Takes the pictures of docs/screenshots from the demo's data; run by ./jemble shots. */
public class Shots extends BrowserTest {

  private static final int SETTLE_MILLIS = 1800;
  private static final String SLIPWAY =
      "<p>Dear {{first_name or \"friend\"}},</p><p>The slipway opens on Saturday at ten. Coffee’s"
          + " on us; tell us whether you come, there are forty places.</p>{{> signature}}";
  private static final String SLIPWAY_TEXT =
      "Dear {{first_name or \"friend\"}}, the slipway opens on Saturday at ten. Coffee’s on us!"
          + " Coming? https://ternquay.example/slipway";
  private static final Map<String, String> SLIPWAY_NOTICE =
      Map.of(
          "title", "The slipway opens on Saturday",
          "words",
              "{{first_name or \"Friend\"}}, it is at ten, and coffee’s on us. Are you coming?",
          "link", "https://ternquay.example/slipway");

  private MessageCentre centre;
  private PushService service;
  private PretendApps apps;

  @Override
  protected List<String> moreSettings() {
    if (centre == null) {
      centre = new MessageCentre(0, TextHouse.USER, TextHouse.PASSWORD);
      service = new PushService(0);
      apps = new PretendApps(service, Duration.ofDays(1), 7);
    }
    List<String> settings = new ArrayList<>(TextHouse.through(centre.port()));
    settings.addAll(AppHouse.through(service));
    return settings;
  }

  @AfterClass(alwaysRun = true)
  public void closeServices() {
    centre.close();
    apps.close();
    service.close();
  }

  @Override
  protected boolean demoSeries() {
    return true;
  }

  @Override
  protected int people() {
    return 1500;
  }

  /** Pictures are of the demo as it is. */
  @Override
  protected boolean isAnyDay() {
    return false;
  }

  @Test
  public void takeAll() {
    signIn("orla");
    shoot("desk");
    page.navigate(home + "/people");
    page.waitForTimeout(SETTLE_MILLIS);
    seek("members");
    filterPeople();
    shoot("people");
    page.navigate(home + "/people/" + personWithMuch());
    shoot("person");
    signUps();
    page.navigate(home + "/templates/1");
    shoot("template");
    page.navigate(home + "/mailings/" + id("Spring slipway reminder"));
    page.waitForTimeout(SETTLE_MILLIS);
    page.keyboard().press("n");
    shoot("mailing");
    letItRun();
    page.navigate(home + "/mailings/series/" + series("Renewals before summer"));
    shoot("series");
    letter();
    page.navigate(home + "/outbox");
    shoot("outbox");
    page.navigate(home + "/responses/" + id("Course places, autumn"));
    shoot("responses");
    threeWays();
    leaving();
    privacy();
    narrow();
  }

  private void filterPeople() {
    page.getByText("+ whose").click();
    page.keyboard().type("last visit");
    page.keyboard().press("Enter");
    page.locator("[role=dialog] input[data-first]").fill("2026-05-01");
    page.keyboard().press("Enter");
    page.getByText("+ and").click();
    page.keyboard().type("plan");
    page.keyboard().press("Enter");
    page.getByLabel("Oar").check();
    page.getByLabel("Sail").check();
    page.getByText("Done").click();
    page.waitForTimeout(SETTLE_MILLIS);
    rows().nth(3).click();
    page.keyboard().press("Space");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("Space");
  }

  private void signUps() {
    page.navigate(home + "/people/sign-ups");
    page.getByText("Trial sail").first().click();
    page.getByText("On a phone").click();
    shoot("sign-up");
  }

  /** To whom no mail reaches. */
  private void letter() {
    api.signIn("orla", "lowen-quay");
    List<Long> members =
        sql.sql(
                """
                select id from person
                where kind = 'member' and archived_at is null and address_place is not null
                  and address_street is not null and not asked_not
                order by email is not null, id
                limit 40
                """)
            .query(Long.class)
            .list();
    String body =
        "<p>Dear {{first_name or \"friend\"}},</p><p>the slipway opens on the first of March. Your"
            + " {{plan}} membership, number {{number}}, runs until {{renews_on}}.</p><p>Whoever"
            + " wants a boat lifted in before Easter tells the yard by the end of February.</p>"
            + "{{> signature}}";
    long mailing = draft(members, "The season ahead", body);
    Map<String, Object> named = new HashMap<>(change(mailing, "The season ahead", body));
    named.put("name", "The season ahead");
    named.put("picks", members);
    api.put("/api/mailings/" + mailing, named);
    page.navigate(home + "/mailings/" + mailing);
    page.getByText("+ post").click();
    page.getByText("ready by post").click();
    page.waitForTimeout(SETTLE_MILLIS);
    page.getByRole(AriaRole.REGION, named(Pattern.compile("Who.*")))
        .getByText("by post", new Locator.GetByTextOptions().setExact(true))
        .first()
        .click();
    page.waitForTimeout(SETTLE_MILLIS);
    shoot("letter");
  }

  /** A mailing to the app, else by text, else by mail; and what a reader writes back by text. */
  private void threeWays() {
    List<Long> people =
        sql.sql("select id from person where phone is not null and archived_at is null limit 40")
            .query(Long.class)
            .list();
    people.addAll(
        sql.sql("select id from person where phone is null and archived_at is null limit 20")
            .query(Long.class)
            .list());
    api.signIn("orla", "lowen-quay");
    withApp(people.subList(0, 15));
    long mailing = draft(people, "The slipway opens", SLIPWAY);
    Map<String, Object> change = change(mailing, "The slipway opens", SLIPWAY);
    change.put("name", "The slipway opens");
    change.put("ways", List.of("APP", "TEXT", "EMAIL"));
    change.put("text", Map.of("words", SLIPWAY_TEXT, "likeness", "NOWHERE"));
    change.put("notice", SLIPWAY_NOTICE);
    api.put("/api/mailings/" + mailing, change);
    page.navigate(home + "/mailings/" + mailing);
    button("Fold Leaves").click();
    shoot("ways");
    sql.sql("update workspace set hold_seconds = 0").update();
    sql.sql("update phone_rules set quiet_from = 0, quiet_to = 0").update();
    release(mailing);
    String number = awaitText();
    centre.receipts(number, true);
    centre.writes(
        number,
        TextHouse.NUMBER.substring(1),
        List.of("Lovely! Can I bring my sister and her boat?"));
    String message =
        sql.sql("select id from message where cause_id = ? and address = ?")
            .params(List.of(mailing, number))
            .query(String.class)
            .single();
    page.navigate(home + "/responses/with/" + message);
    page.getByText("Can I bring my sister").waitFor();
    page.getByLabel(Pattern.compile("^Answer to")).fill("Please do, there is room for two more.");
    shoot("conversation");
  }

  private void withApp(List<Long> some) {
    for (long id : some) {
      String link = api.get("/api/people/" + id + "/app").json().get("link").asString();
      try {
        apps.install(link, "Phone");
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  private String awaitText() {
    Eventually.holds(() -> assertThat(centre.arrived()).isNotEmpty());
    return centre.arrived().get(0).to();
  }

  /** Released in waves over some mornings, and held for a moment. */
  private void letItRun() {
    page.navigate(home + "/mailings/" + id("Spring slipway reminder"));
    button("Open Leaves").click();
    page.getByLabel("People in a wave").fill("2");
    page.getByText("The last leaves").first().waitFor();
    assertSaved();
    page.waitForTimeout(SETTLE_MILLIS);
    page.locator("button", new Page.LocatorOptions().setHasText("Release")).first().click();
    releaseByEnter();
    page.getByText("Take back").waitFor();
    page.waitForTimeout(SETTLE_MILLIS);
    shoot("under-way");
  }

  private long personWithMuch() {
    return sql.sql(
            """
            select p.id
            from person p
            join quote q on q.person_id = p.id
            join task t on t.person_id = p.id
            join message m on m.person_id = p.id
            where p.reach = 'READY'
            group by p.id
            order by count(distinct m.id) desc, p.id
            limit 1
            """)
        .query(Long.class)
        .single();
  }

  /** A colleague who leaves, in the dark. */
  private void leaving() {
    page.context().clearCookies();
    signIn("wilma");
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
    page.navigate(home + "/settings/colleagues");
    page.locator("[data-colleague=orla]").getByText("Switch off").click();
    page.getByLabel("Who takes that over").selectOption("Tomas Vance");
    shoot("colleagues");
    page.keyboard().press("Escape");
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    page.navigate(home + "/settings/roles");
    page.getByLabel("Representative: to at most … people").fill("200");
    page.getByLabel("Representative: with a nod above … people").fill("100");
    shoot("roles");
    button("Keep the changes").click();
  }

  /** Somebody is looked at before they are erased; then what was done in the house. */
  private void privacy() {
    page.navigate(home + "/people/" + personWithMuch());
    page.getByText("What we hold").scrollIntoViewIfNeeded();
    button("Erase them…").click();
    page.getByRole(AriaRole.TEXTBOX, named("They asked for it on")).fill("16 Nov");
    shoot("privacy");
    page.keyboard().press("Escape");
    page.navigate(home + "/settings/history");
    shoot("history");
  }

  private void narrow() {
    page.setViewportSize(390, 844);
    page.navigate(home + "/people");
    shoot("people-phone");
  }

  private long id(String mailing) {
    return sql.sql("select id from cause where name = ?").param(mailing).query(Long.class).single();
  }

  private long series(String name) {
    return sql.sql("select id from series where name = ?").param(name).query(Long.class).single();
  }

  private void shoot(String name) {
    page.waitForTimeout(SETTLE_MILLIS);
    page.screenshot(
        new Page.ScreenshotOptions()
            .setPath(Path.of(System.getProperty("jemble.shots"), name + ".png")));
  }
}
