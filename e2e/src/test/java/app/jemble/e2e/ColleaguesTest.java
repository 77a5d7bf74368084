package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.Mails;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** A colleague is invited, comes in by the mail, changes their password, and is switched off. */
public class ColleaguesTest extends BrowserTest {

  private static final String PASSWORD = "green stair 7";
  private static final Pattern LINK = Pattern.compile("http\\S+/new-password#\\S+");

  @Override
  protected int people() {
    return 5;
  }

  private Locator row(String login) {
    return page.locator("[data-colleague=" + login + "]");
  }

  private String mailedLink(int mails) {
    Eventually.holds(() -> assertThat(office.mailbox("mara")).hasSize(mails));
    Matcher link = LINK.matcher(Mails.part(office.mailbox("mara").get(mails - 1), "text/plain"));
    assertThat(link.find()).isTrue();
    return link.group();
  }

  private void signInAs(String login, String password) {
    page.context().clearCookies();
    page.navigate(home + "/sign-in");
    page.getByLabel("Login").fill(login);
    page.getByLabel("Password").fill(password);
    press("Enter");
  }

  @Test
  public void anAdministratorInvites() {
    signIn("wilma");
    page.navigate(home + "/settings/colleagues");
    button("Invite a colleague").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    dialog.getByLabel("Name").fill("Mara Penrose");
    assertThat(dialog.getByLabel("Signs in as")).hasValue("mara");
    dialog.getByLabel("E-mail").fill("mara@ternquay.example");
    dialog.getByLabel("Language of mails to them").selectOption("Norsk");
    dialog.getByLabel("Representative").check();
    assertAccessible("inviting a colleague");
    button("Send the invitation").click();
    assertThat(page.getByText("is on its way to Mara Penrose")).isVisible();
    assertThat(row("mara")).containsText("invited, has no password yet");
    assertAccessible("colleagues");
  }

  @Test(dependsOnMethods = "anAdministratorInvites")
  public void theColleagueComesInByTheMail() {
    page.context().clearCookies();
    page.navigate(mailedLink(1));
    assertThat(Mails.subject(office.mailbox("mara").get(0))).isEqualTo("Veien din inn i Jemble");
    assertThat(page.getByText("Mara Penrose, you sign in to")).isVisible();
    Locator password = page.getByLabel("New password");
    password.fill("marapenrose1");
    press("Enter");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("made of your name");
    assertAccessible("a password is set");
    password.fill(PASSWORD);
    press("Enter");
    page.waitForURL("**/desk");
    // The link was good once.
    page.context().clearCookies();
    page.navigate("about:blank");
    page.navigate(mailedLink(1));
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("no longer good");
  }

  @Test(dependsOnMethods = "theColleagueComesInByTheMail")
  public void theyChangeTheirPasswordThemselves() {
    signInAs("mara", PASSWORD);
    page.waitForURL("**/desk");
    page.navigate(home + "/settings/sessions");
    page.getByLabel("The one you have now").fill("guessed it");
    page.getByLabel("New password").fill("blue stair 8888");
    press("Enter");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("not the password you have now");
    page.getByLabel("The one you have now").fill(PASSWORD);
    press("Enter");
    assertThat(page.getByText("Your password is changed.")).isVisible();
    assertAccessible("password and sessions");
    page.navigate(home + "/settings/colleagues");
    assertThat(row("mara")).containsText("(you)");
    assertThat(button("Invite a colleague")).hasCount(0);
  }

  @Test(dependsOnMethods = "theyChangeTheirPasswordThemselves")
  public void theyChooseTheLanguageOfMailsToThem() {
    page.navigate(home + "/settings/signature");
    Locator language = page.getByLabel("Language of mails to you");
    assertThat(language).hasValue("no");
    language.selectOption("Deutsch");
    page.getByLabel("What you do here").fill("Sails");
    button("Save").click();
    assertThat(page.getByText("It is saved")).isVisible();
    page.reload();
    assertThat(language).hasValue("de");
  }

