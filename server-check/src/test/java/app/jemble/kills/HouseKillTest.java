package app.jemble.kills;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import java.time.Duration;
import org.testng.annotations.Test;

/**
 * Whatever is killed at whatever it does: nothing is lost, nothing is done twice, and the mailbox
 * is read again within half a minute. The long form of this is {@code ./jemble bench kills}.
 */
public class HouseKillTest extends ServerTest {

  private static final int KILLS = 4;

  @Override
  protected int people() {
    return 1;
  }

  @Test
  public void aHouseThatIsKilledGoesOnWhereItWas() throws Exception {
    application.close();
    HouseKillTrial.Outcome outcome =
        HouseKillTrial.run(new HouseKillTrial.Setting(database(), 20261127, KILLS, 60));
    System.out.println(outcome);
    assertThat(outcome.moments()).hasSize(KILLS);
    assertThat(outcome.tally().lost()).isEmpty();
    assertThat(outcome.tally().twice()).isEmpty();
    assertThat(outcome.tally().followUps()).isPositive();
    assertThat(outcome.tally().acts()).isPositive();
    assertThat(outcome.slowest()).isLessThan(Duration.ofSeconds(30));
  }
}
