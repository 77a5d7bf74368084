package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.Mails;
import app.jemble.standins.PostOffice.Delivered;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.testng.annotations.Test;

/**
 * The main job from end to end, by keyboard and mouse: find, pick, write, proof, copy, release,
 * take back, release for a day and time, watch what comes back, write to the quiet again in the
 * thread.
 */
public class FirstMailingTest extends BrowserTest {

  private static final String REACHABLE =
      """
      p.email is not null and p.email_valid and not p.asked_not
      and not exists (select from do_not_write d where d.address_key = p.email_key)
      """;

  private int expected;
  private long mailing;

  @Override
  protected int people() {
    return 4000;
  }

  @Test
  public void signsIn() {
    page.navigate(home + "/people");
    page.waitForURL("**/sign-in**");
    assertAccessible("sign-in");
    page.getByLabel("Login").fill("orla");
    page.getByLabel("Password").fill("wrong");
    press("Enter");
    assertThat(page.getByRole(AriaRole.ALERT))
        .hasText("Login and password do not belong together.");
    signIn("orla");
    assertThat(page.getByText("Wants a decision")).isVisible();
    assertAccessible("desk");
  }

  @Test(dependsOnMethods = "signsIn")
  public void findsPeople() {
    press("2");
    page.waitForURL("**/people**");
    seek("members");
    assertThat(page.getByRole(AriaRole.GROUP, named("Filter")).getByText("members")).isVisible();

    addCondition("plan");
    page.getByLabel("Oar").check();
    page.getByLabel("Sail").check();
    button("Done").click();

    addCondition("last visit");
    page.getByRole(AriaRole.DIALOG)
        .getByLabel("Last visit", new Locator.GetByLabelOptions().setExact(true))
        .fill("1 Oct 2026");
    press("Enter");

    addCondition("tag");
    page.getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.TEXTBOX)
        .fill("slipway, Racing, youth, newsletter, rowing");
    press("Enter");

    expected = countByHand("READY");
    int all = countByHand(null);
    assertThat(expected).isGreaterThan(200).isLessThan(all);
    Locator tally = page.getByRole(AriaRole.GROUP, named(Pattern.compile("People who match.*")));
    assertThat(tally.getByRole(AriaRole.BUTTON, inside("match in all"))).containsText(grouped(all));
    assertThat(tally.getByRole(AriaRole.BUTTON, inside("can be e-mailed")))
        .containsText(grouped(expected));
    assertAccessible("people");

