package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.Mails;
import app.jemble.standins.PostOffice;
import app.jemble.standins.PostOffice.Delivered;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/**
 * A coordinator installs Jemble on a Monday: an empty database, nothing set outside, no demo. By
 * its screens alone three people have a mailing, and one reply is read; then a colleague is
 * invited, limited, refused with the reason, asks for a nod and gets it.
 */
public class FirstDayTest extends BrowserTest {

  private static final String TOKEN = "printed-on-a-monday";
  private static final String PASSWORD = "green stair 7";
  private static final String DOMAIN = "ternquay.example";
  private static final Pattern LINK = Pattern.compile("http://\\S+/new-password#\\S+");
  private static final int MOST_ACTS = 40;

  private Acts acts;

  @Override
  protected List<String> mailSettings() {
    return List.of();
  }

  @Override
  protected Duration readersDay() {
    return Duration.ofDays(1);
  }

  private Locator field(String label) {
    return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  private Locator in(String panel, String label) {
    return page.getByRole(AriaRole.REGION, named(panel))
        .getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
  }

  private Locator protection(String panel) {
    return page.getByRole(AriaRole.REGION, named(panel)).getByLabel("Protection");
  }

  private Locator inside(String panel, String words) {
    return page.getByRole(AriaRole.REGION, named(panel)).getByText(words);
  }

  @Test
  public void theFirstAdministratorSaysWhoTheHouseIs() {
    sql.sql("insert into first_start (token_hash, made_at) values (sha256(?::bytea), now())")
        .param(TOKEN)
        .update();
    acts = new Acts(page, "from an empty database to a reply");
    page.navigate(home + "/first-start#" + TOKEN);
    acts.fill("name", field("Your name"), "Mara Penrose")
        .fill("e-mail", field("Your e-mail"), "mara@" + DOMAIN)
        .fill("password", page.getByLabel("New password"), PASSWORD)
        .press("Enter");
    page.waitForURL("**/settings/set-up");
    acts.click("who you are", page.getByRole(AriaRole.LINK, named("Who you are")));
    page.waitForURL("**/settings/house");
    assertThat(field("Name")).hasValue("New workspace");
    acts.fill("name", field("Name"), "Harbour Choir")
        .fill("address", field("Postal address"), "2 Mole Street, Lowen Quay")
        .fill("domain", page.getByLabel("Mail domain"), DOMAIN)
        .click("save", button("Save"));
    assertThat(page.getByText("Saved; it holds from now on.")).isVisible();
    acts.click("go on to mail", page.getByText("Go on: Mail"));
    page.waitForURL("**/settings/mail");
  }

  /** The mail server refuses nobody; the mailbox takes no wrong password, and says so. */
  @Test(dependsOnMethods = "theFirstAdministratorSaysWhoTheHouseIs")
  public void mailLeavesAndComesBack() {
    assertThat(in("Mail server", "Port")).hasValue("587");
    acts.fill("host", in("Mail server", "Host"), "127.0.0.1")
        .choose("protection", protection("Mail server"), "NONE");
    assertThat(in("Mail server", "Port")).hasValue("25");
    acts.fill("port", in("Mail server", "Port"), Integer.toString(office.smtpPort()))
        .click("save and test", inside("Mail server", "Save and test"));
    assertThat(inside("Mail server", "All is well")).isVisible();
    assertThat(in("Mailbox", "Host")).hasValue("127.0.0.1");
    acts.choose("protection", protection("Mailbox"), "NONE")
        .fill("port", in("Mailbox", "Port"), Integer.toString(office.imapPort()))
        .fill("user", in("Mailbox", "User"), PostOffice.COMMON_MAILBOX)
        .fill("password", in("Mailbox", "Password"), "mistyped")
        .press("Enter");
    assertThat(inside("Mailbox", "It does not take the user and password")).isVisible();
    acts.fill("password", in("Mailbox", "Password"), PostOffice.COMMON_PASSWORD).press("Enter");
    assertThat(inside("Mailbox", "All is well")).isVisible();
    assertThat(in("Mailbox", "Password")).hasValue("");
    acts.click("there and back", button("Send both"));
    assertThat(page.getByText("It came back: mails leave, and the mailbox is read."))
        .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(30_000));
    assertThat(page.getByText("mara@" + DOMAIN)).isVisible();
    Eventually.holds(() -> assertThat(office.mailbox("mara")).hasSize(1));
    assertAccessible("mail");
  }

