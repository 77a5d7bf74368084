package app.jemble.standins;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Store;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Properties;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** The pretend outside world keeps to the protocols of the real one. */
public class PostOfficeTest {

  private static final long SEED = 11;
  private static final String HTML = "text/html; charset=utf-8";

  private PostOffice office;
  private HttpServer web;
  private final List<String> fetched = Collections.synchronizedList(new ArrayList<>());

  @BeforeClass
  public void open() throws IOException {
    office = new PostOffice(0, 0, "ternquay.example", Duration.ofMillis(10), SEED);
    web = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    web.createContext("/", this::answer);
    web.start();
  }

  @AfterClass(alwaysRun = true)
  public void close() {
    office.close();
    web.stop(0);
  }

  private void answer(HttpExchange exchange) throws IOException {
    String agent = exchange.getRequestHeaders().getFirst("User-Agent");
    String body = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
    fetched.add(
        exchange.getRequestMethod() + " " + exchange.getRequestURI() + " " + body + " " + agent);
    if (exchange.getRequestURI().getPath().endsWith("/button")) {
      byte[] page =
          "<form method=\"post\"><button>Yes</button></form>".getBytes(StandardCharsets.UTF_8);
      exchange.sendResponseHeaders(200, page.length);
      exchange.getResponseBody().write(page);
    } else {
      exchange.sendResponseHeaders(204, -1);
    }
    exchange.close();
  }

  /** A reader whose profile for this mail is as wanted. */
  private static String reader(String mailId, Predicate<Profile> wanted) {
    return IntStream.range(0, 100_000)
        .mapToObj(i -> "reader" + i + "@far.test")
        .filter(a -> wanted.test(Profile.of(a, mailId, SEED)))
        .findFirst()
        .orElseThrow();
  }

  /** A mail about one thing alone, which asks for a press of a button. */
  private void ask(String to, String id) throws MessagingException {
    MimeMessage mail = mail(to, id);
    mail.setSubject("Please confirm");
    mail.setContent("<p><a href=\"" + base(to) + "/button\">finish</a></p>", HTML);
    mail.saveChanges();
    Transport.send(mail);
  }

  @Test
  public void somePressTheButtonTheyAskedForAndAScannerPressesNothing() throws Exception {
    String yes = reader("<yes@house.test>", p -> works(p) && p.confirms() && !p.scanned());
    String no = reader("<no@house.test>", p -> works(p) && !p.confirms() && p.scanned());
    ask(yes, "<yes@house.test>");
    ask(no, "<no@house.test>");
    until(() -> hasFetched("POST /" + yes + "/button"));
    until(() -> hasFetched("GET /" + no + "/button"));
    assertThat(hasFetched("POST /" + no)).as("fetching is no press").isFalse();
  }

  private void send(String to, String id) throws MessagingException {
    MimeMessage mail = mail(to, id);
    mail.setSubject("Spring");
    mail.setHeader("List-Unsubscribe", "<" + base(to) + "/leave>");
    mail.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
    mail.setContent(
        "<p><a href=\"" + base(to) + "/link\">see</a></p><img src=\"" + base(to) + "/mark.gif\">",
        HTML);
    mail.saveChanges();
    Transport.send(mail);
  }

  private String base(String to) {
    return "http://127.0.0.1:" + web.getAddress().getPort() + "/" + to;
  }

  private MimeMessage mail(String to, String id) throws MessagingException {
    Properties p = new Properties();
    p.put("mail.smtp.host", "127.0.0.1");
    p.put("mail.smtp.port", Integer.toString(office.smtpPort()));
    p.put("mail.smtp.from", "return+" + id.replaceAll("[<>@.]", "") + "@ternquay.example");
    MimeMessage mail =
        new MimeMessage(Session.getInstance(p)) {
          @Override
          protected void updateMessageID() throws MessagingException {
            setHeader("Message-ID", id);
          }
        };
    mail.setFrom(new InternetAddress("orla@ternquay.example"));
    mail.setRecipient(Message.RecipientType.TO, new InternetAddress(to));
    return mail;
  }

