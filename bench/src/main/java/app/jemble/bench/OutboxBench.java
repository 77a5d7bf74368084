package app.jemble.bench;

import app.jemble.Drafts;
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
 * From the outbox to the mail server, every message durable before it leaves; next to a bare loop
 * of the same mail library, well tuned, and to Debian's smtp-source, over as many connections with
 * messages as long.
 */
final class OutboxBench {

  private static final int MESSAGES = 5000;
  private static final int CONNECTIONS = 2;
  private static final int OCTETS = 10_000;
  private static final int WARM_UPS = 36;
  private static final int RUNS = 5;

  private OutboxBench() {}

  static void run() throws Exception {
    try (SmtpSink sink = new SmtpSink();
        RunningApp app =
            new RunningApp(
                9000,
                "--jemble.smtp.port=" + sink.port(),
                "--jemble.smtp.connections=" + CONNECTIONS,
                "--jemble.outbox.poll-every=50ms")) {
      app.sql.sql("update workspace set hold_seconds = 3600").update();
      byte[] message = message();
      double[] ours = new double[RUNS];
      double[] theirs = new double[RUNS];
      double[] source = new double[RUNS];
      long[] mailings = new long[WARM_UPS + RUNS];
      for (int i = 0; i < mailings.length; i++) {
        mailings[i] = prepare(app);
      }
      app.sql.sql("vacuum analyze message").update();
      for (int run = -WARM_UPS; run < RUNS; run++) {
        long mailing = mailings[run + WARM_UPS];
        int before = sink.taken.get();
        app.sql.sql("update message set due_at = now() where cause_id = ?").param(mailing).update();
        double drained = perSecond(Interleaved.millis(() -> drain(sink, before)));
        double looped = perSecond(Interleaved.millis(() -> loop(sink, message)));
        double poured = perSecond(Interleaved.millis(() -> pour(sink)));
        if (run >= 0) {
          ours[run] = drained;
          theirs[run] = looped;
          source[run] = poured;
        }
      }
      Figures.print("outbox.smtp.per_s", "messages/s", ours);
      Figures.print("outbox.loop.per_s", "messages/s", theirs);
      Figures.print("outbox.source.per_s", "messages/s", source);
      Figures.printRatio("outbox.ratio.loop", ours, theirs);
      Figures.printRatio("outbox.ratio.source", ours, source);
    }
  }

  private static double perSecond(double millis) {
    return MESSAGES / (millis / 1000);
  }

  /** A released mailing that is held: its messages stand in the outbox and wait for their hour. */
  private static long prepare(RunningApp app) {
    List<Long> people = ready(app, MESSAGES);
    long mailing = release(app, people);
    long waiting =
        app.sql
            .sql("select count(*) from message where cause_id = ?")
            .param(mailing)
            .query(Long.class)
            .single();
    if (waiting != MESSAGES) {
      throw new IllegalStateException(waiting + " messages wait, not " + MESSAGES);
    }
    return mailing;
  }

  /** People who can be written to. */
  static List<Long> ready(RunningApp app, int count) {
    return app.sql
        .sql(
            """
            select min(id) from person
            where email_valid and email is not null and not asked_not
              and email_key not in (select address_key from do_not_write)
              and id not in (select person_id from topic_left where topic_id = 3)
            group by email_key
            order by 1
            limit ?
            """)
        .param(count)
        .query(Long.class)
        .list();
  }

  /** Releases a mailing of 10 KB to these people; answers its id. */
  static long release(RunningApp app, List<Long> people) {
    long mailing = app.api.post("/api/mailings", begin(people)).json().get("id").asLong();
    app.api.put("/api/mailings/" + mailing, texts(app, mailing));
    app.api.post("/api/mailings/" + mailing + "/release", Map.of("version", 1));
    return mailing;
  }

  /** Claimed, written, kept, handed over, noted as sent: from when they are due to the last. */
  private static void drain(SmtpSink sink, int before) {
    while (sink.taken.get() - before < MESSAGES) {
      LockSupport.parkNanos(1_000_000);
    }
  }

  private static Map<String, Object> begin(List<Long> people) {
    Map<String, Object> begin = new HashMap<>();
    begin.put("parts", List.of());
    begin.put("picks", people);
    begin.put("leftOut", List.of());
    begin.put("templateId", null);
    begin.put("mailingId", null);
    return begin;
  }

  private static Map<String, Object> texts(RunningApp app, long mailing) {
    Map<String, Object> change =
        Drafts.change(
            app.api,
            mailing,
            "Hello {{first_name or \"friend\"}}",
            "<p>Dear {{first_name or \"friend\"}},</p>"
                + "<p>The slipway opens on Saturday and the yard is busy with boats.</p>"
                    .repeat(50));
    change.put("topicId", 3);
    change.put("letterheadId", 1);
    change.put("promotional", true);
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

  /** Debian's generator of mail, which writes the same message over and over. */
  private static void pour(SmtpSink sink) throws IOException, InterruptedException {
    String[] command = {
      "smtp-source",
      "-d",
      "-s",
      "" + CONNECTIONS,
      "-m",
      "" + MESSAGES,
      "-l",
      "" + OCTETS,
      "-f",
      "orla@ternquay.example",
      "-t",
      "a@b.example",
      "127.0.0.1:" + sink.port()
    };
    int before = sink.taken.get();
    int ended = new ProcessBuilder(command).inheritIO().start().waitFor();
    // The mail that sums up an earlier mailing may come in between.
    if (ended != 0 || sink.taken.get() - before < MESSAGES) {
      throw new IllegalStateException("smtp-source ended with " + ended);
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
