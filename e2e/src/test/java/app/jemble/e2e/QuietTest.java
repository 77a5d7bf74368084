package app.jemble.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.Mails;
import app.jemble.standins.PostOffice.Delivered;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.time.Duration;
import java.util.List;
import java.util.Properties;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/**
 * A mailing runs; its responses arrive by mail, and on the open screen without a reload; the quiet
 * get another message in the thread, who replied does not; a task appears for the owner.
 */
public class QuietTest extends BrowserTest {

  private static final String QUIET = "quiet@reader.test";
  private static final String REPLIER = "replier@reader.test";

  private long quiet;
  private long mailing;

  @Override
  protected int people() {
    return 60;
  }

  /** Nobody else does anything while this is tried. */
  @Override
  protected Duration readersDay() {
    return Duration.ofDays(30);
  }

  private long ownedByTomas(String first, String address) {
    long id = addPerson(first, "Reader", address);
    sql.sql(
            """
            update person set owner_id = (select id from account where login = 'tomas')
            where id = ?
            """)
        .param(id)
        .update();
    return id;
  }

  private void addRule() {
    button("Add a rule").click();
    assertThat(page.getByText("A rule for after it is out")).isVisible();
    page.getByLabel("How long to wait").fill("1");
    page.getByLabel("Unit").last().selectOption("HOURS");
  }

  private List<Delivered> to(String address) {
    return office.delivered().stream().filter(d -> d.to().equals(address)).toList();
  }

  private static String header(Delivered delivered, String name) {
    return Mails.header(delivered.message(), name);
  }

  private void reply(String from, Delivered to) throws MessagingException {
    Properties way = new Properties();
    way.put("mail.smtp.host", "127.0.0.1");
    way.put("mail.smtp.port", String.valueOf(office.smtpPort()));
    way.put("mail.smtp.from", from);
    MimeMessage reply = new MimeMessage(Session.getInstance(way));
    reply.setFrom(new InternetAddress(from));
    reply.setRecipient(Message.RecipientType.TO, new InternetAddress("orla@ternquay.example"));
    reply.setSubject("Re: " + header(to, "Subject"));
    reply.setHeader("In-Reply-To", header(to, "Message-ID"));
    reply.setText("Keep a place for me.");
    Transport.send(reply);
  }

  @Test
  public void rulesAreSetOnTheBenchBeforeRelease() {
    signIn("orla");
    api.signIn("orla", "lowen-quay");
    quiet = ownedByTomas("Quincy", QUIET);
    long replier = ownedByTomas("Ruth", REPLIER);
    mailing =
        draft(List.of(quiet, replier), "A place on the slipway", "<p>Dear {{first_name}}</p>");
    page.navigate(home + "/mailings/" + mailing);
    assertThat(page.getByText(Pattern.compile("Proof 1 of"))).isVisible();

    addRule();
    Locator text = page.getByRole(AriaRole.TEXTBOX, named("The next message").setExact(true));
    text.click();
    page.keyboard().type("Is there anything we can help with, ");
    page.keyboard().press("{");
    page.keyboard().type("first name");
    page.keyboard().press("Enter");
    assertThat(page.getByText("Is there anything we can help with, ").last()).isVisible();
    button("Add the rule").click();
    assertThat(page.getByText("No reply in 1 hour → another message in the thread")).isVisible();

    addRule();
    page.getByLabel("What is done").selectOption("TASK");
    page.getByLabel("What is to be done").fill("Ask about the slipway");
    page.getByLabel("Due, working days").fill("0");
    assertAccessible("the dialog of a rule");
    button("Add the rule").click();
    assertThat(page.getByText("No reply in 1 hour after 1. → task “Ask about the slipway” (call)"))
        .isVisible();
    assertThat(page.getByText(Pattern.compile("· 2 to come, from "))).isVisible();
    button("Open Then").click();
    Locator toCome = page.getByRole(AriaRole.BUTTON, named("2 to come"));
    assertThat(toCome).hasCount(2);
    toCome.first().click();
    assertThat(page.getByRole(AriaRole.DIALOG).getByText("Quincy Reader")).isVisible();
    button("Close").click();
    assertNoComplaints();
  }

