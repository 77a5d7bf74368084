package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/**
 * How many acts the jobs of every day take, from the desk to released; what came of them is read.
 */
public class ActsTest extends BrowserTest {

  @Override
  protected int people() {
    return 400;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void begin() {
    sql.sql("update workspace set hold_seconds = 600").update();
    sql.sql("update sending_rules set hours = null, daily_cap = null").update();
    sql.sql("update role set most_a_day = null").update();
    sql.sql("delete from colleague_cap").update();
    signIn("orla");
  }

  @BeforeMethod
  public void atTheDesk() {
    page.navigate(home + "/desk");
    assertThat(page.getByText("Wants a decision")).isVisible();
  }

  private Locator template(String name) {
    return page.getByRole(AriaRole.DIALOG)
        .getByRole(
            AriaRole.OPTION, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + name)));
  }

  /** Types whom one seeks into the finder, and writes to them from a template. */
  private void writeTo(Acts acts, String sought, String template) {
    acts.press("/");
    assertThat(page.getByRole(AriaRole.COMBOBOX, named("Find or do"))).isFocused();
    acts.type(sought).press("Control+Enter");
    choose(acts, template);
  }

  private void choose(Acts acts, String template) {
    assertThat(page.getByRole(AriaRole.DIALOG).getByText("Not now")).isVisible();
    acts.click("the template", template(template));
    page.waitForURL(Pattern.compile(".*/mailings/\\d+"));
    assertThat(page.locator("[data-proof-subject]")).isVisible();
  }

  private void release(Acts acts) {
    acts.press("Control+Enter");
    confirm(acts);
  }

  private void confirm(Acts acts) {
    assertThat(
            page.getByRole(AriaRole.DIALOG)
                .getByRole(
                    AriaRole.BUTTON,
                    new Locator.GetByRoleOptions().setName(Pattern.compile("^Release \\d"))))
        .isFocused();
    acts.press("Enter");
    assertThat(page.getByRole(AriaRole.REGION, named("Under way"))).isVisible();
  }

  private long mailing() {
    return Long.parseLong(page.url().replaceAll(".*/mailings/(\\d+).*", "$1"));
  }

  /** How many messages the mailing on the screen has, when all are written. */
  private long messages() {
    long id = mailing();
    Eventually.holds(
        () ->
            assertThat(one("select count(*) from mailing_release where mailing_id = ?", id))
                .isZero());
    return one("select count(*) from message where cause_id = ?", id);
  }

  private long one(String query, Object... values) {
    return sql.sql(query).params(values).query(Long.class).single();
  }

  private static final String REACHABLE =
      " p.archived_at is null and p.email is not null and p.email_valid and not p.asked_not"
          + " and not exists (select from do_not_write d where d.address_key = p.email_key)";

  @Test
  public void allContactsFromATemplate() {
    Acts acts = new Acts(page, "all contacts, template, release");
    writeTo(acts, "contacts", "Gentle nudge");
    release(acts);
    assertThat(acts.count()).isLessThanOrEqualTo(6);
    assertThat(messages())
        .isPositive()
        .isEqualTo(one("select count(*) from person p where p.kind = 'contact' and" + REACHABLE));
  }

  @Test
  public void threePeopleOutOfQuotes() {
    List<String> numbers =
        sql.sql(
                "select min(q.number) from quote q join person p on p.id = q.person_id where"
                    + REACHABLE
                    + " group by p.id order by 1 limit 3")
            .query(String.class)
            .list();
    Acts acts = new Acts(page, "three people out of quotes, template, release");
    writeTo(acts, "quotes " + String.join(" ", numbers), "Gentle nudge");
    release(acts);
    assertThat(acts.count()).isLessThanOrEqualTo(6);
    assertThat(messages()).isEqualTo(3);
  }

  @Test
  public void membersOfOneTypeWithOneLeftOutOnADay() {
    Acts acts =
        new Acts(
            page,
            "members of one type, one left out, template, copy to oneself, start on a day, release");
    writeTo(acts, "members plan sail", "Gentle nudge");
    Locator who = page.locator("[id^=who-]").nth(1);
    who.hover();
    acts.click("leave out", who.getByText("leave out"));
    acts.press("t");
    assertThat(page.getByText(Pattern.compile("^A copy of .* is on its way"))).isVisible();
    acts.press("d").type("in 2 days at 9").press("Control+Enter");
    confirm(acts);
    assertThat(acts.count()).isLessThanOrEqualTo(10);
    long all =
        one(
            "select count(*) from person p join membership m on m.person_id = p.id"
                + " where p.kind = 'member' and m.plan = 'Sail' and"
                + REACHABLE);
    assertThat(messages()).isEqualTo(all - 1);
    assertThat(
            one(
                "select count(*) from message where cause_id = ? and due_at < now() + interval '1 day'",
                mailing()))
        .isZero();
  }

  @Test
  public void aWholeKeptFilterWithAWordAfterSilence() {
    Acts acts =
        new Acts(page, "a whole kept filter, template, released with “no reply in 4 days → again”");
    writeTo(acts, "the committee", "Gentle nudge");
    acts.click("again after 4 days", button("Send it again after 4 working days without a reply"));
    assertThat(page.getByText("nothing afterwards")).not().isVisible();
    release(acts);
    assertThat(acts.count()).isLessThanOrEqualTo(8);
    assertThat(one("select count(*) from follow_rule where mailing_id = ?", mailing()))
        .isEqualTo(1);
  }

  @Test
  public void tasksAndTheirPeople() {
    long open = one("select count(*) from task where done_at is not null");
    Acts acts = new Acts(page, "tasks → their people → template → release → tasks done");
    acts.press("7");
    page.waitForURL("**/tasks**");
    assertThat(rows().first()).isVisible();
    // Until they are counted there is nobody to write about.
    assertThat(page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Write about all [1-9]"))))
        .isEnabled();
    acts.press("w");
    choose(acts, "Gentle nudge");
    acts.press("Control+Enter");
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    acts.click("tasks done", dialog.getByLabel("Mark the tasks they are about as done"));
    acts.click(
        "Release",
        dialog.getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName(Pattern.compile("^Release \\d"))));
    assertThat(page.getByText(Pattern.compile("tasks? (is|are) done\\.$"))).isVisible();
    assertThat(acts.count()).isLessThanOrEqualTo(6);
    assertThat(one("select count(*) from task where done_at is not null") - open)
        .isEqualTo(messages())
        .isPositive();
  }

  @Test
  public void twoListsAtATimeInAnotherZone() {
    for (String name : new String[] {"Choir", "Tea makers"}) {
      sql.sql("insert into person_list (name, created_at, created_by) values (?, now(), 1)")
          .param(name)
          .update();
      sql.sql(
              "insert into list_member (list_id, person_id) select l.id, p.id from person_list l,"
                  + " (select id from person p where"
                  + REACHABLE
                  + " order by id limit 9 offset ?) p where l.name = ?")
          .params(name.equals("Choir") ? 0 : 5, name)
          .update();
    }
    Acts acts = new Acts(page, "two lists, template, start at a time in another zone");
    writeTo(acts, "list choir or tea makers", "Gentle nudge");
    acts.press("d").type("tomorrow 9 New York time").press("Control+Enter");
    confirm(acts);
    assertThat(acts.count()).isLessThanOrEqualTo(8);
    assertThat(messages()).isEqualTo(14);
    Map<String, Object> due =
        sql.sql(
                "select to_char(min(due_at) at time zone 'America/New_York', 'HH24:MI') as at"
                    + " from message where cause_id = ?")
            .param(mailing())
            .query()
            .singleRow();
    assertThat(due.get("at")).isEqualTo("09:00");
  }

  @Test
  public void oneTypeProofsSteppedAndOneChanged() {
    Acts acts = new Acts(page, "one type, proofs stepped, one changed for one person, release");
    writeTo(acts, "members plan oar", "Gentle nudge");
    Locator proof = page.getByRole(AriaRole.REGION, named(Pattern.compile("^Proof")));
    acts.press("n").press("n");
    assertThat(proof.getByText(Pattern.compile("^Proof 3 of"))).isVisible();
    acts.press("o");
    assertThat(page.getByText(Pattern.compile("^For .* alone\\.$"))).isVisible();
    assertThat(page.getByRole(AriaRole.TEXTBOX, named("Message"))).isFocused();
    acts.write("PS: see you on Sunday. ");
    release(acts);
    assertThat(acts.count()).isLessThanOrEqualTo(9);
    assertThat(one("select count(*) from own_wording where mailing_id = ?", mailing()))
        .isEqualTo(1);
  }

  /** Filling blanks is typing texts: each value counts no act, going to the next does. */
  @Test
  public void aSeriesOfThreeStepsFromAStarterWithPeopleInAndActivated() {
    Acts acts = new Acts(page, "a series of three steps from a starter, 200 people in, activated");
    acts.click(
        "Mailings", page.getByRole(AriaRole.LINK, named(Pattern.compile("^Mailings"))).first());
    acts.click("Series", button("Series"));
    acts.click("New series", button("New series"));
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    acts.click("the starter", dialog.getByText("Welcome of new members"));
    acts.press("Enter");
    page.waitForURL(Pattern.compile(".*/mailings/series/\\d+"));
    acts.click("Fill in the blanks", page.getByText("Fill in the blanks"));
    List<String> values =
        List.of("the boats", "the desk", "Come for tea.", "Bring a rope.", "Learn a knot.");
    assertThat(dialog.getByLabel("what members can use")).isFocused();
    for (int at = 0; at < values.size(); at++) {
      acts.write(values.get(at));
      if (at < values.size() - 1) {
        page.keyboard().press("Tab");
      }
    }
    acts.press("Enter");
    assertThat(dialog).isHidden();
    acts.click("Let people in", button("Let people in"));
    acts.click("whom", page.getByLabel("Type which people you seek"));
    acts.type("members");
    Locator letIn = page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Let \\d+ people in$")));
    assertThat(letIn).isEnabled();
    acts.click("Let them in", letIn);
    assertThat(dialog).isHidden();
    acts.click("Activate", button("Activate"));
    assertThat(page.getByText("active", new Page.GetByTextOptions().setExact(true))).isVisible();
    long series = Long.parseLong(page.url().replaceAll(".*/(\\d+)$", "$1"));
    assertThat(one("select count(*) from series_entry where series_id = ?", series))
        .isGreaterThan(150);
    Eventually.holds(
        () ->
            assertThat(
                    one(
                        "select count(*) from series_pass p join series_step s on s.id = p.step_id"
                            + " where s.series_id = ?",
                        series))
                .isGreaterThan(150));
    assertThat(acts.count()).isLessThanOrEqualTo(14);
  }
}
