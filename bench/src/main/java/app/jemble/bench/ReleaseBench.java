package app.jemble.bench;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import org.postgresql.PGConnection;

/**
 * The release of 100,000 messages, from the request to the last row: checked once more, planned,
 * frozen and written; next to one COPY of the same rows into the same table, which then has the
 * same indexes, keys and compression.
 */
final class ReleaseBench {

  private static final int MESSAGES = 100_000;
  private static final int WARM_UPS = 2;
  private static final int RUNS = 3;
  private static final String ROWS =
      "cause_id, person_id, address, recipient, token, frozen, follows_id, in_reply_to,"
          + " reference_ids, record_id, due_at, planned_at";

  private ReleaseBench() {}

  static void run() throws Exception {
    try (RunningApp app = new RunningApp(MESSAGES * 5 / 4, "--jemble.smtp.port=1")) {
      app.sql.sql("update workspace set hold_seconds = 3600").update();
      long mailing = draft(app);
      double[] whole = new double[RUNS];
      double[] written = new double[RUNS];
      double[] copied = new double[RUNS];
      for (int run = -WARM_UPS; run < RUNS; run++) {
        double[] ours = release(app, mailing);
        double theirs = copy(app, mailing);
        if (run >= 0) {
          whole[run] = ours[0];
          written[run] = ours[1];
          copied[run] = theirs;
        }
      }
      Figures.print("release.100000.s", "s", whole);
      Figures.print("release.100000.written.s", "s", written);
      Figures.print("release.100000.copy_lz4.s", "s", copied);
      Figures.printRatio("release.ratio.copy_lz4", written, copied);
    }
  }

  private static long draft(RunningApp app) {
    List<Long> people = OutboxBench.ready(app, MESSAGES);
    Map<String, Object> begin = new HashMap<>();
    begin.put("parts", List.of());
    begin.put("picks", people);
    begin.put("leftOut", List.of());
    begin.put("templateId", 1);
    begin.put("mailingId", null);
    long mailing = app.api.post("/api/mailings", begin).json().get("id").asLong();
    app.sql.sql("update cause set topic_id = 3 where id = ?").param(mailing).update();
    return mailing;
  }

  /** Seconds of all of it, and of those in which rows were made and written. */
  private static double[] release(RunningApp app, long mailing) {
    String path = "/api/mailings/" + mailing;
    int version = app.api.get(path).json().get("version").asInt();
    long[] noted = new long[1];
    Thread watch = new Thread(() -> noted[0] = whenNoted(app, mailing));
    watch.start();
    long began = System.nanoTime();
    app.api.post(path + "/release", Map.of("version", version));
    while (count(app, "mailing_release where mailing_id = " + mailing) > 0) {
      LockSupport.parkNanos(5_000_000);
    }
    long ended = System.nanoTime();
    long messages = count(app, "message where cause_id = " + mailing);
    if (messages != MESSAGES) {
      throw new IllegalStateException(messages + " messages were written, not " + MESSAGES);
    }
    return new double[] {(ended - began) / 1e9, (ended - noted[0]) / 1e9};
  }

  private static long whenNoted(RunningApp app, long mailing) {
    while (count(app, "mailing_release where mailing_id = " + mailing) == 0) {
      LockSupport.parkNanos(5_000_000);
    }
    return System.nanoTime();
  }

  /** Takes the rows out, and writes them again by one COPY; the mailing is a draft after it. */
  private static double copy(RunningApp app, long mailing) throws SQLException, IOException {
    ByteArrayOutputStream rows = new ByteArrayOutputStream(1 << 26);
    try (Connection connection =
        DriverManager.getConnection(System.getenv("JEMBLE_DB_URL"), "jemble", "")) {
      var copy = connection.unwrap(PGConnection.class).getCopyAPI();
      copy.copyOut(
          "copy (select " + ROWS + " from message where cause_id = " + mailing + ") to stdout",
          rows);
      remove(app, mailing);
      long began = System.nanoTime();
      copy.copyIn(
          "copy message (" + ROWS + ") from stdin", new ByteArrayInputStream(rows.toByteArray()));
      double seconds = (System.nanoTime() - began) / 1e9;
      remove(app, mailing);
      app.sql
          .sql(
              "update cause set state = 'draft', released_at = null, held_until = null,"
                  + " due_at = null where id = ?")
          .param(mailing)
          .update();
      return seconds;
    }
  }

  private static void remove(RunningApp app, long mailing) {
    app.sql.sql("delete from message where cause_id = ?").param(mailing).update();
    app.sql.sql("vacuum analyze message").update();
  }

  private static long count(RunningApp app, String what) {
    return app.sql.sql("select count(*) from " + what).query(Long.class).single();
  }
}
