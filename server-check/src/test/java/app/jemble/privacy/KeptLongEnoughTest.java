package app.jemble.privacy;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What was kept long enough goes in the night that was said before, and nothing else does. */
public class KeptLongEnoughTest extends ServerTest {

  private static final List<String> PARTS = List.of("copies", "responses", "mails", "archived");

  private long bea;
  private long mailing;

  @Override
  protected int people() {
    return 30;
  }

  /** Of the demo's past nothing is older than two years; what is written here is. */
  @BeforeClass(dependsOnMethods = "startAll")
  public void write() {
    api = signedIn("wilma");
    bea = addPerson("Bea", "Old", "bea@old.example");
    mailing = draft(List.of(bea, addPerson("Dov", "New", "dov@new.example")), "Tea", "<p>x</p>");
    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    sql.sql("update message set sent_at = sent_at - interval '5 years' where person_id = ?")
        .param(bea)
        .update();
    sql.sql(
            "insert into inbound_mail (identity, received_at, sender, subject, words, sorted_as, authentication, trouble, mime) values ('old-mail', now() - interval '5 years', 'bea@old.example', 'Re: Tea', 'I come', 'REPLY', '', '', 'I come')")
        .update();
    for (String kind : List.of("OPENED", "CLICKED")) {
      sql.sql(
              "insert into response (message_id, cause_id, person_id, kind, at, detail) select id, cause_id, person_id, ?, now() - interval '5 years', 'by this' from message where person_id = ?")
          .params(List.of(kind, bea))
          .update();
    }
    sql.sql("update person set archived_at = now() - interval '5 years' where id = ?")
        .param(addPerson("Cas", "Gone", "cas@gone.example"))
        .update();
  }

  private Api.Answer keep(Integer months) {
    Map<String, Integer> wanted = new HashMap<>();
    wanted.put("version", api.get("/api/retention").json().get("months").get("version").asInt());
    PARTS.forEach(part -> wanted.put(part, months));
    return api.put("/api/retention", wanted);
  }

  private long count(String what) {
    return sql.sql("select count(*) from " + what).query(Long.class).single();
  }

  /** Of long ago alone: whoever gets a mail may answer it while this runs. */
  private List<String> oldResponses() {
    return sql.sql(
            """
            select kind || ' ' || detail from response
            where person_id = ? and at < now() - interval '4 years'
            order by kind
            """)
        .param(bea)
        .query(String.class)
        .list();
  }

  @Test
  public void aSillyWishIsRefused() {
    assertThat(keep(0).status()).isEqualTo(422);
    assertThat(keep(601).text()).contains("from 1 to 600");
    assertThat(api.get("/api/retention").json().get("goesAt").isNull()).isTrue();
    assertThat(signedIn("orla").put("/api/retention", Map.of("version", 0, "copies", 3)).status())
        .isEqualTo(403);
  }

  @Test(dependsOnMethods = "aSillyWishIsRefused")
  public void itIsSaidBeforeAndGoesInItsNight() {
    JsonNode said = keep(48).json();
    assertThat(said.get("next"))
        .hasSize(4)
        .allSatisfy(
            next -> assertThat(next.get("count").asLong()).as(next.toString()).isEqualTo(1));
    assertThat(api.put("/api/retention", Map.of("version", 0)).status())
        .as("seen before")
        .isEqualTo(409);
    RetentionService retention = application.getBean(RetentionService.class);
    retention.look();
    assertThat(count("inbound_mail where words = 'I come'"))
        .as("not before its night")
        .isEqualTo(1);

    Duration ahead =
        Duration.between(clock.instant(), Instant.parse(said.get("goesAt").asString()));
    clock.advance(ahead);
    retention.look();
    clock.advance(ahead.negated());
    assertThat(
            count("message where copies_id is null and sent_at is not null and person_id = " + bea))
        .isEqualTo(1);
    assertThat(
            count(
                "offered.message_copy c join message m on m.id = c.message_id where m.cause_id = "
                    + mailing))
        .as("the other's")
        .isEqualTo(1);
    assertThat(count("inbound_mail where identity = 'old-mail' and words = '' and mime = ''"))
        .isEqualTo(1);
    assertThat(oldResponses()).containsExactly("CLICKED by this", "OPENED ");
    assertThat(count("person where last_name = 'Gone'")).isZero();
    assertThat(api.get("/api/erasures").json().get(0).get("by").asString()).contains("the house");
    assertThat(api.get("/api/history?kind=PRIVACY").text())
        .contains("Let go of copies of messages, 1", "Erased archived people, 1");
    JsonNode next = api.get("/api/retention").json();
    assertThat(next.get("goesAt").asString()).isGreaterThan(said.get("goesAt").asString());
    assertThat(next.get("next")).allSatisfy(n -> assertThat(n.get("count").asLong()).isZero());
  }
}
