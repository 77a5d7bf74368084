package app.jemble.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The plan of a mailing as it is shown, released, held back and changed on the way. */
public class RunSheetTest extends ServerTest {

  private static final ZoneId HOUSE = ZoneId.of("Europe/London");
  private static final int DAY = 24 * 60;

  private int people;

  @Override
  protected int people() {
    return 30;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  @AfterMethod
  public void liftAllCaps() {
    sql.sql("delete from colleague_cap").update();
    sql.sql("update sending_rules set hours = null, daily_cap = null").update();
    sql.sql("update workspace set hold_seconds = 0").update();
    sql.sql("delete from day_off where name = 'test'").update();
  }

  private List<Long> add(int count, String zone) {
    List<Long> ids = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      String name = String.format(Locale.ROOT, "P%04d", people++);
      long id = addPerson(name, "Quay", "p" + people + "@plan.example");
      sql.sql("update person set time_zone = ? where id = ?").params(zone, id).update();
      ids.add(id);
    }
    return ids;
  }

  private static Map<String, Object> plan(Object... what) {
    Map<String, Object> plan = new HashMap<>();
    plan.put("startOwn", false);
    plan.put("waveGapSeconds", 900);
    plan.put("ownClock", false);
    for (int i = 0; i < what.length; i += 2) {
      plan.put((String) what[i], what[i + 1]);
    }
    return plan;
  }

  private static List<Map<String, Object>> everyDay(int from, int to) {
    return List.of("MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY", "SATURDAY", "SUNDAY")
        .stream()
        .map(day -> Map.<String, Object>of("day", day, "from", from, "to", to))
        .toList();
  }

  private long draftWith(List<Long> picks, Map<String, Object> plan) {
    long id = draft(picks, "Plan", "<p>Plan</p>");
    Map<String, Object> change = change(id, "Plan", "<p>Plan</p>");
    change.put("plan", plan);
    Api.Answer saved = api.put("/api/mailings/" + id, change);
    assertThat(saved.status()).as(saved.json().toString()).isEqualTo(200);
    return id;
  }

  private JsonNode ask(long id, Map<String, Object> plan) {
    Api.Answer answer = api.post("/api/mailings/" + id + "/plan", plan);
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
    return answer.json();
  }

  private List<Instant> dues(long mailing) {
    return sql
        .sql("select due_at from message where cause_id = ? order by id")
        .param(mailing)
        .query(Timestamp.class)
        .list()
        .stream()
        .map(Timestamp::toInstant)
        .toList();
  }

  private long count(long mailing, String state) {
    return sql.sql("select count(*) from message where cause_id = ? and state = ?")
        .params(mailing, state)
        .query(Long.class)
        .single();
  }

  private LocalDate tomorrow() {
    return LocalDate.ofInstant(clock.instant(), HOUSE).plusDays(1);
  }

  @Test
  public void theRunSheetShowsWhereACapBindsWithWhatOthersHold() {
    sql.sql("insert into colleague_cap select id, 3 from account where login = 'orla'").update();
    LocalDate day = tomorrow().plusDays(20);
    LocalDateTime nine = day.atTime(9, 0);
    long other = draftWith(add(2, null), plan("startWall", nine.toString()));
    assertThat(release(other).status()).isEqualTo(200);
    long id = draftWith(add(5, null), plan());
    JsonNode sheet = ask(id, plan("startWall", nine.toString()));
    assertThat(sheet.get("messages").asLong()).isEqualTo(5);
    assertThat(sheet.get("days").size()).isEqualTo(3);
    JsonNode first = sheet.get("days").get(0);
    assertThat(first.get("day").asString()).isEqualTo(day.toString());
    assertThat(first.get("messages").asLong()).as("two of three are another's").isEqualTo(1);
    assertThat(first.get("bound").get(0).asString()).isEqualTo("Orla Finch");
    assertThat(first.get("hours").get(0).get("hour").asInt()).isEqualTo(9);
    api.post("/api/mailings/" + other + "/withdraw", Map.of());
    assertThat(
            ask(id, plan("startWall", nine.toString())).get("days").get(0).get("messages").asLong())
        .as("what is withdrawn holds nothing")
        .isEqualTo(3);
  }