    // A part of the tally opens its people, who say why they cannot be written to.
    tally.getByRole(AriaRole.BUTTON, inside("no address")).click();
    assertThat(rows().first()).containsText("no address");
    rows().first().click();
    press("Space");
    assertThat(page.getByText("None of them can be e-mailed.")).isVisible();
    press("Space");
    tally.getByRole(AriaRole.BUTTON, inside("no address")).click();
  }

  private void addCondition(String field) {
    page.getByRole(AriaRole.GROUP, named("Filter")).getByText(Pattern.compile("^\\+ ")).click();
    page.keyboard().type(field);
    press("Enter");
  }

  /** The same question in SQL of its own: all who match, or those of them who are reachable. */
  private int countByHand(String reach) {
    return ask("count(*)", reach == null ? "true" : REACHABLE);
  }

  /** Reachable, has not left the template's topic, and each address once. */
  private int countReady() {
    return ask(
        "count(distinct p.email_key)",
        REACHABLE
            + " and not exists (select from topic_left l where l.person_id = p.id"
            + " and l.topic_id = 1)");
  }

  private int ask(String what, String also) {
    return sql.sql(
            "select "
                + what
                + """
                 from person p
                join membership m on m.person_id = p.id
                where p.kind = 'member' and m.plan in ('Oar', 'Sail')
                  and p.last_visit_at < '2026-10-01 00:00 Europe/London'
                  and exists (
                    select from unnest(p.tags) t
                    where lower(t) in ('slipway', 'racing', 'youth', 'newsletter', 'rowing'))
                  and \
                """
                + also)
        .query(Integer.class)
        .single();
  }

  @Test(dependsOnMethods = "findsPeople")
  public void picksAllThatMatchAndWritesFromATemplate() {
    rows().first().click();
    press("Space");
    assertThat(page.getByText("1 picked")).isVisible();
    rows().nth(2).click();
    press("Space");
    assertThat(page.getByText("2 picked")).isVisible();
    press("Control+a");
    assertThat(page.getByText(grouped(countByHand(null)) + " picked")).isVisible();
    assertThat(page.getByText("Write to " + grouped(expected))).isVisible();
    press("w");
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog).containsText("Write to " + grouped(expected) + " people");
    page.keyboard().type("season op");
    assertThat(dialog.getByRole(AriaRole.OPTION)).hasCount(1);
    press("Enter");
    page.waitForURL(Pattern.compile(".*/mailings/\\d+"));
    mailing = Long.parseLong(page.url().replaceAll(".*/", ""));
    expected = countReady();
  }

  @Test(dependsOnMethods = "picksAllThatMatchAndWritesFromATemplate")
  public void stepsThroughTheProofOfEveryPerson() {
    Locator who = page.getByRole(AriaRole.REGION, named("Who"));
    Locator title =
        page.getByRole(AriaRole.HEADING, named(Pattern.compile("^Proof \\d+ of \\d+$")));
    assertThat(title).hasText(Pattern.compile("^Proof 1 of"));
    int all = Integer.parseInt(title.textContent().replaceAll(".* ", ""));
    assertThat(all).isGreaterThanOrEqualTo(expected);
    for (int place = 1; place <= all; place++) {
      assertThat(title).hasText("Proof " + place + " of " + all);
      String name = who.locator("button[aria-current=true] .truncate").first().textContent();
      assertThat(page.locator("[data-proof-to]")).containsText(name.strip());
      press("n");
    }
    assertAccessible("mailing screen");
  }

  @Test(dependsOnMethods = "stepsThroughTheProofOfEveryPerson")
  public void changesTheTextWithAMergeFieldByKeyAndFindsWhatIsMissing() {
    Locator subject = page.getByRole(AriaRole.TEXTBOX, named("Subject"));
    subject.click();
    press("End");
    page.keyboard().type(" Reply by Friday, {{number}}");
    Locator body = page.getByRole(AriaRole.TEXTBOX, named("Message"));
    body.click();
    press("Control+End");
    page.keyboard().type(" — ");
    press("{");
    page.keyboard().type("place");
    press("Enter");
    assertThat(body.locator(".merge-field").last()).hasText("place");
    assertSaved();
    assertThat(page.getByText(Pattern.compile("have no last visit|has no last visit")))
        .not()
        .isVisible();
    button("Open what the check found").click();
    Locator notice =
        page.getByRole(AriaRole.LIST, named("What the check found"))
            .getByText(Pattern.compile("first name all in capitals"));
    assertThat(notice).isVisible();
    notice.locator("..").getByRole(AriaRole.BUTTON, inside("Show them")).click();
    assertThat(page.getByRole(AriaRole.REGION, named("Who"))).containsText("capitals");
    page.getByText("show all").click();
  }

  @Test(dependsOnMethods = "changesTheTextWithAMergeFieldByKeyAndFindsWhatIsMissing")
  public void sendsHerselfACopy() {
    page.getByRole(AriaRole.REGION, named("Who")).locator("li button").first().click();
    press("t");
    assertThat(page.getByText("is on its way to orla@ternquay.example")).isVisible();
    Eventually.holds(
        () ->
            assertThat(office.mailbox("orla"))
                .anyMatch(m -> Mails.subject(m).contains("Reply by Friday, TQ-")));
  }

  @Test(dependsOnMethods = "sendsHerselfACopy")
  public void releasesTakesBackAndReleasesForADayAndTime() {
    sql.sql("update workspace set hold_seconds = 20").update();
    press("Control+Enter");
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    assertThat(dialog).containsText("Release " + grouped(expected) + " messages?");
    press("Enter");
    button("Take back").click();
    assertThat(page.getByText("Taken back: nothing has left")).isVisible();
    assertThat(office.delivered()).isEmpty();

    sql.sql("update workspace set hold_seconds = 0").update();
    button("Open Leaves").click();
    page.getByLabel("Start", new Page.GetByLabelOptions().setExact(true)).selectOption("at");
    page.getByLabel("Day it starts", new Page.GetByLabelOptions().setExact(true)).fill("24 Mar");
    page.getByLabel("Time it starts", new Page.GetByLabelOptions().setExact(true)).fill("9");
    assertThat(page.getByText("The last leaves Wed 24 Mar 2027, 09:00")).isVisible();
    assertSaved();
    page.locator("main").click(new Locator.ClickOptions().setPosition(2, 2));
    press("Control+Enter");
    assertThat(dialog).containsText("They leave Wed 24 Mar 2027, 09:00, London time.");
    press("Enter");
    assertThat(page.getByText(Pattern.compile("0 of " + grouped(expected) + " gone"))).isVisible();
    assertThat(office.delivered()).isEmpty();

    page.getByRole(AriaRole.REGION, named("Under way")).getByText("Outbox").click();
    page.waitForURL("**/outbox?mailing=*");
    assertThat(rows().first()).containsText("Wed 24 Mar 2027, 09:00");
    assertAccessible("outbox");
  }

  @Test(dependsOnMethods = "releasesTakesBackAndReleasesForADayAndTime")
  public void theMessagesLeaveEachItsOwn() {
    // The demo's own waiting mailing stays out of the way.
    sql.sql("update message set state = 'withdrawn' where state = 'waiting' and cause_id <> ?")
        .param(mailing)
        .update();
    clock.advance(Duration.ofDays(150));
    awaitSettled(mailing);
    List<Delivered> all = office.delivered();
    assertThat(all).hasSize(expected);
    Set<String> ids = new HashSet<>();
    Set<String> recipients = new HashSet<>();
    Map<String, String> numbers =
        sql
            .sql(
                "select m.address, p.number from message m join person p on p.id = m.person_id where m.cause_id = ?")
            .param(mailing)
            .query((rs, n) -> Map.entry(rs.getString(1).toLowerCase(Locale.ROOT), rs.getString(2)))
            .list()
            .stream()
            .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    for (Delivered mail : all) {
      assertThat(Mails.recipients(mail.message())).containsExactly(mail.to());
      assertThat(Mails.subject(mail.message()))
          .endsWith("Reply by Friday, " + numbers.get(mail.to()));
      assertThat(Mails.part(mail.message(), "text/plain"))
          .contains("Orla Finch")
          .doesNotContain("{{");
      assertThat(Mails.part(mail.message(), "text/html")).contains("/o/").contains("/l/");
      String leave = Mails.header(mail.message(), "List-Unsubscribe");
      assertThat(leave).startsWith("<" + home + "/leave/");
      assertThat(Mails.header(mail.message(), "List-Unsubscribe-Post"))
          .isEqualTo("List-Unsubscribe=One-Click");
      ids.add(Mails.header(mail.message(), "Message-ID"));
      recipients.add(mail.to());
    }
    assertThat(ids).hasSize(expected).allMatch(id -> id.endsWith("@ternquay.example>"));
    assertThat(recipients).hasSize(expected);
  }

  @Test(dependsOnMethods = "theMessagesLeaveEachItsOwn")
  public void responsesComeInByThemselves() {
    press("6");
    page.waitForURL("**/responses");
    assertAccessible("responses");
    page.getByRole(
            AriaRole.LINK, new Page.GetByRoleOptions().setName("Season opening").setExact(true))
        .first()
        .click();
    page.waitForURL("**/responses/" + mailing);
    Locator tally = page.getByRole(AriaRole.GROUP, named("Where the messages stand"));
    for (String part :
        List.of(
            "replied",
            "clicked, no reply",
            "opened, no reply",
            "opened by a machine",
            "nothing yet",
            "returned")) {
      assertThat(tally.getByRole(AriaRole.BUTTON, inside(part)))
          .isVisible(
              new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                  .setTimeout(60_000));
    }
    assertThat(page.getByRole(AriaRole.REGION, named("Just now")).getByText("replied").first())
        .isVisible();
    assertThat(page.getByText(Pattern.compile("at 95% confidence"))).isVisible();
    tally.getByRole(AriaRole.BUTTON, inside("replied")).first().click();
    assertThat(rows().first()).containsText("replied");
    assertAccessible("responses of a mailing");
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql(
                            "select count(*) from response where cause_id = ? and kind in ('AUTO_REPLIED', 'RETURNED_HARD')")
                        .param(mailing)
                        .query(Long.class)
                        .single())
                .isPositive());
  }

  @Test(dependsOnMethods = "responsesComeInByThemselves")
  public void writesToTheQuietAgainInTheSameThread() {
    page.navigate(home + "/responses/" + mailing);
    Locator again =
        page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("Write to the [\\d,]+ quiet…")));
    again.click();
    page.waitForURL(Pattern.compile(".*/mailings/\\d+"));
    long second = Long.parseLong(page.url().replaceAll(".*/", ""));
    assertThat(page.getByText("in the thread of")).isVisible();
    page.getByRole(AriaRole.TEXTBOX, named("Message")).click();
    page.keyboard().type("A second word, ");
    press("{");
    page.keyboard().type("first name");
    press("Tab", "Tab");
    page.getByLabel("When it is not known, write").fill("friend");
    press("Enter");
    assertSaved();
    button(Pattern.compile("Release .*…")).click();
    button(Pattern.compile("Release [\\d,]+$")).click();
    assertThat(page.getByRole(AriaRole.REGION, named("Under way"))).isVisible();
    awaitSettled(second);
    inTheSameThreadAndToNobodyWhoAnswered(second);
    assertNoComplaints();
  }

  private void inTheSameThreadAndToNobodyWhoAnswered(long second) {
    Map<String, String> firstIds =
        office.delivered().stream()
            .filter(d -> Mails.header(d.message(), "In-Reply-To").isEmpty())
            .collect(Collectors.toMap(Delivered::to, d -> Mails.header(d.message(), "Message-ID")));
    List<Delivered> again2 =
        office.delivered().stream()
            .filter(d -> !Mails.header(d.message(), "In-Reply-To").isEmpty())
            .toList();
    assertThat(again2).isNotEmpty();
    for (Delivered mail : again2) {
      assertThat(Mails.header(mail.message(), "In-Reply-To")).isEqualTo(firstIds.get(mail.to()));
      assertThat(Mails.header(mail.message(), "References")).contains(firstIds.get(mail.to()));
    }
    List<String> silenced =
        sql.sql(
                """
                select distinct lower(s.address) from response r join message s on s.id = r.message_id
                where r.cause_id = ? and r.kind in ('REPLIED', 'LEFT', 'RETURNED_HARD')
                  and r.at < (select released_at from cause where id = ?)
                """)
            .params(List.of(mailing, second))
            .query(String.class)
            .list();
    assertThat(again2).noneMatch(d -> silenced.contains(d.to()));
  }

  private com.microsoft.playwright.Locator button(Pattern name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  private static Locator.GetByRoleOptions inside(String name) {
    return new Locator.GetByRoleOptions().setName(name);
  }

  private static String grouped(int number) {
    return String.format(Locale.ROOT, "%,d", number);
  }
}
