package app.jemble.colleague;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A colleague leaves, and what they had is handed over in the same act, or stays. */
public class LeavingTest extends ServerTest {

  private Api administrator;
  private Api orla;
  private long orlaId;
  private long tomasId;
  private long reedId;
  private long bo;
  private long waits;
  private long waitsPrivately;
  private long draft;
  private long privateDraft;

  @Override
  protected int people() {
    return 60;
  }

  @Override
  protected boolean demoSeries() {
    return true;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    administrator = signedIn("wilma");
    orla = signedIn("orla");
    api = orla;
    orlaId = idOf("orla");
    tomasId = idOf("tomas");
    reedId = idOf("reed");
    bo = addPerson("Bo", "Gone", "bo@ternquay.example");
    long ada = addPerson("Ada", "Gone", "ada@ternquay.example");
    sql.sql("update workspace set hold_seconds = 3600").update();
    draft = draft(List.of(bo), "Not yet", "<p>Soon.</p>");
    privateDraft = privately(named("Mine alone", draft(List.of(bo), "Mine", "<p>Soon.</p>")));
    waits = named("It waits", draft(List.of(bo), "Hello", "<p>Hello.</p>"));
    waitsPrivately =
        privately(named("It waits too", draft(List.of(ada), "Hello", "<p>Hello.</p>")));
    assertThat(release(waits).status()).isEqualTo(200);
    assertThat(release(waitsPrivately).status()).isEqualTo(200);
    for (long mailing : List.of(waits, waitsPrivately)) {
      Eventually.holds(() -> assertThat(count("message where cause_id = " + mailing)).isEqualTo(1));
    }
    sql.sql(
            """
            insert into kept_filter (subject, name, filter, shared, owner_id, changed_at)
            select 'people', k.name, '{}', k.shared, id, now()
            from account, (values ('Same name', true), ('Only mine', false)) k (name, shared)
            where login in ('orla', 'tomas')
            """)
        .update();
  }

  private long idOf(String login) {
    return sql.sql("select id from account where login = ?")
        .param(login)
        .query(Long.class)
        .single();
  }

  private long named(String name, long mailing) {
    sql.sql("update cause set name = ? where id = ?").params(name, mailing).update();
    return mailing;
  }

  private long privately(long mailing) {
    sql.sql("update cause set private = true where id = ?").param(mailing).update();
    return mailing;
  }

  private long count(String ofWhat) {
    return sql.sql("select count(*) from " + ofWhat).query(Long.class).single();
  }

  private long senderOf(long cause) {
    return sql.sql("select sender_id from cause where id = ?")
        .param(cause)
        .query(Long.class)
        .single();
  }

  private JsonNode estate(long colleague) {
    return administrator.get("/api/colleagues/" + colleague + "/belongings").json();
  }

  private static Map<String, Long> owned(JsonNode estate) {
    Map<String, Long> counts = new TreeMap<>();
    estate.get("owned").forEach(o -> counts.put(o.get("many").asString(), o.get("count").asLong()));
    return counts;
  }

  private Api.Answer switchOff(long colleague, Long to, String waiting) {
    Map<String, Object> wish = new HashMap<>();
    wish.put("to", to);
    wish.put("waiting", waiting);
    return administrator.put("/api/colleagues/" + colleague + "/off", wish);
  }

  @Test
  public void whatTheyWouldLeaveIsCounted() {
    JsonNode estate = estate(orlaId);
    Map<String, Long> owned = owned(estate);
    assertThat(owned)
        .containsEntry("people", count("person where owner_id = " + orlaId))
        .containsEntry("open tasks", count("task where done_at is null and owner_id = " + orlaId))
        .containsEntry("quotes", count("quote where owner_id = " + orlaId))
        .containsEntry("series", count("series where state <> 'ended' and sender_id = " + orlaId))
        .containsEntry(
            "standing mailings", count("cause where kind = 'OCCASION' and state = 'released'"))
        .containsEntry(
            "shared filters", count("kept_filter where shared and owner_id = " + orlaId));
    assertThat(owned.values()).doesNotContain(0L);
    assertThat(owned.keySet()).contains("drafts");
    assertThat(estate.get("waiting").findValuesAsString("name")).contains("It waits");
    assertThat(estate.toString()).doesNotContain("It waits too", "Mine alone");
  }