  @Test
  public void whoGetsAnotherMailingSoonIsCountedWhileThePlanChanges() {
    LocalDate day = tomorrow().plusDays(40);
    List<Long> both = add(2, null);
    long other = draftWith(both, plan("startWall", day.atTime(9, 0).toString()));
    assertThat(release(other).status()).isEqualTo(200);
    List<Long> picks = new ArrayList<>(both);
    picks.addAll(add(1, null));
    Map<String, Object> soon = plan("startWall", day.plusDays(3).atTime(9, 0).toString());
    long id = draftWith(picks, soon);
    assertThat(ask(id, soon).get("colliding").asInt()).isEqualTo(2);
    assertThat(ask(id, soon).get("spacingDays").asInt()).isEqualTo(3);
    Map<String, Object> later = plan("startWall", day.plusDays(3).atTime(9, 1).toString());
    assertThat(ask(id, later).get("colliding").asInt()).isZero();
    String findings = api.get("/api/mailings/" + id + "/check").json().get("findings").toString();
    assertThat(findings).contains("2 people get a message of another mailing within 3 days.");
    api.post("/api/mailings/" + other + "/withdraw", Map.of());
  }

  @Test
  public void aDayToBeDoneByIsSoughtBackwards() {
    LocalDateTime nine = tomorrow().atTime(9, 0);
    long id = draftWith(add(10, null), plan());
    Map<String, Object> slow =
        plan(
            "startWall", nine.toString(),
            "wavePeople", 1,
            "waveGapSeconds", 3600,
            "hours", everyDay(540, 720),
            "doneBy", tomorrow().plusDays(1).toString());
    JsonNode doneBy = ask(id, slow).get("doneBy");
    assertThat(doneBy.get("met").asBoolean()).as("three a day take four days").isFalse();
    assertThat(doneBy.get("smallestWave").asInt()).as("six waves in two mornings").isEqualTo(2);
    assertThat(doneBy.get("largestGapSeconds").asLong())
        .as("five a morning, so four gaps in less than three hours")
        .isEqualTo(2699);
    long kept = draftWith(add(10, null), slow);
    Api.Answer refused = release(kept);
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.json().get("detail").asString()).contains("after the day");
  }

  /** Half past twelve in London, when its hours are over, is half past seven in New York. */
  @Test
  public void hoursOnOwnClocksAreProposedWhereTheyAreInTime() {
    Map<String, Object> noon =
        plan(
            "startWall", tomorrow().atTime(12, 30).toString(),
            "hours", everyDay(540, 720),
            "doneBy", tomorrow().toString());
    JsonNode there = ask(draftWith(add(2, "America/New_York"), plan()), noon);
    assertThat(there.get("doneBy").get("met").asBoolean()).isFalse();
    assertThat(Instant.parse(there.get("ownClocksLast").asString()))
        .isEqualTo(tomorrow().atTime(9, 0).atZone(ZoneId.of("America/New_York")).toInstant());
    JsonNode here = ask(draftWith(add(2, null), plan()), noon);
    assertThat(here.get("ownClocksLast").isNull()).isTrue();
  }

  @Test
  public void whatBindsIsNamedWhenNoPaceDoesIt() {
    sql.sql("insert into colleague_cap select id, 2 from account where login = 'orla'").update();
    long id = draftWith(add(10, null), plan());
    JsonNode doneBy = ask(id, plan("wavePeople", 5, "doneBy", tomorrow().toString())).get("doneBy");
    assertThat(doneBy.get("met").asBoolean()).isFalse();
    assertThat(doneBy.get("smallestWave").isNull()).isTrue();
    assertThat(doneBy.get("missSeconds").asLong()).isPositive();
    assertThat(doneBy.get("limits").get(0).asString()).isEqualTo("Orla Finch");
  }

  @Test
  public void eachMessageIsDueAtNineOnItsReadersClock() {
    List<Long> picks = new ArrayList<>(add(1, "America/New_York"));
    picks.addAll(add(1, "Asia/Kathmandu"));
    picks.addAll(add(1, null));
    LocalDateTime nine = tomorrow().plusDays(1).atTime(9, 0);
    long id = draftWith(picks, plan("startWall", nine.toString(), "startOwn", true));
    JsonNode look = api.get("/api/mailings/" + id + "/check").json();
    assertThat(look.get("findings").toString()).contains("NO_TIME_ZONE");
    assertThat(release(id).status()).isEqualTo(200);
    assertThat(dues(id))
        .containsExactly(
            nine.atZone(ZoneId.of("America/New_York")).toInstant(),
            nine.atZone(ZoneId.of("Asia/Kathmandu")).toInstant(),
            nine.atZone(HOUSE).toInstant());
  }

  @Test
  public void aDayOffOfTheWorkspaceIsLeftOut() {
    sql.sql("insert into day_off (day, name) values (?, 'test') on conflict do nothing")
        .param(tomorrow())
        .update();
    long id = draftWith(add(1, null), plan());
    JsonNode sheet = ask(id, plan("startWall", tomorrow().atTime(9, 0).toString()));
    assertThat(sheet.get("first").asString())
        .isEqualTo(tomorrow().plusDays(1).atStartOfDay(HOUSE).toInstant().toString());
  }

  @Test
  public void whatIsPausedStaysAndGoesOnByItsPlan() {
    sql.sql("update workspace set hold_seconds = 600").update();
    long id = draftWith(add(4, null), plan("wavePeople", 2, "waveGapSeconds", 3600));
    assertThat(release(id).status()).isEqualTo(200);
    assertThat(api.post("/api/mailings/" + id + "/pause", Map.of()).json().get("messages").asInt())
        .isEqualTo(4);
    assertThat(api.post("/api/mailings/" + id + "/pause", Map.of()).status()).isEqualTo(409);
    clock.advance(Duration.ofHours(3));
    assertThat(messageReasons(id)).containsOnly("paused by Orla Finch");
    assertThat(count(id, "held")).isEqualTo(4);
    Instant before = clock.instant();
    assertThat(api.post("/api/mailings/" + id + "/resume", Map.of()).status()).isEqualTo(200);
    List<Instant> dues = dues(id);
    assertThat(dues.get(0)).isBetween(before, clock.instant().plusSeconds(1));
    assertThat(Duration.between(dues.get(1), dues.get(2))).isEqualTo(Duration.ofHours(1));
    Eventually.holds(() -> assertThat(count(id, "sent")).isEqualTo(2));
    assertThat(count(id, "waiting")).isEqualTo(2);
    assertThat(api.get("/api/mailings/" + id).json().get("paused").asBoolean()).isFalse();
  }

  private List<String> messageReasons(long mailing) {
    return sql.sql("select reason from message where cause_id = ?")
        .param(mailing)
        .query(String.class)
        .list();
  }

  @Test
  public void theRestLeavesByAnotherPlanAndNobodyTwice() {
    long id = draftWith(add(5, null), plan("wavePeople", 1, "waveGapSeconds", 86_400));
    assertThat(release(id).status()).isEqualTo(200);
    Eventually.holds(() -> assertThat(count(id, "sent")).isEqualTo(1));
    JsonNode rest = ask(id, plan());
    assertThat(rest.get("messages").asLong()).as("the plan is of the rest").isEqualTo(4);
    assertThat(api.put("/api/mailings/" + id + "/rest", plan()).status()).isEqualTo(200);
    awaitSettled(id);
    assertThat(count(id, "sent")).isEqualTo(5);
    long delivered =
        office.delivered().stream()
            .filter(d -> d.to().endsWith("@plan.example"))
            .filter(d -> recipients(id).contains(d.to()))
            .count();
    assertThat(delivered).isEqualTo(5);
    JsonNode run = api.get("/api/mailings/" + id + "/run").json();
    long sent = 0;
    for (JsonNode hour : run.get("hours")) {
      sent += hour.get("sent").asLong();
    }
    assertThat(sent).isEqualTo(5);
    assertThat(run.get("last").isNull()).isTrue();
    Api.Answer nothing = api.put("/api/mailings/" + id + "/rest", plan());
    assertThat(nothing.json().get("detail").asString()).contains("Nothing of this mailing waits");
  }

  private List<String> recipients(long mailing) {
    return sql.sql("select address from message where cause_id = ?")
        .param(mailing)
        .query(String.class)
        .list();
  }

  /** Shifted by days, the rest keeps its pace. */
  @Test
  public void theRestIsShifted() {
    LocalDateTime nine = tomorrow().atTime(9, 0);
    Map<String, Object> waves =
        plan("startWall", nine.toString(), "wavePeople", 1, "waveGapSeconds", 600);
    long id = draftWith(add(3, null), waves);
    release(id);
    Map<String, Object> later = new HashMap<>(waves);
    later.put("startWall", nine.plusDays(2).toString());
    assertThat(api.put("/api/mailings/" + id + "/rest", later).status()).isEqualTo(200);
    Instant start = nine.plusDays(2).atZone(HOUSE).toInstant();
    assertThat(dues(id)).containsExactly(start, start.plusSeconds(600), start.plusSeconds(1200));
    assertThat(api.get("/api/mailings/" + id).json().get("plan").get("startWall").asString())
        .startsWith(nine.plusDays(2).toString());
  }

  @Test
  public void aPausedMailingCanBeTakenBackWhileItIsHeld() {
    sql.sql("update workspace set hold_seconds = 600").update();
    long id = draftWith(add(2, null), plan());
    release(id);
    api.post("/api/mailings/" + id + "/pause", Map.of());
    assertThat(api.post("/api/mailings/" + id + "/take-back", Map.of()).status()).isEqualTo(200);
    JsonNode draft = api.get("/api/mailings/" + id).json();
    assertThat(draft.get("state").asString()).isEqualTo("DRAFT");
    assertThat(draft.get("paused").asBoolean()).isFalse();
    assertThat(dues(id)).isEmpty();
  }

  @DataProvider
  public Object[][] plansThatCannotBe() {
    return new Object[][] {
      {plan("wavePeople", 0), "at least one person"},
      {plan("waveGapSeconds", -1), "31 days"},
      {plan("waveGapSeconds", 100L * 86_400), "31 days"},
      {plan("hours", List.of()), "at least one hour"},
      {plan("hours", everyDay(600, 600)), "begin before they end"},
      {plan("hours", everyDay(0, DAY + 1)), "begin before they end"},
    };
  }

  @Test(dataProvider = "plansThatCannotBe")
  public void aPlanThatCannotBeIsRefusedWithASentence(Map<String, Object> plan, String sentence) {
    long id = draftWith(add(1, null), plan());
    Api.Answer answer = api.post("/api/mailings/" + id + "/plan", plan);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().toString()).contains(sentence);
    Map<String, Object> change = change(id, "Plan", "<p>Plan</p>");
    change.put("plan", plan);
    assertThat(api.put("/api/mailings/" + id, change).status()).isEqualTo(422);
  }

  @Test
  public void aReaderHoldsNothingBack() {
    long id = draftWith(add(1, null), plan("startWall", tomorrow().atTime(9, 0).toString()));
    release(id);
    Api reed = new Api("http://127.0.0.1:" + port);
    reed.signIn("reed", "lowen-quay");
    assertThat(reed.post("/api/mailings/" + id + "/pause", Map.of()).status()).isEqualTo(403);
    assertThat(reed.put("/api/mailings/" + id + "/rest", plan()).status()).isEqualTo(403);
    assertThat(count(id, "waiting")).isEqualTo(1);
  }

  /** Responses are counted on the clock of whoever gave them. */
  @Test
  public void aTimeToStartIsSuggestedFromWhenTheyRead() {
    List<Long> readers = new ArrayList<>(add(4, "Asia/Kathmandu"));
    long first = draftWith(readers, plan());
    release(first);
    awaitSettled(first);
    for (long reader : readers) {
      sql.sql(
              """
              insert into response (message_id, cause_id, person_id, kind, at)
              select id, cause_id, person_id, kind,
                     timestamptz '2026-06-01 14:15Z' + n * interval '1 day'
              from message, unnest(array['OPENED', 'CLICKED', 'MACHINE_OPENED']) kind,
                   generate_series(1, 3) n
              where cause_id = ? and person_id = ?
              """)
          .params(first, reader)
          .update();
    }
    long second = draftWith(readers, plan());
    JsonNode reading = api.get("/api/mailings/" + second + "/reading-time").json();
    assertThat(reading.get("time").asString()).as("14:15 UTC in Kathmandu").startsWith("20:00");
    assertThat(reading.get("responses").asInt()).as("machines left out").isEqualTo(24);
    assertThat(reading.get("people").asInt()).isEqualTo(4);
    long unknown = draftWith(add(2, null), plan());
    assertThat(api.get("/api/mailings/" + unknown + "/reading-time").status()).isEqualTo(204);
  }

  @Test
  public void whoLacksAValueIsCountedByField() {
    List<Long> picks = add(3, null);
    sql.sql("update person set number = 'N-77' where id = ?").param(picks.get(0)).update();
    long id = draft(picks, "Plan", "<p>Plan</p>");
    JsonNode lacks = api.get("/api/mailings/" + id + "/check").json().get("lacks");
    assertThat(lacks.get("number").asLong()).isEqualTo(2);
    assertThat(lacks.get("plan").asLong()).isEqualTo(3);
    assertThat(lacks.has("first_name")).isFalse();
  }
}