  @Test(dependsOnMethods = "mailLeavesAndComesBack")
  public void threePeopleAreWrittenTo() throws Exception {
    acts.click("go on to people", page.getByText("Go on: People"));
    page.waitForURL("**/people/import");
    String file =
        """
        First name,Last name,E-mail
        Ada,Reis,ada@readers.test
        Ben,Sol,ben@readers.test
        Cai,Tide,cai@readers.test
        """;
    page.locator("input[type=file]")
        .setInputFiles(
            new FilePayload("choir.csv", "text/csv", file.getBytes(StandardCharsets.UTF_8)));
    page.waitForURL(Pattern.compile(".*/people/import/\\d+"));
    acts.click("choose the file", page.getByText("3 rows"))
        .click("check", button("Check without changing anything"))
        .click("take in", button("Take 3 in"));
    assertThat(page.getByText("Done: 3 new, 0 changed.")).isVisible();
    acts.click("to the people", button("To the people"));
    assertThat(rows()).hasCount(3);
    acts.click("a row", rows().first()).press("Control+a").press("w");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Write to 3 people");
    acts.press("Enter");
    page.waitForURL(Pattern.compile(".*/mailings/\\d+"));
    acts.click("subject", page.getByRole(AriaRole.TEXTBOX, named("Subject")))
        .write("Rehearsal, {{first_name}}");
    acts.click("message", page.getByRole(AriaRole.TEXTBOX, named("Message")))
        .write("Dear {{first_name}}, we sing on Friday.");
    assertSaved();
    Locator release = page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Release 3…")));
    acts.click("release", release);
    Locator sure =
        page.getByRole(AriaRole.DIALOG)
            .getByText(Pattern.compile("^Release 3"), new Locator.GetByTextOptions());
    assertThat(sure.last()).isFocused();
    acts.press("Enter");
  }

  @Test(dependsOnMethods = "threePeopleAreWrittenTo")
  public void oneReplyIsRead() throws Exception {
    Eventually.holds(() -> assertThat(readers()).hasSize(3));
    Delivered ada =
        readers().stream().filter(d -> d.to().startsWith("ada@")).findFirst().orElseThrow();
    assertThat(ada.message().getSubject()).isEqualTo("Rehearsal, Ada");
    ReaderReply.to(ada, office.smtpPort(), "mara@" + DOMAIN, "I shall be there.");
    acts.click("desk", page.getByRole(AriaRole.LINK, named(Pattern.compile("^Desk"))).first());
    Locator reply = page.getByRole(AriaRole.LINK).filter(withText("Ada Reis")).first();
    acts.click("the reply", reply);
    assertThat(page.getByText("I shall be there.").first()).isVisible();
    assertThat(acts.count()).isLessThanOrEqualTo(MOST_ACTS);
    assertNoComplaints();
  }

  private List<Delivered> readers() {
    return office.delivered().stream().filter(d -> d.to().endsWith("@readers.test")).toList();
  }

  private static Locator.FilterOptions withText(String words) {
    return new Locator.FilterOptions().setHasText(words);
  }

  @Test(dependsOnMethods = "oneReplyIsRead")
  public void aColleagueIsInvitedAndLimited() {
    page.navigate(home + "/settings/colleagues");
    button("Invite a colleague").click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    dialog.getByLabel("Name").fill("Ivo Fenn");
    dialog.getByLabel("E-mail").fill("ivo@" + DOMAIN);
    dialog.getByLabel("Representative").check();
    button("Send the invitation").click();
    assertThat(page.getByText("is on its way to Ivo Fenn")).isVisible();
    page.navigate(home + "/settings/roles");
    page.getByLabel("Representative: Write to many at once").check();
    page.getByLabel("Representative: to at most … people").fill("2");
    page.getByLabel("Representative: with a nod above … people").fill("1");
    button("Keep the changes").click();
    assertThat(page.getByText("It holds from the next thing they do.")).isVisible();
    Eventually.holds(() -> assertThat(office.mailbox("ivo")).hasSize(1));
    Matcher link = LINK.matcher(Mails.part(office.mailbox("ivo").get(0), "text/plain"));
    assertThat(link.find()).isTrue();
    page.context().clearCookies();
    page.navigate(link.group().replaceFirst("http://[^/]+", home));
    page.getByLabel("New password").fill("blue ladder 9");
    press("Enter");
    page.waitForURL("**/desk");
  }

  @Test(dependsOnMethods = "aColleagueIsInvitedAndLimited")
  public void whatGoesTooFarIsRefusedAndTheRestNeedsANod() {
    page.navigate(home + "/people");
    assertThat(rows()).hasCount(3);
    rows().first().click();
    press("Control+a", "w");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Write to 3 people");
    press("Enter");
    page.waitForURL(Pattern.compile(".*/mailings/\\d+"));
    page.getByRole(AriaRole.TEXTBOX, named("Subject")).click();
    page.keyboard().type("Tea, {{first_name}}");
    page.getByRole(AriaRole.TEXTBOX, named("Message")).click();
    page.keyboard().type("Tea is at four.");
    assertSaved();
    button("Open what the check found").click();
    assertThat(page.getByText("You may write to 2 at once; these are 3. Ask Mara Penrose").last())
        .isVisible();
    button("Leave out the last 1").click();
    page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Release 2…"))).click();
    button("Ask for the nod").click();
    assertThat(page.getByText("nothing leaves before it is given").first()).isVisible();
    String mailing = page.url();
    assertThat(readers()).hasSize(3);
    page.context().clearCookies();
    page.navigate(home + "/sign-in");
    page.getByLabel("Login").fill("mara");
    page.getByLabel("Password").fill(PASSWORD);
    press("Enter");
    page.waitForURL("**/desk");
    assertThat(page.getByText("Ivo Fenn asks for your nod to 2 messages").first()).isVisible();
    page.navigate(mailing);
    button("Nod, and let them go").click();
    assertThat(page.getByText("2 messages released with your nod.")).isVisible();
    Eventually.holds(() -> assertThat(readers()).hasSize(5));
    assertNoComplaints();
  }
}
