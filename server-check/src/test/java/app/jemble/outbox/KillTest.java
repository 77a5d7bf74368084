package app.jemble.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import java.util.List;
import org.testng.annotations.Test;

/**
 * Whatever is killed, and whenever: every message is at the mail server exactly once, or refused
 * with its code, or in doubt and held. The long form of this is {@code ./jemble bench outbox}.
 */
public class KillTest extends ServerTest {

  private static final int MESSAGES = 900;

  @Override
  protected int people() {
    return 1;
  }

  /** Nothing listens there: this process only fills the outbox. */
  @Override
  protected int smtpPort() {
    return 1;
  }

  @Test
  public void nothingIsLostAndNothingGoesTwice() throws Exception {
    api.signIn("orla", "lowen-quay");
    List<Long> people = KillTrial.people(sql, MESSAGES);
    assertThat(release(draft(people, "Hello", "<p>Dear {{first_name}}</p>")).status())
        .isEqualTo(200);
    application.close();

    KillTrial.Outcome outcome = KillTrial.run(new KillTrial.Setting(database(), 20261125, 3, 4));
    System.out.println(outcome);
    assertThat(outcome.messages()).isEqualTo(MESSAGES);
    assertThat(outcome.unsettled()).as("still waiting").isZero();
    assertThat(outcome.lost()).as("sent, but not at the mail server").isZero();
    assertThat(outcome.twice()).as("at the mail server twice").isZero();
    assertThat(outcome.refusedWithoutCode()).isZero();
    assertThat(outcome.refused()).isPositive();
    assertThat(outcome.inDoubt()).isLessThanOrEqualTo(outcome.mostDoubts());
  }
}
