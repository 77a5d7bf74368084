package app.jemble.bench;

import app.jemble.Api;
import app.jemble.Drafts;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.function.IntSupplier;

/**
 * Texts and notices from the outbox to their service, every message durable before it leaves; each
 * next to a bare loop of the same library with as many in flight, in the same run: with a service
 * that takes some milliseconds to answer, and with one of this machine that answers at once. And
 * what a second way adds to a release.
 */
final class WaysBench {

  static final int IN_FLIGHT = 8;
  private static final int WARM_UPS = 6;
  private static final int RUNS = 5;

  /** Something that hands over all messages by itself. */
  interface Loop {
    void run() throws Exception;
  }

  /** How long a service on a network takes for its answer (common practice, at the low end). */
  static final long ON_A_NETWORK = 5;

  private WaysBench() {}

  static void rest(long millis) {
    if (millis > 0) {
      LockSupport.parkNanos(millis * 1_000_000);
    }
  }

  static void run() throws Exception {
    TextsBench.run();
    NoticesBench.run();
    TwoWaysBench.run();
  }

  /** No phone has quiet hours, texts may cost what they do, and nothing leaves before it is due. */
  static void settle(RunningApp app) {
    app.sql.sql("update workspace set hold_seconds = 3600").update();
    app.sql
        .sql(
            """
            update phone_rules
            set quiet_from = 0, quiet_to = 0, most_a_day = null, most_a_month = null
            """)
        .update();
  }

  /**
   * Prints how many a second leave by the outbox and by the loop, in turn.
   *
   * @param messages how many at a time
   * @param way by which all go
   * @param taken how many the service has taken
   */
  static void compare(
      RunningApp app, String name, int messages, String way, IntSupplier taken, Loop loop)
      throws Exception {
    List<Long> people =
        app.sql.sql("select id from person order by id limit " + messages).query(Long.class).list();
    long[] mailings = new long[WARM_UPS + RUNS];
    for (int i = 0; i < mailings.length; i++) {
      mailings[i] = release(app, people, List.of(way));
    }
    app.sql.sql("vacuum analyze message").update();
    double[] ours = new double[RUNS];
    double[] theirs = new double[RUNS];
    for (int run = -WARM_UPS; run < RUNS; run++) {
      long mailing = mailings[run + WARM_UPS];
      int before = taken.getAsInt();
      app.sql.sql("update message set due_at = now() where cause_id = ?").param(mailing).update();
      double drained = messages / seconds(() -> drain(taken, before + messages));
      double looped = messages / seconds(loop::run);
      if (run >= 0) {
        ours[run] = drained;
        theirs[run] = looped;
      }
    }
    Figures.print(name + ".per_s", "messages/s", ours);
    Figures.print(name + ".loop.per_s", "messages/s", theirs);
    Figures.printRatio(name + ".ratio.loop", ours, theirs);
  }

  private static double seconds(Interleaved.Work work) throws Exception {
    return Interleaved.millis(work) / 1000;
  }

  private static void drain(IntSupplier taken, int all) {
    while (taken.getAsInt() < all) {
      LockSupport.parkNanos(1_000_000);
    }
  }

  /** Releases a mailing that is held; answers its id. */
  static long release(RunningApp app, List<Long> people, List<String> ways) {
    long mailing = draft(app, people, ways);
    int version = app.api.get("/api/mailings/" + mailing).json().get("version").asInt();
    Api.Answer released =
        app.api.post("/api/mailings/" + mailing + "/release", Map.of("version", version));
    if (released.status() != 200) {
      throw new IllegalStateException(released.text());
    }
    while (count(app, "mailing_release where mailing_id = " + mailing) > 0) {
      LockSupport.parkNanos(5_000_000);
    }
    long waiting = count(app, "message where cause_id = " + mailing);
    if (waiting != people.size()) {
      throw new IllegalStateException(waiting + " messages wait, not " + people.size());
    }
    return mailing;
  }

  /** A mailing by these ways, with a wording for each. */
  static long draft(RunningApp app, List<Long> people, List<String> ways) {
    Map<String, Object> begin = new HashMap<>();
    begin.put("parts", List.of());
    begin.put("picks", people);
    begin.put("leftOut", List.of());
    begin.put("templateId", null);
    begin.put("mailingId", null);
    long mailing = app.api.post("/api/mailings", begin).json().get("id").asLong();
    String words = "Dear {{first_name or \"friend\"}}, the slipway opens on Saturday at ten.";
    Map<String, Object> change =
        Drafts.change(app.api, mailing, "The slipway", "<p>" + words + "</p>");
    change.put("topicId", 3);
    change.put("countOpens", true);
    change.put("countClicks", true);
    change.put("ways", ways);
    change.put("text", Map.of("words", words, "likeness", "VALUES"));
    change.put(
        "notice",
        Map.of("title", "The slipway", "words", words, "link", "https://quay.example/slipway"));
    app.api.put("/api/mailings/" + mailing, change);
    return mailing;
  }

  static long count(RunningApp app, String what) {
    return app.sql.sql("select count(*) from " + what).query(Long.class).single();
  }

  /** Runs so many at once and waits for all. */
  static void atOnce(Runnable work) throws InterruptedException {
    Thread[] threads = new Thread[IN_FLIGHT];
    for (int i = 0; i < IN_FLIGHT; i++) {
      threads[i] = new Thread(work);
      threads[i].start();
    }
    for (Thread thread : threads) {
      thread.join();
    }
  }
}