  @Test(dependsOnMethods = "rulesAreSetOnTheBenchBeforeRelease")
  public void responsesArriveOnTheOpenScreen() throws MessagingException {
    press("Control+Enter");
    releaseByEnter();
    assertThat(page.getByText("2 of 2 gone")).isVisible();
    page.navigate(home + "/responses/" + mailing);
    assertThat(page.getByText("nothing yet").first()).isVisible();
    page.evaluate("window.neverReloaded = true");

    Eventually.holds(() -> assertThat(to(REPLIER)).hasSize(1));
    reply(REPLIER, to(REPLIER).get(0));
    assertThat(page.getByText(Pattern.compile("^replied · 50"))).isVisible();
    assertThat(page.getByText("Ruth Reader").first()).isVisible();
    assertThat(page.evaluate("window.neverReloaded")).isEqualTo(true);
  }

  @Test(dependsOnMethods = "responsesArriveOnTheOpenScreen")
  public void theQuietGetAnotherMessageInTheThreadAndWhoRepliedDoesNot() {
    clock.advance(Duration.ofMinutes(61));
    Eventually.holds(() -> assertThat(to(QUIET)).hasSize(2));
    Delivered first = to(QUIET).get(0);
    Delivered second = to(QUIET).get(1);
    assertThat(header(second, "In-Reply-To")).isEqualTo(header(first, "Message-ID"));
    assertThat(header(second, "References")).contains(header(first, "Message-ID"));
    assertThat(header(second, "Subject")).isEqualTo(header(first, "Subject"));
    assertThat(to(REPLIER)).hasSize(1);

    page.navigate(home + "/mailings/" + mailing);
    assertThat(page.getByText("1 done")).isVisible();
    page.getByText("1 no longer meant").first().click();
    assertThat(page.getByText("replied in the meantime")).isVisible();
    button("Close").click();
  }

  @Test(dependsOnMethods = "theQuietGetAnotherMessageInTheThreadAndWhoRepliedDoesNot")
  public void aTaskAppearsForTheOwnerAndIsDoneFromTheDesk() {
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql(
                            """
                            select count(*) from message where thread_id is not null
                              and state = 'sent'
                            """)
                        .query(Long.class)
                        .single())
                .isEqualTo(1));
    clock.advance(Duration.ofMinutes(61));
    page.context().clearCookies();
    signIn("tomas");
    assertThat(page.getByText("Ask about the slipway")).isVisible();
    assertThat(page.getByText("Quincy Reader").first()).isVisible();
    page.getByLabel("Done: Ask about the slipway").click();
    assertThat(page.getByText("“Ask about the slipway” is done.")).isVisible();
    assertThat(page.getByLabel("Done: Ask about the slipway")).hasCount(0);
    assertThat(
            sql.sql("select count(*) from task where person_id = ? and done_at is not null")
                .param(quiet)
                .query(Long.class)
                .single())
        .isEqualTo(1);
    assertNoComplaints();
  }

  /** The reader chooses topics, leaves, and comes back, with no account and no script. */
  @Test(dependsOnMethods = "aTaskAppearsForTheOwnerAndIsDoneFromTheDesk")
  public void theReaderLeavesByTheLinkInTheMessage() {
    String token = messageValue(mailing, quiet, "token");
    page.context().clearCookies();
    page.navigate(home + "/leave/" + token);
    assertThat(page.getByText("What would you like to hear about?")).isVisible();
    assertAccessible("the leaving page");
    page.getByLabel("Yard news").uncheck();
    button("Save my choice").click();
    assertThat(page.getByText("Your choice is saved")).isVisible();
    assertThat(page.getByLabel("Yard news")).not().isChecked();
    button("No mail at all").click();
    assertThat(page.getByText("You have left the list")).isVisible();
    page.getByLabel("Yard news").check();
    button("Save my choice").click();
    assertThat(page.getByLabel("Yard news")).isChecked();
    assertNoComplaints();
  }
}
