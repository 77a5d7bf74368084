package app.jemble.inbound;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.HouseCertificate;
import app.jemble.LoopbackServer;
import app.jemble.ServerTest;
import app.jemble.core.house.ServiceSetting.Protection;
import app.jemble.settings.JembleSettings.Imap;
import app.jemble.standins.PostOffice;
import jakarta.mail.Message;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Properties;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * A mailbox behind TLS (RFC 8314; RFC 9051 section 6.2.1) whose certificate the house itself
 * vouches for is read, and one that another vouches for is not.
 */
public class ProtectedMailboxTest extends ServerTest {

  private HouseCertificate ours;
  private HouseCertificate anothers;
  private PostOffice far;
  private int mails;

  @BeforeClass(dependsOnMethods = "startAll")
  public void open() throws Exception {
    ours = HouseCertificate.make();
    anothers = HouseCertificate.make();
    far = new PostOffice(0, 0, "far.example", Duration.ofDays(1), 7);
  }

  @AfterClass(alwaysRun = true)
  public void close() {
    if (far != null) {
      far.close();
    }
  }

  @DataProvider
  public Object[][] protections() {
    return new Object[][] {{Protection.TLS}, {Protection.STARTTLS}};
  }

  @Test(dataProvider = "protections")
  public void theHousesOwnAuthorityIsTrusted(Protection security) throws Exception {
    String identity = arrives();
    try (LoopbackServer server = new LoopbackServer(client -> guard(client, security))) {
      read(server.port(), security, "");
      assertThat(isRead(identity)).as("the machine knows no such authority").isFalse();
      read(server.port(), security, anothers.authority());
      assertThat(isRead(identity)).as("another's authority").isFalse();
      read(server.port(), security, ours.authority());
      assertThat(isRead(identity)).isTrue();
    }
  }

  private void read(int imapPort, Protection security, String authority) {
    application
        .getBean(MailboxReader.class)
        .read(
            new Imap(
                "localhost",
                imapPort,
                PostOffice.COMMON_MAILBOX,
                PostOffice.COMMON_PASSWORD,
                security,
                authority,
                "",
                Duration.ofSeconds(1)));
  }

  private boolean isRead(String identity) {
    return sql.sql("select exists (select from inbound_mail where identity = ?)")
        .param(identity)
        .query(Boolean.class)
        .single();
  }

  /** A mail in the protected mailbox; answers its Message-ID. */
  private String arrives() throws Exception {
    Properties properties = new Properties();
    properties.put("mail.smtp.host", "127.0.0.1");
    properties.put("mail.smtp.port", Integer.toString(far.smtpPort()));
    MimeMessage mail = new MimeMessage(Session.getInstance(properties));
    mail.setFrom(new InternetAddress("ann@reader.test"));
    mail.setRecipient(Message.RecipientType.TO, new InternetAddress("post@far.example"));
    mail.setSubject("Number " + ++mails);
    mail.setText("Hello");
    Transport.send(mail);
    return mail.getMessageID();
  }

  /** Stands before the far mailbox and protects what is said. */
  private void guard(Socket client, Protection security) throws IOException {
    try (Socket inside = new Socket(InetAddress.getLoopbackAddress(), far.imapPort())) {
      if (security == Protection.STARTTLS) {
        beginPlain(client);
        line(inside.getInputStream());
      }
      Socket outside = ours.over(client);
      Thread back = new Thread(() -> pass(inside, outside), "guard");
      back.setDaemon(true);
      back.start();
      pass(outside, inside);
    }
  }

  /** The plain words before protection begins. */
  private static void beginPlain(Socket client) throws IOException {
    say(client, "* OK far.example");
    while (true) {
      String[] words = line(client.getInputStream()).split(" ");
      if (words.length < 2) {
        throw new IOException("the client said nothing that can be read");
      }
      boolean protects = words[1].equalsIgnoreCase("STARTTLS");
      if (!protects) {
        say(client, "* CAPABILITY IMAP4rev1 STARTTLS LOGINDISABLED");
      }
      say(client, words[0] + " OK fine");
      if (protects) {
        return;
      }
    }
  }

  private static void say(Socket to, String words) throws IOException {
    to.getOutputStream().write((words + "\r\n").getBytes(StandardCharsets.US_ASCII));
    to.getOutputStream().flush();
  }

  /** Octet by octet: what comes after the line is not ours to read. */
  private static String line(InputStream in) throws IOException {
    StringBuilder line = new StringBuilder();
    for (int octet = in.read(); octet >= 0 && octet != '\n'; octet = in.read()) {
      line.append((char) octet);
    }
    return line.toString().strip();
  }

  private static void pass(Socket from, Socket to) {
    try (from;
        to) {
      byte[] some = new byte[8_192];
      for (int had = from.getInputStream().read(some);
          had >= 0;
          had = from.getInputStream().read(some)) {
        to.getOutputStream().write(some, 0, had);
        to.getOutputStream().flush();
      }
    } catch (IOException closed) {
      // One end has closed; so does the other.
    }
  }
}
