package app.jemble.bench;

import app.jemble.Api;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;

/** The release of 100,000 by text, else by mail, next to the same by mail alone, in turn. */
final class TwoWaysBench {

  private static final int MESSAGES = 100_000;
  private static final int WARM_UPS = 2;
  private static final int RUNS = 3;

  private TwoWaysBench() {}

  static void run() throws Exception {
    try (RunningApp app =
        new RunningApp(
            MESSAGES * 5 / 4,
            "--jemble.smtp.port=1",
            "--jemble.text.host=127.0.0.1",
            "--jemble.text.port=1")) {
      WaysBench.settle(app);
      numberEverySecond(app);
      List<Long> people = OutboxBench.ready(app, MESSAGES);
      long two = WaysBench.draft(app, people, List.of("TEXT", "EMAIL"));
      long one = WaysBench.draft(app, people, List.of("EMAIL"));
      double[] twoWays = new double[RUNS];
      double[] oneWay = new double[RUNS];
      for (int run = -WARM_UPS; run < RUNS; run++) {
        double withTwo = release(app, two);
        double withOne = release(app, one);
        if (run >= 0) {
          twoWays[run] = withTwo;
          oneWay[run] = withOne;
        }
      }
      Figures.print("release.two_ways.s", "s", twoWays);
      Figures.print("release.one_way.s", "s", oneWay);
      Figures.printRatio("release.ratio.two_ways", twoWays, oneWay);
    }
  }

  /** A number of their own, which nobody else has. */
  private static void numberEverySecond(RunningApp app) {
    app.sql
        .sql(
            """
            update person
            set phone = case when id % 2 = 0 then '+4477' || lpad(id::text, 8, '0') end
            """)
        .update();
    app.sql.sql("vacuum analyze person").update();
  }

  /** Seconds from the request to the last row; the mailing is a draft after it. */
  private static double release(RunningApp app, long mailing) {
    String path = "/api/mailings/" + mailing;
    int version = app.api.get(path).json().get("version").asInt();
    long began = System.nanoTime();
    Api.Answer answer = app.api.post(path + "/release", Map.of("version", version));
    if (answer.status() != 200) {
      throw new IllegalStateException(answer.text());
    }
    while (WaysBench.count(app, "mailing_release where mailing_id = " + mailing) > 0) {
      LockSupport.parkNanos(5_000_000);
    }
    double seconds = (System.nanoTime() - began) / 1e9;
    long messages = WaysBench.count(app, "message where cause_id = " + mailing);
    if (messages < MESSAGES * 99 / 100) {
      throw new IllegalStateException(messages + " messages were written, not " + MESSAGES);
    }
    takeBack(app, mailing);
    return seconds;
  }

  private static void takeBack(RunningApp app, long mailing) {
    app.sql.sql("delete from message where cause_id = ?").param(mailing).update();
    app.sql.sql("vacuum analyze message").update();
    app.sql
        .sql(
            "update cause set state = 'draft', released_at = null, held_until = null,"
                + " due_at = null where id = ?")
        .param(mailing)
        .update();
  }
}
