package app.jemble.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.context.ConfigurableApplicationContext;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Four days of a plan under a cap of seven a day are due on one, as after an outage. Two processes
 * hand over; no day gets more than its cap.
 */
public class CapsAfterOutageTest extends ServerTest {

  private static final ZoneId HOUSE = ZoneId.of("Europe/London");
  private static final int MESSAGES = 25;
  private static final int CAP = 7;

  @Override
  protected int people() {
    return 1;
  }

  private List<Map<String, Object>> byDay(long mailing) {
    return sql.sql(
            """
            select (sent_at at time zone 'Europe/London')::date::text as day, count(*) as messages
            from message
            where cause_id = ? and state = 'sent'
            group by 1 order by 1
            """)
        .param(mailing)
        .query()
        .listOfRows();
  }

  private long inState(long mailing, String state) {
    return sql.sql("select count(*) from message where cause_id = ? and state = ?")
        .params(mailing, state)
        .query(Long.class)
        .single();
  }

  /** Ten in the morning, so many days from now on. */
  private void goToTen(int days) {
    Instant now = clock.instant();
    Instant ten =
        LocalDate.ofInstant(now, HOUSE).plusDays(days).atTime(10, 0).atZone(HOUSE).toInstant();
    clock.advance(Duration.between(now, ten));
  }

  /** What is held back is given its days by a job, which may come before anybody has looked. */
  private void planTheRest(String when) {
    String next =
        "update scheduled_tasks set version = version + 1, execution_time = now() "
            + when
            + " where task_name = 'go-on-after-caps' and not picked";
    Eventually.holds(() -> assertThat(sql.sql(next).update()).isEqualTo(1));
  }

  /** A cap of all, and one of what a role lets leave by one way. */
  @DataProvider
  public Object[][] caps() {
    return new Object[][] {
      {"update sending_rules set daily_cap = ?", "the workspace"},
      {
        "update role r set most_mails_a_day = ? from account a"
            + " where a.role_id = r.id and a.login = 'orla'",
        "Orla Finch by e-mail"
      }
    };
  }

  @Test(dataProvider = "caps")
  public void whatWasPlannedForSeveralDaysLeavesOnSeveralDays(String cap, String whose) {
    api.signIn("orla", "lowen-quay");
    sql.sql("update sending_rules set daily_cap = null").update();
    goToTen(1);
    sql.sql(cap).param(CAP).update();
    List<Long> people = new ArrayList<>();
    for (int i = 0; i < MESSAGES; i++) {
      people.add(
          addPerson("Ann", "Other " + i, whose.substring(0, 4).strip() + i + "@cap.example"));
    }
    try (ConfigurableApplicationContext second = start()) {
      assertThat(second.isRunning()).isTrue();
      sql.sql("update workspace set hold_seconds = 3600").update();
      long mailing = draft(people, "Hello", "<p>Hello</p>");
      assertThat(release(mailing).status()).isEqualTo(200);
      assertThat(inState(mailing, "waiting")).isEqualTo(MESSAGES);

      planTheRest("+ interval '1 hour'");
      goToTen(4);
      Eventually.holds(() -> assertThat(inState(mailing, "sent")).isEqualTo(CAP));
      Eventually.holds(() -> assertThat(inState(mailing, "held")).isEqualTo(MESSAGES - CAP));
      String reason =
          sql.sql("select distinct reason from message where cause_id = ? and state = 'held'")
              .param(mailing)
              .query(String.class)
              .single();
      assertThat(reason).isEqualTo("over the daily cap of " + whose + " (7)");

      planTheRest("");
      for (int day = 1; day <= 3; day++) {
        Eventually.holds(() -> assertThat(inState(mailing, "held")).isZero());
        int expected = Math.min(MESSAGES, CAP * (day + 1));
        goToTen(1);
        Eventually.holds(() -> assertThat(inState(mailing, "sent")).isEqualTo(expected));
      }
      assertThat(byDay(mailing))
          .extracting(row -> row.get("messages"))
          .containsExactly(7L, 7L, 7L, 4L);
    } finally {
      sql.sql("update person set archived_at = now() where email like '%@cap.example'").update();
      sql.sql("update workspace set hold_seconds = 0").update();
    }
  }
}