  private static void until(BooleanSupplier done) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(30);
    while (!done.getAsBoolean()) {
      assertThat(System.nanoTime()).as("not within 30 s").isLessThan(end);
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
    }
  }

  private boolean hasFetched(String part) {
    synchronized (fetched) {
      return fetched.stream().anyMatch(f -> f.contains(part));
    }
  }

  /** All mail in the house's common mailbox, read over IMAP as Jemble reads it. */
  private List<String> common() {
    try (Store store = Session.getInstance(new Properties()).getStore("imap")) {
      store.connect(
          "127.0.0.1", office.imapPort(), PostOffice.COMMON_MAILBOX, PostOffice.COMMON_PASSWORD);
      Folder inbox = store.getFolder("INBOX");
      inbox.open(Folder.READ_ONLY);
      return Arrays.stream(inbox.getMessages()).map(PostOfficeTest::text).toList();
    } catch (MessagingException e) {
      throw new IllegalStateException(e);
    }
  }

  private static String text(Message mail) {
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      mail.writeTo(out);
      return out.toString(StandardCharsets.UTF_8);
    } catch (MessagingException | IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private String awaitCommon(String part) {
    until(() -> common().stream().anyMatch(m -> m.contains(part)));
    return common().stream().filter(m -> m.contains(part)).findFirst().orElseThrow();
  }

  @Test
  public void aScannerFetchesEverythingWithinSecondsAndPressesNothing() throws Exception {
    String id = "<scan@x.test>";
    String who = reader(id, p -> p.scanned() && !p.opens() && p.mailbox() == Profile.Mailbox.WORKS);
    send(who, id);
    until(() -> hasFetched("GET /" + who + "/link"));
    assertThat(hasFetched("GET /" + who + "/mark.gif")).isTrue();
    assertThat(hasFetched("POST /" + who)).isFalse();
    synchronized (fetched) {
      assertThat(fetched).filteredOn(f -> f.contains(who)).allMatch(f -> f.contains("PostScan"));
    }
  }

  @Test
  public void aReaderOpensFollowsAndRepliesInTheThread() throws Exception {
    String id = "<reply@x.test>";
    String who = reader(id, p -> p.replies() && p.clicks() && !p.scanned() && works(p));
    send(who, id);
    String reply = awaitCommon("In-Reply-To: " + id);
    assertThat(hasFetched("GET /" + who + "/mark.gif")).isTrue();
    assertThat(hasFetched("GET /" + who + "/link")).isTrue();
    assertThat(reply).contains("References: " + id, "Subject: Re: Spring", "From: " + who);
    assertThat(reply).doesNotContain("Auto-Submitted");
  }

  @Test
  public void awayReadersSayThatSoftwareWrote() throws Exception {
    String id = "<away@x.test>";
    send(reader(id, p -> p.away() && works(p)), id);
    assertThat(awaitCommon("In-Reply-To: " + id)).contains("Auto-Submitted: auto-replied");
  }

  @Test
  public void aMailboxThatDoesNotExistIsReportedInTheFormOfTheStandard() throws Exception {
    String id = "<gone@x.test>";
    String who = reader(id, p -> p.mailbox() == Profile.Mailbox.DOES_NOT_EXIST);
    send(who, id);
    assertThat(awaitCommon("rfc822; " + who))
        .contains(
            "multipart/report",
            "report-type=delivery-status",
            "message/delivery-status",
            "Action: failed",
            "Status: 5.1.1",
            "text/rfc822-headers",
            "Message-ID: " + id);
  }

  @Test
  public void leavingIsOneClickByPost() throws Exception {
    String id = "<leave@x.test>";
    String who = reader(id, p -> p.leaves() && !p.scanned() && works(p));
    send(who, id);
    until(() -> hasFetched("POST /" + who + "/leave List-Unsubscribe=One-Click"));
    assertThat(hasFetched("GET /" + who + "/leave")).isFalse();
  }

  private static boolean works(Profile p) {
    return p.mailbox() == Profile.Mailbox.WORKS;
  }
}