  @Test(dependsOnMethods = "whatTheyWouldLeaveIsCounted")
  public void whoCannotTakeOverIsNotGivenIt() {
    assertThat(switchOff(orlaId, reedId, "STAY").text()).contains("Reed Larkin only reads");
    assertThat(switchOff(orlaId, orlaId, "STAY").status()).isEqualTo(422);
    assertThat(switchOff(orlaId, 99_999L, "STAY").status()).isEqualTo(422);
    assertThat(switchOff(orlaId, null, "HAND_OVER").text()).contains("Choose who takes over");
    assertThat(orla.get("/api/desk").status()).as("nothing was done").isEqualTo(200);
    assertThat(senderOf(waits)).isEqualTo(orlaId);
  }

  @Test(dependsOnMethods = "whoCannotTakeOverIsNotGivenIt")
  public void allIsHandedOverButWhatIsPrivate() {
    Map<String, Long> before = owned(estate(orlaId));
    Map<String, Long> had = owned(estate(tomasId));
    assertThat(switchOff(orlaId, tomasId, "HAND_OVER").status()).isEqualTo(204);
    assertThat(orla.get("/api/desk").status()).isEqualTo(401);
    assertThat(owned(estate(orlaId))).isEmpty();
    assertThat(estate(orlaId).get("waiting")).isEmpty();
    Map<String, Long> has = owned(estate(tomasId));
    before.forEach(
        (what, n) -> assertThat(has).as(what).containsEntry(what, n + had.getOrDefault(what, 0L)));
    assertThat(senderOf(draft)).isEqualTo(tomasId);
    assertThat(
            count(
                """
                series_step t join series s on s.id = t.series_id join cause c on c.id = t.cause_id
                where c.sender_id <> s.sender_id"""))
        .as("steps come from whom their series comes from")
        .isZero();
    assertThat(senderOf(privateDraft)).isEqualTo(orlaId);
    assertThat(senderOf(waitsPrivately)).isEqualTo(orlaId);
    assertThat(
            sql.sql("select name from kept_filter where owner_id = ? and name like 'Same name%'")
                .param(tomasId)
                .query(String.class)
                .list())
        .hasSize(2)
        .anyMatch(name -> name.startsWith("Same name (Orla Finch"));
    assertThat(count("kept_filter where name = 'Only mine' and owner_id = " + orlaId)).isOne();
  }

  @Test(dependsOnMethods = "allIsHandedOverButWhatIsPrivate")
  public void whatWaitedLeavesInTheNameOfWhoTookOver() throws Exception {
    clock.advance(Duration.ofHours(2));
    Eventually.holds(() -> assertThat(office.mailbox("bo")).hasSize(1));
    assertThat(office.mailbox("bo").get(0).getFrom()[0].toString()).contains("Tomas Vance");
  }

  @Test(dependsOnMethods = "whatWaitedLeavesInTheNameOfWhoTookOver")
  public void whoIsGoneIsGivenNothingMore() {
    Api.Answer refused =
        administrator.post(
            "/api/people", Map.of("values", Map.of("last_name", "New", "owner", "orla")));
    assertThat(refused.status()).as(refused.text()).isEqualTo(422);
    assertThat(refused.text()).contains("no colleague named");
  }

  @Test(dependsOnMethods = "whoIsGoneIsGivenNothingMore")
  public void theirPeopleAreGivenBackByTakingTheActBack() {
    long act =
        sql.sql("select max(id) from change_batch where words = ?")
            .param("Gave the people of Orla Finch to Tomas Vance")
            .query(Long.class)
            .single();
    long people = count("person where owner_id = " + tomasId);
    long given = count("change where batch_id = " + act);
    assertThat(administrator.post("/api/changes/" + act + "/undo", Map.of()).status())
        .isEqualTo(200);
    assertThat(count("person where owner_id = " + orlaId)).isEqualTo(given);
    assertThat(count("person where owner_id = " + tomasId)).isEqualTo(people - given);
  }

  @Test(dependsOnMethods = "theirPeopleAreGivenBackByTakingTheActBack")
  public void whatWaitsIsWithdrawnWhateverIsPrivate() {
    api = signedIn("tomas");
    long one = draft(List.of(bo), "One", "<p>Hello.</p>");
    long two = privately(draft(List.of(bo), "Two", "<p>Hello.</p>"));
    for (long mailing : List.of(one, two)) {
      assertThat(release(mailing).status()).isEqualTo(200);
      Eventually.holds(() -> assertThat(messageValue(mailing, bo, "state")).isEqualTo("waiting"));
    }
    assertThat(switchOff(tomasId, null, "WITHDRAW").status()).isEqualTo(204);
    assertThat(messageValue(one, bo, "state")).isEqualTo("withdrawn");
    assertThat(messageValue(two, bo, "state")).isEqualTo("withdrawn");
    assertThat(owned(estate(tomasId))).as("all else stays theirs").isNotEmpty();
  }
}
