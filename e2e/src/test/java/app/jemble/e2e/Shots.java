package app.jemble.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Takes the pictures of docs/screenshots from the demo's data; run by ./jemble shots. */
public class Shots extends BrowserTest {

  private static final int SETTLE_MILLIS = 1800;

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
    buildFilter();
    shoot("filter");
    page.navigate(home + "/people/" + personWithMuch());
    shoot("person");
    importPeople();
    page.navigate(home + "/tasks");
    shoot("tasks");
    page.navigate(home + "/templates/1");
    shoot("template");
    page.navigate(home + "/mailings/" + id("Spring slipway reminder"));
    page.waitForTimeout(SETTLE_MILLIS);
    page.keyboard().press("n");
    shoot("mailing");
    lookAtTheCheck();
    letItRun();
    page.navigate(home + "/mailings/series/" + series("Renewals before summer"));
    shoot("series");
    page.navigate(home + "/settings/sending");
    shoot("hours-and-caps");
    page.navigate(home + "/letterheads/1");
    shoot("letterhead");
    page.navigate(home + "/outbox");
    shoot("outbox");
    page.navigate(home + "/responses/" + id("Course places, autumn"));
    shoot("responses");
    page.navigate(home + "/responses/with/" + messageWithReply());
    shoot("conversation");
    dark();
    page.navigate(home + "/leave/" + genuineToken());
    shoot("leaving");
    narrow();
  }

  /** Of a message that was sent really: the demo's past ones were not. */
  private String genuineToken() {
    long person = addPerson("Wren", "Tallow", "wren@tallow.example");
    api.signIn("orla", "lowen-quay");
    sql.sql("update workspace set hold_seconds = 0").update();
    long mailing = draft(List.of(person), "A word", "<p>A word</p>");
    release(mailing);
    awaitSettled(mailing);
    return messageValue(mailing, person, "token");
  }

  private long messageWithReply() {
    return sql.sql(
            "select max(message_id) from response where kind = 'REPLIED' and mail_id is not null")
        .query(Long.class)
        .single();
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

  /** This week's open quotes, while their value is being chosen. */
  private void buildFilter() {
    page.navigate(home + "/people");
    page.waitForTimeout(SETTLE_MILLIS);
    page.keyboard().press("+");
    page.keyboard().type("have a quote");
    page.keyboard().press("Enter");
    page.keyboard().type("Stage");
    page.keyboard().press("Enter");
    page.getByLabel("open").check();
    page.locator("[role=dialog] button[type=submit]").click();
    page.keyboard().press("Tab");
    page.keyboard().press("Enter");
    page.keyboard().type("Sent");
    page.keyboard().press("Enter");
    page.getByLabel("How Sent is compared").selectOption("IN_LAST");
  }

  /** A field that many lack, and its mend half done. */
  private void lookAtTheCheck() {
    page.getByLabel("Message", new Page.GetByLabelOptions().setExact(true)).last().click();
    page.keyboard().press("Control+End");
    page.keyboard().press("{");
    page.keyboard().type("organisation");
    page.keyboard().press("Enter");
    Locator fallback =
        page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Set a fallback").setExact(true));
    button("Open what the check found").click();
    fallback.first().waitFor();
    page.getByText("Show them").first().click();
    fallback.first().click();
    page.keyboard().type("your crew");
    shoot("check");
    page.keyboard().press("Escape");
    assertSaved();
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

  private void importPeople() {
    String file =
        "Vorname;Surname;E-Mail;Tel;Join date;Plan;Town;Berth name\n"
            + "Zoë;Sørli;zoe@sorli.example;07700 900111;25/12/2020;Sail;Umeå;Tern\n"
            + "Ivo;Fenn;ivo at fenn;;1/2/2021;Oar;Oslo;Knot\n"
            + "Una;Vale;una@vale.example;07700 900113;14/3/2022;Canoe;Porto;Skua\n"
            + "Nils;Ostler;nils@ostler.example;07700 900114;30/6/2019;Family;Lagos;Dunlin\n";
    page.navigate(home + "/people/import");
    page.locator("input[type=file]")
        .setInputFiles(
            new FilePayload("harbour-club.csv", "text/csv", file.getBytes(StandardCharsets.UTF_8)));
    page.waitForURL(Pattern.compile(".*/people/import/\\d+"));
    page.getByLabel("Vorname goes into").selectOption("first_name");
    shoot("import-mapping");
  }

  private void dark() {
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
    page.navigate(home + "/desk");
    shoot("desk-dark");
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
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
