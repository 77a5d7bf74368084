package app.jemble.release;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.util.List;
import java.util.Map;
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * A large release of which one lot cannot be written at first: nothing leaves, and it is gone on
 * with.
 */
public class ReleaseWritingTest extends ServerTest {

  private static final int PEOPLE = 2 * ReleaseNotes.LOT + 200;

  @Override
  protected int people() {
    return 1;
  }

  @BeforeClass
  @Override
  public void startAll() {
    super.startAll();
    api.signIn("orla", "lowen-quay");
    sql.sql(
            """
            create function break_off() returns trigger language plpgsql as $$
            begin
              raise exception 'broken off';
            end $$
            """)
        .update();
  }

  /** A test's own people: readers of one answer while the next is written. */
  private List<Long> people(String house) {
    return sql.sql(
            """
            insert into person (kind, first_name, last_name, email, created_at)
            select 'contact', 'Ann', 'Other ' || n, 'ann' || n || '@' || ?, now()
            from generate_series(1, ?) n
            returning id
            """)
        .params(house, PEOPLE)
        .query(Long.class)
        .list();
  }

  private void breakOff() {
    sql.sql(
            """
            create trigger break_off before insert on message for each row
            when (new.address like 'ann1@%') execute function break_off()
            """)
        .update();
  }

  @AfterMethod
  public void mend() {
    sql.sql("drop trigger if exists break_off on message").update();
    sql.sql("update workspace set hold_seconds = 0").update();
  }

  private long count(String what, long mailing) {
    return sql.sql("select count(*) from message where cause_id = ? and " + what)
        .param(mailing)
        .query(Long.class)
        .single();
  }

  private void releaseThatBreaksOff(long mailing) {
    breakOff();
    assertThat(release(mailing).status()).isEqualTo(200);
    Eventually.holds(
        () -> {
          JsonNode writing = api.get("/api/mailings/" + mailing).json().get("writing");
          assertThat(writing.get("written").asInt()).isEqualTo(PEOPLE - ReleaseNotes.LOT);
          assertThat(writing.get("messages").asInt()).isEqualTo(PEOPLE);
        });
  }

  @Test
  public void whatBrokeOffIsGoneOnWithAndNobodyHasTwo() {
    long mailing = draft(people("one.example"), "Hello", "<p>Dear {{first_name}}</p>");
    releaseThatBreaksOff(mailing);
    String path = "/api/mailings/" + mailing;
    Api.Answer paused = api.post(path + "/pause", Map.of());
    assertThat(paused.status()).isEqualTo(409);
    assertThat(paused.json().get("detail").asString()).contains("2,700 of 5,200");
    assertThat(api.post(path + "/withdraw", Map.of()).status()).isEqualTo(409);
    assertThat(count("tries > 0", mailing)).as("left before all was written").isZero();

    mend();
    Eventually.holds(() -> assertThat(count("true", mailing)).isEqualTo(PEOPLE));
    Eventually.holds(() -> assertThat(api.get(path).json().get("writing").isNull()).isTrue());
    Eventually.holds(() -> assertThat(count("tries > 0", mailing)).isPositive());
    long people =
        sql.sql("select count(distinct person_id) from message where cause_id = ?")
            .param(mailing)
            .query(Long.class)
            .single();
    assertThat(people).isEqualTo(PEOPLE);
    sql.sql("update message set state = 'withdrawn' where in_hands_of is null and state <> 'sent'")
        .update();
  }

  @Test
  public void whatBrokeOffCanBeTakenBack() {
    sql.sql("update workspace set hold_seconds = 600").update();
    long mailing = draft(people("two.example"), "Hello", "<p>Dear {{first_name}}</p>");
    releaseThatBreaksOff(mailing);
    Api.Answer back = api.post("/api/mailings/" + mailing + "/take-back", Map.of());
    assertThat(back.json().get("state").asString()).isEqualTo("DRAFT");
    assertThat(back.json().get("writing").isNull()).isTrue();
    mend();
    application.getBean(ReleaseWriter.class).write(mailing);
    assertThat(count("true", mailing)).isZero();
  }

  @Test
  public void whoLeftMeanwhileIsNotWrittenTo() {
    long mailing = draft(people("three.example"), "Hello", "<p>Dear {{first_name}}</p>");
    releaseThatBreaksOff(mailing);
    long left =
        application
            .getBean(TransactionTemplate.class)
            .execute(
                tx -> {
                  // As another process that is at the lot which is not written yet.
                  sql.sql("select begins from mailing_release_lot where mailing_id = ? for update")
                      .param(mailing)
                      .query(Integer.class)
                      .single();
                  long second =
                      sql.sql("select person_ids[2] from mailing_release where mailing_id = ?")
                          .param(mailing)
                          .query(Long.class)
                          .single();
                  sql.sql("update person set asked_not = true where id = ?").param(second).update();
                  sql.sql("drop trigger break_off on message").update();
                  return second;
                });
    Eventually.holds(() -> assertThat(count("true", mailing)).isEqualTo(PEOPLE - 1));
    assertThat(count("person_id = " + left, mailing)).isZero();
    sql.sql("update message set state = 'withdrawn' where in_hands_of is null and state <> 'sent'")
        .update();
  }
}
