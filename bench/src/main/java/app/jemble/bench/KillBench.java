package app.jemble.bench;

import app.jemble.outbox.KillTrial;

/**
 * Two processes empty an outbox of 5,000 through a moody mail server and are killed again and
 * again; the short form is KillTest.
 */
final class KillBench {

  private static final int MESSAGES = 5000;
  private static final int KILLS = 14;
  private static final int DELAY_MILLIS = 6;

  private KillBench() {}

  static void run() throws Exception {
    try (RunningApp app = new RunningApp(1, "--jemble.smtp.port=1")) {
      app.sql.sql("update workspace set hold_seconds = 0").update();
      OutboxBench.release(app, KillTrial.people(app.sql, MESSAGES));
    }
    KillTrial.Outcome outcome =
        KillTrial.run(
            new KillTrial.Setting(System.getenv("JEMBLE_DB_URL"), 8, KILLS, DELAY_MILLIS));
    print("rounds", outcome.kills());
    print("messages", outcome.messages());
    print("sent", outcome.sent());
    print("refused", outcome.refused());
    print("in_doubt", outcome.inDoubt());
    print("in_doubt.most", outcome.mostDoubts());
    print("lost", outcome.lost() + outcome.unsettled());
    print("twice", outcome.twice());
  }

  private static void print(String name, int count) {
    System.out.println("outbox.kill." + name + ": " + count);
  }
}
