package app.jemble.kills;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.AppHouse;
import app.jemble.ServerTest;
import app.jemble.carrier.notice.PushKeys;
import app.jemble.standins.push.PretendApp;
import app.jemble.standins.push.PushService;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;

/**
 * Notices leave through a push service that gives some of them no answer, from two processes that
 * are killed: none goes twice, none is lost, what nobody can know is in doubt.
 */
public class NoticeKillTest extends ServerTest {

  private static final int MESSAGES = 400;
  private static final int KILLS = 3;

  /** So many of one process are on their way at once. */
  private static final int IN_FLIGHT = 2;

  private PushService service;

  @Override
  protected int people() {
    return 1;
  }

  @Override
  protected List<String> moreSettings() {
    if (service == null) {
      service = new PushService(0);
    }
    return AppHouse.through(service);
  }

  @AfterClass(alwaysRun = true)
  public void closeService() {
    service.close();
  }

  private List<Long> peopleWithTheApp() {
    sql.sql("delete from response").update();
    sql.sql("delete from message").update();
    sql.sql("update phone_rules set quiet_from = 0, quiet_to = 0").update();
    PretendApp app = new PretendApp("all", new byte[] {9});
    Base64.Decoder base64 = Base64.getUrlDecoder();
    String houseKey = application.getBean(PushKeys.class).publicKey();
    List<Long> people = new ArrayList<>();
    for (int i = 0; i < MESSAGES; i++) {
      long id = addPerson("Ann", "Other", null);
      sql.sql(
              """
              insert into device (person_id, address, key, secret, registered_at, heard_at)
              values (?, ?, ?, ?, now(), now())
              """)
          .params(
              id,
              service.subscribe("d" + id, houseKey),
              base64.decode(app.key()),
              base64.decode(app.secret()))
          .update();
      people.add(id);
    }
    return people;
  }

  private void letThemLeave() throws SQLException {
    try (Connection connection = DriverManager.getConnection(database(), "jemble", "");
        Statement statement = connection.createStatement()) {
      statement.executeUpdate("update message set due_at = now(), planned_at = now()");
    }
  }

  @Test
  public void noNoticeIsLostOrGoesTwice() throws Exception {
    api.signIn("orla", "lowen-quay");
    sql.sql("update workspace set hold_seconds = 3600").update();
    long mailing = draft(peopleWithTheApp(), "Hello", "<p>Hello</p>");
    Map<String, Object> change = change(mailing, "Hello", "<p>Hello</p>");
    change.put("ways", List.of("APP"));
    change.put("notice", Map.of("title", "Hello", "words", "Hello {{first_name}}", "link", ""));
    assertThat(api.put("/api/mailings/" + mailing, change).status()).isEqualTo(200);
    assertThat(release(mailing).status()).isEqualTo(200);
    application.close();
    letThemLeave();

    try (NoticeKillTrial trial = new NoticeKillTrial(database(), service, new Random(20261129))) {
      NoticeKillTrial.Outcome outcome = trial.run(KILLS);
      System.out.println(outcome);
      KilledOutbox.Fates fates = outcome.fates();
      assertThat(fates.messages()).isEqualTo(MESSAGES);
      assertThat(fates.unsettled()).as("still waiting").isZero();
      assertThat(fates.lost()).as("sent, but shown nowhere").isZero();
      assertThat(fates.twice()).as("shown twice").isZero();
      assertThat(fates.inDoubt())
          .as("what nobody can know")
          .isLessThanOrEqualTo(KILLS * IN_FLIGHT + outcome.silent());
      assertThat(outcome.silent()).isPositive();
    }
  }
}
