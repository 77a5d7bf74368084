package app.jemble.bench;

import app.jemble.kills.SeriesKillTally;
import app.jemble.kills.SeriesKillTrial;
import java.util.Locale;

/**
 * Two processes that let people into a series, take them on and remember a day are killed forty
 * times while they do; the short form is SeriesKillTest.
 */
final class SeriesKillBench {

  private static final int KILLS = 40;
  private static final int PEOPLE = 200;

  private SeriesKillBench() {}

  static void run() throws Exception {
    new RunningApp(1, "--jemble.smtp.port=1").close();
    SeriesKillTally tally =
        SeriesKillTrial.run(
            new SeriesKillTrial.Setting(System.getenv("JEMBLE_DB_URL"), 28, KILLS, PEOPLE));
    tally.moments().forEach((moment, kills) -> print("at_" + moment, "" + kills));
    print("entries", "" + tally.entries());
    print("finished", "" + tally.finished());
    print("replied", "" + tally.replied());
    print("messages", "" + tally.messages());
    print("in_doubt", "" + tally.inDoubt());
    print("lost", tally.lost().size() + " " + tally.lost());
    print("twice", tally.twice().size() + " " + tally.twice());
    print("late", tally.late().size() + " " + tally.late());
  }

  private static void print(String name, String value) {
    System.out.println("series.kill." + name.toLowerCase(Locale.ROOT) + ": " + value);
  }
}
