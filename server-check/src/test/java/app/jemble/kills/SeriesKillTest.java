package app.jemble.kills;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import org.testng.annotations.Test;

/**
 * Whatever is killed at letting people in, taking them on, remembering their day or reading what
 * they write: at most one message an entry and step, nobody after they replied, nobody forgotten.
 * The long form is {@code ./jemble bench series-kills}.
 */
public class SeriesKillTest extends ServerTest {

  private static final int KILLS = 3;
  private static final int PEOPLE = 60;

  @Override
  protected int people() {
    return 1;
  }

  @Test
  public void aSeriesWhoseProcessesAreKilledForgetsNobody() throws Exception {
    application.close();
    SeriesKillTally tally =
        SeriesKillTrial.run(new SeriesKillTrial.Setting(database(), 20261128, KILLS, PEOPLE));
    System.out.println(tally);
    assertThat(tally.moments()).hasSize(KILLS);
    assertThat(tally.lost()).isEmpty();
    assertThat(tally.twice()).isEmpty();
    assertThat(tally.late()).isEmpty();
    // A lot came in before each kill, and one more had a day.
    assertThat(tally.entries()).isEqualTo(KILLS * PEOPLE);
    assertThat(tally.replied()).isPositive();
    assertThat(tally.finished()).isGreaterThan(PEOPLE);
    assertThat(tally.messages()).isGreaterThan(3 * tally.finished() + PEOPLE / 2);
  }
}
