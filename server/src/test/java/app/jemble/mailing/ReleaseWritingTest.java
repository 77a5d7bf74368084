package app.jemble.mailing;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * A large release that breaks off between two lots: nothing leaves, and another goes on with it.
 */
public class ReleaseWritingTest extends ServerTest {

  private static final int PEOPLE = 2 * ReleaseWriter.LOT + 200;
  private List<Long> people;

  @Override
  protected int people() {
    return 1;
  }

  @BeforeClass
  @Override
  public void startAll() {
    super.startAll();
    api.signIn("orla", "lowen-quay");
    people =
        sql.sql(
                """
                insert into person (kind, first_name, last_name, email, created_at)
                select 'contact', 'Ann', 'Other ' || n, 'ann' || n || '@many.example', now()
                from generate_series(1, ?) n
                returning id
                """)
            .param(PEOPLE)
            .query(Long.class)
            .list();
    sql.sql("create sequence rows_written").update();
    sql.sql(
            """
            create function break_off() returns trigger language plpgsql as $$
            begin
              if nextval('rows_written') > 3000 then
                raise exception 'broken off';
              end if;
              return new;
            end $$
            """)
        .update();
  }

  private void breakOff() {
    sql.sql("alter sequence rows_written restart").update();
    sql.sql(
            "create trigger break_off before insert on message for each row execute function break_off()")
        .update();
  }

  @AfterMethod
  public void mend() {
    sql.sql("drop trigger if exists break_off on message").update();
    sql.sql("update workspace set hold_seconds = 0").update();
  }

  private long count(String what, long mailing) {
    return sql.sql("select count(*) from message where mailing_id = ? and " + what)
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
          assertThat(writing.get("written").asInt()).isEqualTo(ReleaseWriter.LOT);
          assertThat(writing.get("messages").asInt()).isEqualTo(PEOPLE);
        });
  }

  @Test
  public void whatBrokeOffIsGoneOnWithAndNobodyHasTwo() {
    long mailing = draft(people, "Hello", "<p>Dear {{first_name}}</p>");
    releaseThatBreaksOff(mailing);
    String path = "/api/mailings/" + mailing;
    Api.Answer paused = api.post(path + "/pause", Map.of());
    assertThat(paused.status()).isEqualTo(409);
    assertThat(paused.json().get("detail").asString()).contains("2,500 of 5,200");
    assertThat(api.post(path + "/withdraw", Map.of()).status()).isEqualTo(409);
    assertThat(count("tries > 0", mailing)).as("left before all was written").isZero();

    mend();
    clock.advance(Duration.ofSeconds(11));
    Eventually.holds(() -> assertThat(count("true", mailing)).isEqualTo(PEOPLE));
    Eventually.holds(() -> assertThat(api.get(path).json().get("writing").isNull()).isTrue());
    Eventually.holds(() -> assertThat(count("tries > 0", mailing)).isPositive());
    long people =
        sql.sql("select count(distinct person_id) from message where mailing_id = ?")
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
    long mailing = draft(people, "Hello", "<p>Dear {{first_name}}</p>");
    releaseThatBreaksOff(mailing);
    Api.Answer back = api.post("/api/mailings/" + mailing + "/take-back", Map.of());
    assertThat(back.json().get("state").asString()).isEqualTo("DRAFT");
    assertThat(back.json().get("writing").isNull()).isTrue();
    mend();
    clock.advance(Duration.ofSeconds(11));
    application.getBean(ReleaseWriter.class).write(mailing);
    assertThat(count("true", mailing)).isZero();
  }

  @Test
  public void whoLeftMeanwhileIsNotWrittenTo() {
    long mailing = draft(people, "Hello", "<p>Dear {{first_name}}</p>");
    releaseThatBreaksOff(mailing);
    long last =
        sql.sql(
                "select person_ids[cardinality(person_ids)] from mailing_release where mailing_id = ?")
            .param(mailing)
            .query(Long.class)
            .single();
    sql.sql("update person set asked_not = true where id = ?").param(last).update();
    mend();
    clock.advance(Duration.ofSeconds(11));
    Eventually.holds(() -> assertThat(count("true", mailing)).isEqualTo(PEOPLE - 1));
    assertThat(count("person_id = " + last, mailing)).isZero();
    sql.sql("update person set asked_not = false where id = ?").param(last).update();
    sql.sql("update message set state = 'withdrawn' where in_hands_of is null and state <> 'sent'")
        .update();
  }
}
