package app.jemble.inbound;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** No mail stops the mailbox: it is read, waits for a person, or is set aside with its octets. */
public class HostileMailTest extends ServerTest {

  private static final String BOX = "trial@mailbox";
  private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

  private MailboxReader reader;
  private long uid;

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    api.signIn("orla", "lowen-quay");
    reader = application.getBean(MailboxReader.class);
    application.getBean(InboundMapper.class).know(BOX);
  }

  private void take(byte[] mime) {
    reader.take(BOX, 1, ++uid, mime);
  }

  private static byte[] mail(String... lines) {
    return String.join("\r\n", lines).getBytes(StandardCharsets.UTF_8);
  }

  private long mails() {
    return sql.sql("select count(*) from inbound_mail").query(Long.class).single();
  }

  private long readTo() {
    return sql.sql("select last_uid from mailbox where name = ?")
        .param(BOX)
        .query(Long.class)
        .single();
  }

  @DataProvider
  public Object[][] hostile() {
    String nul = "=?utf-8?q?a=00b?=";
    String report =
        "From: mailer-daemon@far.test\r\nContent-Type: multipart/report; boundary=b\r\n\r\n--b\r\n\r\nx\r\n--b\r\n"
            + "Content-Type: message/delivery-status\r\n\r\nFinal-Recipient: rfc822; a@far.test\r\n"
            + "Action: failed\r\nDiagnostic-Code: smtp; no\0such\0user\r\n--b--";
    return new Object[][] {
      {"NUL in a subject", mail("Subject: " + nul, "From: a@far.test", "", "x")},
      {"NUL in a name", mail("From: " + nul + " <a@far.test>", "", "x")},
      {"NUL in a Message-ID", mail("Message-ID: <a\0b@far.test>", "From: a@far.test", "", "x")},
      {"NUL in a report", report.getBytes(StandardCharsets.UTF_8)},
      {"NUL in a body", mail("From: a@far.test", "", "a\0b")},
      {"a Message-ID too long", mail("Message-ID: <" + "x".repeat(9_000) + "@far.test>", "", "x")},
      {"an encoded Message-ID", mail("Message-ID: =?utf-8?q?<a=0D=0ABcc:_x@far.test>?=", "", "x")},
      {"thousands of re:", mail("Subject: " + "re: ".repeat(20_000), "From: a@far.test", "", "x")},
      {"deep quotes", mail("Content-Type: text/html", "", "<blockquote>".repeat(30_000))},
      {"deep lists", mail("Content-Type: text/html", "", "<ul><li>".repeat(12_000))},
      {"deep numbers", mail("Content-Type: text/html", "", "<ol><li>".repeat(12_000))},
      {
        "a prose of dashes",
        mail("From: mailer-daemon@far.test", "", ("-".repeat(500) + "\r\n").repeat(300))
      },
      {
        "a prose of addresses",
        mail("From: mailer-daemon@far.test", "", "<a@far.test> user unknown ".repeat(20_000))
      },
      {"deep parts", mail(deep(400))},
      {"nothing", new byte[0]},
      {"rubbish", new byte[] {0, 1, 2, (byte) 0xff, 13, 10}},
      {"an unknown alphabet", mail("Content-Type: text/plain; charset=x-none", "", "x")},
      {"a lone surrogate", mail("Content-Type: text/plain; charset=utf-16", "", "\ud83d")},
    };
  }

  private static String[] deep(int parts) {
    String[] lines = new String[parts];
    for (int i = 0; i < parts; i++) {
      lines[i] =
          (i == 0 ? "" : "--b" + (i - 1) + "\r\n")
              + "Content-Type: multipart/mixed; boundary=b"
              + i
              + "\r\n";
    }
    return lines;
  }

  @Test(dataProvider = "hostile", timeOut = 60_000)
  public void itIsTakenInAndTheNextOneIsRead(String what, byte[] mime) {
    long before = mails();
    // Of the processor, not by the clock: what else runs on the machine says nothing of a mail.
    long begun = THREADS.getCurrentThreadCpuTime();
    take(mime);
    assertThat((THREADS.getCurrentThreadCpuTime() - begun) / 1_000_000)
        .as(what + " ms")
        .isLessThan(2_000);
    assertThat(mails()).as(what).isEqualTo(before + 1);
    String next = "<next-" + uid + "@far.test>";
    take(mail("From: next@far.test", "Message-ID: " + next, "", "Hello"));
    assertThat(
            sql.sql("select count(*) from inbound_mail where identity = ?")
                .param(next)
                .query(Long.class)
                .single())
        .isEqualTo(1);
    assertThat(readTo()).isEqualTo(uid);
  }

  /** As a mail of any other name, it is read, and only what it answers is asked. */
  @Test
  public void aNameEncodedTwiceIsRead() {
    take(
        mail(
            "From: =?utf-8?q?=3D=3Futf-8=3Fq=3Fa=3D20b=3D00c=3F=3D?= <b@far.test>",
            "Subject: Re: y",
            "",
            "x"));
    assertThat(
            sql.sql("select trouble from inbound_mail order by id desc limit 1")
                .query(String.class)
                .single())
        .isEqualTo("");
  }

  @DataProvider
  public Object[][] oddTypes() {
    return new Object[][] {
      {"text/plain; =x"},
      {"text/plain; charset"},
      {"text/plain; charset=\""},
      {"text/plain; charset=\"\""},
      {"text/plain; ;;"},
      {"text/plain;\""},
    };
  }

  @Test(dataProvider = "oddTypes")
  public void wordsOfATypeThatCannotBeReadAreRead(String type) {
    take(mail("Content-Type: " + type, "From: a@far.test", "", "Hello from afar"));
    Map<String, Object> kept =
        sql.sql("select words, trouble from inbound_mail order by id desc limit 1")
            .query()
            .singleRow();
    assertThat(kept.get("trouble")).isEqualTo("");
    assertThat(kept.get("words")).isEqualTo("Hello from afar");
  }

  @Test
  public void whatCannotBeReadWaitsWithItsOctetsAndItsReason() {
    application.getBean(InboundService.class).setAside(mail("odd"), "It takes too long to read.");
    Map<String, Object> kept =
        sql.sql(
                "select sorted_as, trouble, mime, placed_at from inbound_mail order by id desc limit 1")
            .query()
            .singleRow();
    assertThat(kept.get("trouble")).isEqualTo("It takes too long to read.");
    assertThat((byte[]) kept.get("mime")).isEqualTo(mail("odd"));
    assertThat(kept.get("placed_at")).isNull();
    List<String> decisions =
        api.get("/api/desk")
            .json()
            .get("decisions")
            .valueStream()
            .map(d -> d.get("kind").asString())
            .toList();
    assertThat(decisions).as("a line on the desk").contains("unplaced");
  }

  @Test
  public void whatCameIsThereOctetByOctet() {
    byte[] mime = mail("Subject: Deep", "From: a@far.test", "", "x\0y");
    take(mime);
    long id =
        sql.sql("select max(id) from inbound_mail where placed_at is null")
            .query(Long.class)
            .single();
    Api.Answer came = api.get("/api/mail/unplaced/" + id + "/octets");
    assertThat(came.status()).as(came.text()).isEqualTo(200);
    assertThat(came.text()).isEqualTo(new String(mime, StandardCharsets.UTF_8));
    assertThat(came.raw().headers().firstValue("content-disposition").orElse(""))
        .contains("attachment", "mail-" + id + ".eml");
  }

  /** {@code ./jemble bench fuzz} takes a hundred thousand. */
  @Test(timeOut = 300_000)
  public void randomMailsAreAllTakenIn() {
    MailFuzz fuzz = new MailFuzz(application, 20261127);
    for (int i = 0; i < 1_500; i++) {
      assertThat(fuzz.next()).as("mail %d: %s", i, fuzz.last()).isLessThan(3_000);
    }
    assertThat(fuzz.isReadToTheEnd()).isTrue();
  }
}
