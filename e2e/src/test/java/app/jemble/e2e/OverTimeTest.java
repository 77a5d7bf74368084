package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.Mails;
import app.jemble.inbound.Arrivals;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import jakarta.mail.internet.MimeMessage;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * Writing over time, in squeezed time: a starter is filled and activated, people come in by a
 * filter and by a sign-up page, who replies gets no more, a step is changed in mid-course; and a
 * day comes round, is nodded, and its card arrives.
 */
public class OverTimeTest extends BrowserTest {

  private static final String BEA = "bea@over.example";
  private static final String CY = "cy@over.example";
  private static final String NELL = "nell@over.example";
  private static final String SECOND = "Three things to begin with";
  private static final String THIRD = "How have the first two weeks been?";
  private static final ZoneId HOUSE = ZoneId.of("Europe/London");

  private long series;
  private Arrivals arrivals;

  @Override
  protected int people() {
    return 20;
  }

  @Override
  protected Duration readersDay() {
    return Duration.ofDays(30);
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void begin() {
    signIn("orla");
    api.signIn("orla", "lowen-quay");
    arrivals = new Arrivals(application);
    sql.sql("update sending_rules set hours = null").update();
    sql.sql("update person set birthday = null").update();
    clock.toMonday(HOUSE);
    for (String address : List.of(BEA, CY)) {
      String name = address.startsWith("bea") ? "Bea" : "Cy";
      long person = addPerson(name, "Over", address);
      sql.sql("update person set tags = '{newcomer}' where id = ?").param(person).update();
    }
  }

  private List<MimeMessage> mails(String address) {
    return office.delivered().stream()
        .filter(d -> d.to().equals(address))
        .map(d -> d.message())
        .toList();
  }

  private List<String> got(String address) {
    return mails(address).stream().map(Mails::subject).toList();
  }

  private void eventuallyGot(String address, String... subjects) {
    Eventually.holds(() -> assertThat(got(address)).containsExactly(subjects));
  }

  /** Time goes on once what is delivered is noted as sent: waits count from then. */
  private void goOn(Duration by) {
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql(
                            "select count(*) from message m join cause c on c.id = m.cause_id"
                                + " where c.kind in ('STEP', 'OCCASION') and m.state <> 'sent'")
                        .query(Long.class)
                        .single())
                .isZero());
    clock.advance(by);
  }

  private static String welcome(String name) {
    return "Welcome to Tern Quay Boatyard, " + name;
  }

  @Test
  public void aStarterIsFilledAndActivatedAndPeopleComeInByAFilter() {
    page.navigate(home + "/mailings/series");
    button("New series").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    dialog.getByText("Welcome of new members").click();
    press("Enter");
    page.waitForURL(Pattern.compile(".*/mailings/series/\\d+"));
    series = Long.parseLong(page.url().replaceAll(".*/", ""));
    assertThat(button("Activate")).isDisabled();
    page.getByText("Fill in the blanks").click();
    List<String> values = List.of("the boats", "the desk", "Tea.", "A rope.", "A knot.");
    assertThat(dialog.getByLabel("what members can use")).isFocused();
    for (String value : values) {
      page.keyboard().type(value);
      press(value.equals("A knot.") ? "Enter" : "Tab");
    }
    assertThat(dialog).isHidden();
    button("Activate").click();
    assertThat(page.getByText("active", new Page.GetByTextOptions().setExact(true))).isVisible();
    button("Let people in").click();
    page.getByLabel("Type which people you seek").fill("tagged newcomer");
    Locator letIn = button("Let 2 people in");
    assertThat(letIn).isEnabled();
    letIn.click();
    eventuallyGot(BEA, welcome("Bea"));
    eventuallyGot(CY, welcome("Cy"));
  }

  @Test(dependsOnMethods = "aStarterIsFilledAndActivatedAndPeopleComeInByAFilter")
  public void whoRepliesGetsNoMore() {
    String token =
        sql.sql("select token from message where address = ? order by id desc limit 1")
            .param(BEA)
            .query(String.class)
            .single();
    arrivals.reply(BEA, token, "Thank you, I know my way.");
    goOn(Duration.ofDays(4));
    eventuallyGot(CY, welcome("Cy"), SECOND);
    assertThat(got(BEA)).containsExactly(welcome("Bea"));
  }

  private void makeTheSignUpPage() {
    Map<String, Object> body = new HashMap<>();
    body.put("name", "Join us");
    body.put("key", "join-us");
    body.put("open", true);
    body.put("asks", List.of(Map.of("field", "first_name", "required", true)));
    body.put("topics", sql.sql("select id from topic").query(Long.class).list());
    body.put(
        "words",
        List.of(
            Map.of(
                "language",
                "EN",
                "words",
                Map.of(
                    "title",
                    "Join us",
                    "intro",
                    "",
                    "consent",
                    "Yes, write to me.",
                    "thanks",
                    "",
                    "subject",
                    "",
                    "mail",
                    ""))));
    body.put("kind", "lead");
    for (String none : List.of("source", "tag", "owner", "tell")) {
      body.put(none, null);
    }
    body.put("series", series);
    body.put("version", 0);
    assertThat(api.post("/api/sign-up-pages", body).status()).isEqualTo(200);
  }

  @Test(dependsOnMethods = "whoRepliesGetsNoMore")
  public void somebodyComesInBySigningUp() {
    makeTheSignUpPage();
    page.navigate(home + "/join/join-us");
    page.getByLabel("E-mail").fill(NELL);
    page.getByLabel("First name").fill("Nell");
    for (Locator topic : page.getByRole(AriaRole.CHECKBOX).all()) {
      topic.check();
    }
    page.waitForTimeout(2100);
    page.locator("main form button").click();
    page.waitForURL("**/asked*");
    Eventually.holds(() -> assertThat(mails(NELL)).hasSize(1));
    page.navigate(
        Jsoup.parse(Mails.part(mails(NELL).get(0), "text/html")).select("a").attr("href"));
    page.locator("main form button").click();
    Eventually.holds(() -> assertThat(got(NELL)).hasSize(2).last().isEqualTo(welcome("Nell")));
  }

  @Test(dependsOnMethods = "somebodyComesInBySigningUp")
  public void aStepIsChangedForThoseWhoHaveNotHadIt() {
    page.navigate(home + "/mailings/series/" + series);
    page.getByRole(AriaRole.ARTICLE)
        .nth(1)
        .getByText("Change", new Locator.GetByTextOptions().setExact(true))
        .click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog.getByText(Pattern.compile("^1 person is past this step"))).isVisible();
    dialog
        .getByRole(
            AriaRole.TEXTBOX, new Locator.GetByRoleOptions().setName("Subject").setExact(true))
        .click();
    press("Control+a");
    page.keyboard().type("Where to begin");
    dialog.getByText("Save the step").click();
    assertThat(dialog).isHidden();
    goOn(Duration.ofDays(8));
    Eventually.holds(() -> assertThat(got(NELL)).hasSize(3).last().isEqualTo("Where to begin"));
    eventuallyGot(CY, welcome("Cy"), SECOND, THIRD);
    goOn(Duration.ofDays(8));
    Eventually.holds(() -> assertThat(got(NELL)).hasSize(4).last().isEqualTo(THIRD));
    assertThat(got(BEA)).containsExactly(welcome("Bea"));
    page.reload();
    page.getByText("2 had all").click();
    assertThat(page.getByText("Nell").first()).isVisible();
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "aStepIsChangedForThoseWhoHaveNotHadIt")
  public void aDayComesRoundIsNoddedAndItsCardArrives() {
    Instant now = clock.instant();
    LocalDate today = LocalDate.ofInstant(now, HOUSE);
    clock.advance(
        Duration.between(now, today.plusDays(1).atTime(LocalTime.of(11, 0)).atZone(HOUSE)));
    LocalDate born = today.plusDays(1).minusYears(36);
    sql.sql("update person set birthday = ?, asked_not = false where email = ?")
        .params(born, CY)
        .update();
    page.navigate(home + "/mailings/days");
    button("New standing mailing").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    dialog.getByLabel("Name").fill("Birthday");
    dialog.getByText("Put a card above").click();
    Locator text = page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Text 1: ")));
    text.focus();
    press("ArrowRight", "Shift+ArrowDown");
    page.getByLabel(Pattern.compile("^Text 1;")).fill("{{years}} years, {{first_name}}!");
    assertThat(page.getByText("The longest name")).isVisible();
    page.getByText("Take this card").click();
    Locator subject =
        dialog.getByRole(
            AriaRole.TEXTBOX, new Locator.GetByRoleOptions().setName("Subject").setExact(true));
    subject.click();
    page.keyboard().type("For you");
    dialog
        .getByRole(
            AriaRole.TEXTBOX, new Locator.GetByRoleOptions().setName("Message").setExact(true))
        .click();
    page.keyboard().type("All the best.");
    dialog.getByText("Save", new Locator.GetByTextOptions().setExact(true)).click();
    button("Begin").click();
    assertThat(page.getByText("One awaits a nod.")).isVisible();
    page.navigate(home + "/desk");
    Locator days = page.getByRole(AriaRole.REGION, named("Days to remember"));
    assertThat(days).containsText("Cy Over");
    days.getByText("Nod one").click();
    Eventually.holds(() -> assertThat(got(CY)).hasSize(4).last().isEqualTo("For you"));
    MimeMessage mail = mails(CY).get(3);
    assertThat(Jsoup.parse(Mails.html(mail)).select("img[src^=cid:]").attr("alt"))
        .isEqualTo("36 years, Cy!");
    assertNoComplaints();
  }
}
