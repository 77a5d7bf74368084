package app.jemble.bench;

import app.jemble.kills.HouseKillTrial;
import app.jemble.kills.HouseTally;
import java.util.Locale;

/**
 * Two processes that release, hand over, read and follow up are killed fifty times while they do;
 * the short form is HouseKillTest.
 */
final class HouseKillBench {

  private static final int KILLS = 50;
  private static final int PEOPLE = 200;

  private HouseKillBench() {}

  static void run() throws Exception {
    new RunningApp(1, "--jemble.smtp.port=1").close();
    HouseKillTrial.Outcome outcome =
        HouseKillTrial.run(
            new HouseKillTrial.Setting(System.getenv("JEMBLE_DB_URL"), 27, KILLS, PEOPLE));
    outcome.moments().forEach((moment, kills) -> print("at_" + moment, "" + kills));
    HouseTally tally = outcome.tally();
    print("messages", "" + tally.messages());
    print("follow_ups", "" + tally.followUps());
    print("in_doubt", "" + tally.inDoubt());
    print("mails", "" + tally.mails());
    print("acts", "" + tally.acts());
    print("lost", tally.lost().size() + " " + tally.lost());
    print("twice", tally.twice().size() + " " + tally.twice());
    print("read_again.slowest", outcome.slowest().toMillis() + " ms");
  }

  private static void print(String name, String value) {
    System.out.println("house.kill." + name.toLowerCase(Locale.ROOT) + ": " + value);
  }
}
