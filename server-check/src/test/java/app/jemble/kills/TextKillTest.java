package app.jemble.kills;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import app.jemble.TextHouse;
import app.jemble.standins.text.MessageCentre;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;

/**
 * Texts leave through a message centre that breaks off before and after its answers, from two
 * processes that are killed: none goes twice, none is lost, what nobody can know is in doubt; what
 * comes back is there once.
 */
public class TextKillTest extends ServerTest {

  private static final int MESSAGES = 400;
  private static final int KILLS = 3;

  /** So many of one process are on their way at once. */
  private static final int WINDOW = 4;

  @Override
  protected int people() {
    return 1;
  }

  /** Nothing listens there: this process only fills the outbox. */
  @Override
  protected List<String> moreSettings() {
    return TextHouse.through(1);
  }

  private List<Long> peopleWithNumbers() {
    sql.sql("delete from response").update();
    sql.sql("delete from message").update();
    sql.sql(
            "update phone_rules set quiet_from = 0, quiet_to = 0, most_a_day = null,"
                + " most_a_month = null")
        .update();
    List<Long> people = new ArrayList<>();
    for (int i = 0; i < MESSAGES; i++) {
      long id = addPerson("Ann", "Other", null);
      sql.sql("update person set phone = ? where id = ?").params(number(i), id).update();
      people.add(id);
    }
    return people;
  }

  private static String number(int place) {
    return "+447700900" + String.format(Locale.ROOT, "%03d", place);
  }

  @Test
  public void noTextIsLostOrGoesTwiceAndAnswersComeOnce() throws Exception {
    api.signIn("orla", "lowen-quay");
    long mailing = draft(peopleWithNumbers(), "Hello", "<p>Hello</p>");
    Map<String, Object> change = change(mailing, "Hello", "<p>Hello</p>");
    change.put("ways", List.of("TEXT"));
    change.put("text", Map.of("words", "x".repeat(170) + " {{first_name}}", "likeness", "NOWHERE"));
    assertThat(api.put("/api/mailings/" + mailing, change).status()).isEqualTo(200);
    assertThat(release(mailing).status()).isEqualTo(200);
    application.close();

    try (MessageCentre centre = new MessageCentre(0, TextHouse.USER, TextHouse.PASSWORD);
        TextKillTrial trial = new TextKillTrial(database(), centre, new Random(20261128))) {
      TextKillTrial.Outcome outcome = trial.run(KILLS);
      System.out.println(outcome);
      KilledOutbox.Fates fates = outcome.fates();
      assertThat(fates.messages()).isEqualTo(MESSAGES);
      assertThat(fates.unsettled()).as("still waiting").isZero();
      assertThat(fates.lost()).as("sent, but on no phone").isZero();
      assertThat(fates.twice()).as("on a phone twice").isZero();
      assertThat(fates.inDoubt())
          .as("what nobody can know")
          .isLessThanOrEqualTo((KILLS + outcome.dropped()) * WINDOW);
      assertThat(outcome.answered())
          .as("each answer once; %s", trial.arrivals())
          .isEqualTo(outcome.answers());
      assertThat(outcome.receiptsPlaced()).as("each receipt once").isEqualTo(outcome.receipts());
      assertThat(outcome.answers()).isPositive();
      assertThat(outcome.dropped()).isPositive();
    }
  }
}