  @Test(dependsOnMethods = "theyChooseTheLanguageOfMailsToThem")
  public void signingOutIsAtHandOnEveryScreen() {
    page.navigate(home + "/people");
    button("Mara Penrose").click();
    button("Sign out").click();
    assertThat(page.getByLabel("Login")).isVisible();
    page.navigate(home + "/people");
    assertThat(page.getByLabel("Login")).isVisible();
  }

  @Test(dependsOnMethods = "signingOutIsAtHandOnEveryScreen")
  public void whoIsSwitchedOffIsOutAtOnce() {
    Page theirs = page.context().browser().newContext().newPage();
    theirs.navigate(home + "/sign-in");
    theirs.getByLabel("Login").fill("mara");
    theirs.getByLabel("Password").fill("blue stair 8888");
    theirs.keyboard().press("Enter");
    theirs.waitForURL("**/desk");
    signInAs("wilma", "lowen-quay");
    page.waitForURL("**/desk");
    page.navigate(home + "/settings/colleagues");
    row("mara").getByText("Change").click();
    page.getByRole(AriaRole.DIALOG).getByLabel("Reader").check();
    page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.BUTTON).getByText("Change").click();
    assertThat(row("mara")).containsText("Reader");
    addMarasWork();
    row("mara").getByText("Switch off").click();
    Locator leaving = page.getByRole(AriaRole.DIALOG);
    assertThat(leaving).containsText("Theirs: 1 person and 1 open task.");
    leaving.getByLabel("Who takes that over").selectOption("Tomas Vance");
    assertThat(leaving).not().containsText("Reed Larkin");
    assertAccessible("a colleague leaves");
    leaving.getByRole(AriaRole.BUTTON).getByText("Switch off").click();
    assertThat(page.getByText("Tomas Vance takes over.")).isVisible();
    assertThat(row("mara")).containsText("switched off");
    theirs.navigate(home + "/people");
    assertThat(theirs.getByLabel("Login")).isVisible();
    theirs.context().close();
    assertThat(ownerOf("person", "t.last_name = 'Handed'")).isEqualTo("tomas");
    assertThat(ownerOf("task", "t.title = 'Ring them'")).isEqualTo("tomas");
  }

  @Test(dependsOnMethods = "whoIsSwitchedOffIsOutAtOnce")
  public void whatWasDoneStandsInTheHistory() {
    page.navigate(home + "/people");
    page.getByRole(AriaRole.BANNER)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Wilma Gorse"))
        .click();
    page.getByText("Settings of the house").click();
    page.getByRole(AriaRole.LINK, named("History")).click();
    assertThat(page.getByText("Switched a colleague off: Mara Penrose")).isVisible();
    assertThat(page.getByText("role: Representative, now role: Reader").last()).isVisible();
    assertAccessible("history");
    page.getByLabel("What it is about").selectOption("Signing in");
    assertThat(page.getByText("Switched a colleague off")).hasCount(0);
    assertThat(page.getByText("Signed in").first()).isVisible();
    page.getByLabel("By whom").selectOption("by Mara Penrose");
    assertThat(page.getByText("Signed out").first()).isVisible();
    page.getByLabel("Kept for").fill("12");
    button("Keep so long").click();
    assertThat(page.getByText("older than 12 months is forgotten")).isVisible();
    page.setViewportSize(390, 844);
    assertAccessible("history on a phone");
  }

  private void addMarasWork() {
    long person = addPerson("Una", "Handed", "una@ternquay.example");
    sql.sql(
            """
            update person set owner_id = (select id from account where login = 'mara')
            where id = ?
            """)
        .param(person)
        .update();
    sql.sql(
            """
            insert into task (person_id, kind, title, owner_id, created_at, created_by)
            select ?, 'call', 'Ring them', id, now(), id from account where login = 'mara'
            """)
        .param(person)
        .update();
  }

  private String ownerOf(String table, String which) {
    return sql.sql(
            "select login from account a join " + table + " t on t.owner_id = a.id where " + which)
        .query(String.class)
        .single();
  }
}
