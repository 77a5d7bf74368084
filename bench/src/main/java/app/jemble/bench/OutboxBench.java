package app.jemble.bench;

import app.jemble.outbox.PromptSockets;
import jakarta.mail.Address;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.concurrent.locks.LockSupport;

/**
 * From release to the mail server, every message durable before it leaves; next to a bare loop of
 * the same mail library, well tuned, over as many connections with messages as long.
 */
final class OutboxBench {

  private static final int MESSAGES = 2000;
  private static final int CONNECTIONS = 2;
  private static final int RUNS = 5;

  private OutboxBench() {}

  static void run() throws Exception {
    try (SmtpSink sink = new SmtpSink();
        RunningApp app =
            new RunningApp(
                3500,
                "--jemble.smtp.port=" + sink.port(),
                "--jemble.smtp.connections=" + CONNECTIONS,
                "--jemble.outbox.poll-every=50ms")) {
      app.sql.sql("update workspace set hold_seconds = 0").update();
      byte[] message = message();
      Interleaved.Times times =
          Interleaved.millis(1, RUNS, () -> outbox(app, sink), () -> loop(sink, message));
      double[] ours = perSecond(times.ours());
      double[] theirs = perSecond(times.theirs());
      Figures.print("outbox.smtp.per_s", "messages/s", ours);
      Figures.print("outbox.loop.per_s", "messages/s", theirs);
      Figures.printRatio("outbox.ratio.loop", ours, theirs);
    }
  }

  private static double[] perSecond(double[] millis) {
    double[] rates = new double[millis.length];
    for (int i = 0; i < millis.length; i++) {
      rates[i] = MESSAGES / (millis[i] / 1000);
    }
    return rates;
  }

  /** The whole way: begun, released, frozen, claimed, written, handed over, noted as sent. */
  private static void outbox(RunningApp app, SmtpSink sink) {
    List<Long> people =
        app.sql
            .sql(
                """
                select min(id) from person
                where email_valid and email is not null and not asked_not
                  and email_key not in (select email_key from do_not_write)
                group by email_key
                order by 1
                limit ?
                """)
            .param(MESSAGES)
            .query(Long.class)
            .list();
    int before = sink.taken.get();
    long mailing = app.api.post("/api/mailings", begin(people)).json().get("id").asLong();
    app.api.put("/api/mailings/" + mailing, texts());
    app.sql.sql("update mailing set left_out = '{}' where id = ?").param(mailing).update();
    app.api.post("/api/mailings/" + mailing + "/release", Map.of("version", 1));
    long ready =
        app.sql
            .sql("select count(*) from message where mailing_id = ?")
            .param(mailing)
            .query(Long.class)
            .single();
    while (sink.taken.get() - before < ready) {
      LockSupport.parkNanos(1_000_000);
    }
  }

  private static Map<String, Object> begin(List<Long> people) {
    Map<String, Object> begin = new HashMap<>();
    begin.put("filter", null);
    begin.put("picks", people);
    begin.put("leftOut", List.of());
    begin.put("templateId", null);
    return begin;
  }

  private static Map<String, Object> texts() {
    Map<String, Object> change = new HashMap<>();
    change.put("version", 0);
    change.put("name", "Bench");
    change.put("subject", "Hello {{first_name or \"friend\"}}");
    change.put(
        "body",
        "<p>Dear {{first_name or \"friend\"}},</p>"
            + "<p>The slipway opens on Saturday and the yard is busy with boats.</p>".repeat(50));
    change.put("templateId", null);
    change.put("topicId", 3);
    change.put("leftOut", List.of());
    change.put("startWall", null);
    change.put("countOpens", true);
    change.put("countClicks", true);
    return change;
  }

  private static void loop(SmtpSink sink, byte[] message) throws InterruptedException {
    List<Thread> threads = new ArrayList<>();
    for (int c = 0; c < CONNECTIONS; c++) {
      Thread thread = new Thread(() -> send(sink, message, MESSAGES / CONNECTIONS));
      threads.add(thread);
      thread.start();
    }
    for (Thread thread : threads) {
      thread.join();
    }
  }

  private static void send(SmtpSink sink, byte[] octets, int count) {
    Properties p = new Properties();
    p.put("mail.smtp.socketFactory", new PromptSockets());
    Session session = Session.getInstance(p);
    try (Transport transport = session.getTransport("smtp")) {
      transport.connect("127.0.0.1", sink.port(), null, null);
      for (int i = 0; i < count; i++) {
        MimeMessage message = new MimeMessage(session, new ByteArrayInputStream(octets));
        transport.sendMessage(message, new Address[] {new InternetAddress("a@b.example")});
      }
    } catch (MessagingException e) {
      throw new IllegalStateException(e);
    }
  }

  /** As long as the outbox's own: about 10 KB, two parts. */
  private static byte[] message() throws MessagingException, IOException {
    MimeMessage message = new MimeMessage(Session.getInstance(new Properties()));
    message.setFrom(new InternetAddress("orla@ternquay.example"));
    message.setSubject("Hello friend");
    message.setText(
        "The slipway opens on Saturday and the yard is busy with boats.\r\n".repeat(155));
    message.saveChanges();
    java.io.ByteArrayOutputStream out = new java.io.ByteArrayOutputStream();
    message.writeTo(out);
    return out.toByteArray();
  }
}
