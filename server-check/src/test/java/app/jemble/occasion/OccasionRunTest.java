package app.jemble.occasion;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.Mails;
import jakarta.mail.internet.MimeMessage;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Days come round to people: what is said by itself, after a nod, late, or not at all. */
public class OccasionRunTest extends OccasionTrial {

  private LocalDate today;

  /** A morning at eleven; earlier trials left nothing that may be said on it. */
  @BeforeMethod
  public void anotherMonday() {
    sql.sql("update occasion set state = 'paused'").update();
    today = LocalDate.ofInstant(clock.toMonday(HOUSE), HOUSE);
  }

  private long active(Map<String, Object> body) {
    Api.Answer made = api.post("/api/occasions", body);
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    long id = made.json().get("id").asLong();
    Api.Answer began = api.post("/api/occasions/" + id + "/activate", Map.of());
    assertThat(began.status()).as(began.text()).isEqualTo(200);
    return id;
  }

  private long born(String name, LocalDate day) {
    long person = addPerson(name, "Daye", name.toLowerCase(Locale.ROOT) + named + "@days.example");
    sql.sql("update person set birthday = ? where id = ?").params(day, person).update();
    return person;
  }

  private List<MimeMessage> got(long person) {
    String address =
        sql.sql("select email from person where id = ?").param(person).query(String.class).single();
    return mails(address);
  }

  private JsonNode turnOf(long person) {
    for (JsonNode turn : api.get("/api/occasions/turns").json().get("turns")) {
      if (turn.get("personId").asLong() == person) {
        return turn;
      }
    }
    return null;
  }

  private String stateOf(long person) {
    JsonNode turn = turnOf(person);
    return turn == null ? "none" : turn.get("state").asString();
  }

  private void act(String what, JsonNode turn) {
    Api.Answer done =
        api.post("/api/occasions/turns/" + what, Map.of("ids", List.of(turn.get("id").asLong())));
    assertThat(done.status()).as(done.text()).isEqualTo(200);
    assertThat(done.json().get("turns").asInt()).isEqualTo(1);
  }

  @Test
  public void itIsSaidByItselfWithTheYearsAndOnce() {
    long bea = born("Bea", today.minusYears(36));
    long cy = born("Cy", today.minusYears(20).plusDays(1));
    long id = active(body("ITSELF"));
    run.say(id);
    run.say(id);
    Eventually.holds(() -> assertThat(got(bea)).hasSize(1));
    assertThat(Mails.subject(got(bea).get(0))).isEqualTo("36 today");
    assertThat(Mails.part(got(bea).get(0), "text/plain")).contains("Dear Bea, you are 36.");
    assertThat(stateOf(bea)).isEqualTo("SENT");
    assertThat(stateOf(cy)).as("tomorrow").isEqualTo("NODDED");
    assertThat(got(cy)).isEmpty();
    // The date was noted wrongly and is mended: once a year it is.
    sql.sql("update person set birthday = birthday + 1 where id = ?").param(bea).update();
    run.lookAhead(id);
    clock.advance(Duration.ofDays(1));
    run.say(id);
    Eventually.holds(() -> assertThat(got(cy)).hasSize(1));
    assertThat(got(bea)).hasSize(1);
  }

  @Test
  public void itWaitsForANodAndSaysItsOwnWordsToOne() {
    long di = born("Di", today.minusYears(50));
    long id = active(body("NOD"));
    run.say(id);
    assertThat(stateOf(di)).isEqualTo("AWAITS");
    JsonNode turn = turnOf(di);
    long cause = turn.get("causeId").asLong();
    assertThat(api.get("/api/mailings/" + cause + "/proofs/" + di).json().get("subject").asString())
        .as("the proof knows the years")
        .isEqualTo("50 today");
    api.put(
        "/api/mailings/" + cause + "/own-words/" + di,
        Map.of("subject", "Half a century", "body", "<p>Well, Di.</p>", "version", 0));
    assertThat(turnOf(di).get("ownWords").asBoolean()).isTrue();
    act("nod", turn);
    act("not-yet", turn);
    run.say(id);
    assertThat(got(di)).as("the nod was taken back").isEmpty();
    act("nod", turn);
    run.say(id);
    Eventually.holds(() -> assertThat(got(di)).hasSize(1));
    assertThat(Mails.subject(got(di).get(0))).isEqualTo("Half a century");
  }

  @Test
  public void ownWordsAreForOneYear() {
    long em = born("Em", today.minusYears(30));
    long id = active(body("NOD"));
    long cause = turnOf(em).get("causeId").asLong();
    api.put(
        "/api/mailings/" + cause + "/own-words/" + em,
        Map.of("subject", "Thirty!", "body", "<p>Em.</p>", "version", 0));
    act("nod", turnOf(em));
    run.say(id);
    Eventually.holds(() -> assertThat(got(em)).hasSize(1));
    sql.sql(
            "update occasion_turn set day = day - 365, said_on = said_on - 365"
                + " where person_id = ?")
        .param(em)
        .update();
    run.lookAhead(id);
    assertThat(turnOf(em).get("ownWords").asBoolean()).isFalse();
  }

  @Test
  public void whatNobodyNoddedIsMissedAndSentLateOrLetGo() {
    long fi = born("Fi", today.minusYears(40));
    long gil = born("Gil", today.minusYears(41));
    long id = active(body("NOD"));
    clock.advance(Duration.ofDays(1));
    run.say(id);
    assertThat(stateOf(fi)).isEqualTo("MISSED");
    assertThat(turnOf(fi).get("reason").asString()).contains("nobody had nodded");
    act("late", turnOf(fi));
    Eventually.holds(() -> assertThat(got(fi)).hasSize(1));
    assertThat(Mails.subject(got(fi).get(0))).as("as on the day").isEqualTo("40 today");
    act("let-go", turnOf(gil));
    run.say(id);
    assertThat(stateOf(gil)).isEqualTo("none");
    assertThat(got(gil)).isEmpty();
  }

  @Test
  public void aDayOnWhichNothingCouldLeaveIsMissedAndNotForgotten() {
    long ha = born("Ha", today.minusYears(60).plusDays(2));
    long id = active(body("ITSELF"));
    // Nothing runs for three days.
    clock.advance(Duration.ofDays(3));
    run.say(id);
    assertThat(stateOf(ha)).isEqualTo("MISSED");
    assertThat(turnOf(ha).get("reason").asString()).isEqualTo("nothing could leave on the day");
    assertThat(got(ha)).isEmpty();
  }

  /** It was in the outbox, and nothing left until the day was over. */
  @Test
  public void whatWaitsInTheOutboxOverMidnightIsMissedAndSentLate() {
    long uma = born("Uma", today.minusYears(45));
    long id = active(body("ITSELF"));
    sql.sql("update sending_rules set daily_cap = 0").update();
    run.say(id);
    assertThat(stateOf(uma)).isEqualTo("SENT");
    clock.advance(Duration.ofDays(1));
    sql.sql("update sending_rules set daily_cap = null").update();
    sql.sql("update message set due_at = now() - interval '1 hour' where person_id = ?")
        .param(uma)
        .update();
    Eventually.holds(
        () -> {
          run.say(id);
          assertThat(stateOf(uma)).isEqualTo("MISSED");
        });
    assertThat(turnOf(uma).get("reason").asString()).contains("its day was over");
    assertThat(got(uma)).isEmpty();
    act("late", turnOf(uma));
    Eventually.holds(() -> assertThat(got(uma)).hasSize(1));
    assertThat(Mails.subject(got(uma).get(0))).isEqualTo("45 today");
  }

  @Test
  public void whoCannotBeReachedOrLacksAValueIsMissedWithTheReason() {
    long io = born("Io", today.minusYears(25));
    long jo = born("Jo", today.minusYears(26));
    sql.sql("update person set asked_not = true where id = ?").param(io).update();
    sql.sql("update person set first_name = null where id = ?").param(jo).update();
    long id = active(body("ITSELF"));
    run.say(id);
    assertThat(turnOf(io).get("reason").asString()).contains("asked not to be written to");
    assertThat(turnOf(jo).get("reason").asString()).isEqualTo("there is no first name");
  }

  @Test
  public void itLeavesOnThePersonsOwnClock() {
    long kiri = born("Kiri", today.minusYears(33));
    long ny = born("Ny", today.minusYears(34));
    sql.sql("update person set time_zone = 'Pacific/Kiritimati' where id = ?").param(kiri).update();
    sql.sql("update person set time_zone = 'America/New_York' where id = ?").param(ny).update();
    long id = active(body("ITSELF"));
    // At eleven in London it is one in the night of tomorrow there, and six in the morning here.
    run.say(id);
    assertThat(stateOf(kiri)).isEqualTo("MISSED");
    assertThat(stateOf(ny)).isEqualTo("NODDED");
    clock.advance(Duration.ofHours(4));
    run.say(id);
    Eventually.holds(() -> assertThat(got(ny)).hasSize(1));
  }

  /** Many who wait for a nod do not stand in the way of one who has it. */
  @Test
  public void aThousandWhoWaitKeepNobodyWaiting() {
    LocalDate born = today.minusYears(36);
    for (int i = 0; i < 600; i++) {
      born("Many" + i, born);
    }
    long last = born("Last", born);
    long id = active(body("NOD"));
    act("nod", turnOf(last));
    run.say(id);
    Eventually.holds(() -> assertThat(got(last)).hasSize(1));
    sql.sql("update person set birthday = null").update();
    run.lookAhead(id);
    assertThat(
            sql.sql("select count(*) from occasion_turn where occasion_id = ? and state = 'AWAITS'")
                .param(id)
                .query(Long.class)
                .single())
        .isZero();
  }

  @Test
  public void howItLeavesIsChangedForThoseNobodyHasDecidedOn() {
    long pat = born("Pat", today.minusYears(31));
    Map<String, Object> body = body("NOD");
    long id = active(body);
    assertThat(stateOf(pat)).isEqualTo("AWAITS");
    body.put("leaves", "ITSELF");
    body.put("version", api.get("/api/occasions/" + id).json().at("/occasion/version").asInt());
    assertThat(api.put("/api/occasions/" + id, body).status()).isEqualTo(200);
    run.say(id);
    Eventually.holds(() -> assertThat(got(pat)).hasSize(1));
  }

  @Test
  public void onlyInRoundYearsAndWeeksAhead() {
    long round = born("Lu", today.minusYears(50).plusDays(7));
    long not = born("Mo", today.minusYears(51).plusDays(7));
    Map<String, Object> body = body("ITSELF");
    body.put("rounds", List.of(25, 50));
    body.put("offset", -7);
    long id = active(body);
    run.say(id);
    Eventually.holds(() -> assertThat(got(round)).hasSize(1));
    assertThat(stateOf(not)).isEqualTo("none");
  }

  /** Only a message that is stopped for good makes it missed: nobody has two. */
  @Test
  public void whatWasLateLastYearKeepsNobodyFromThisYears() {
    long vi = born("Vi", today.minusYears(29));
    long id = active(body("ITSELF"));
    run.say(id);
    Eventually.holds(() -> assertThat(got(vi)).hasSize(1));
    // A year on, it is missed and sent late: last year's turn stands in nobody's way.
    sql.sql(
            "update occasion_turn set day = day - 365, said_on = said_on - 365, years = years - 1"
                + " where person_id = ?")
        .param(vi)
        .update();
    sql.sql("update message set record_id = record_id - 1 where person_id = ?").param(vi).update();
    run.lookAhead(id);
    clock.advance(Duration.ofDays(1));
    sql.sql("update occasion_turn set state = 'NODDED' where person_id = ? and said_on = ?")
        .params(vi, today)
        .update();
    run.say(id);
    assertThat(stateOf(vi)).isEqualTo("MISSED");
    act("late", turnOf(vi));
    Eventually.holds(() -> assertThat(got(vi)).hasSize(2));
    assertThat(
            sql.sql("select state from occasion_turn where person_id = ? order by day")
                .param(vi)
                .query(String.class)
                .list())
        .containsExactly("SENT", "SENT");
  }

  @Test
  public void aTaskThatWasMissedIsMadeLate() {
    long wes = born("Wes", today.minusYears(61));
    long id = active(body("TASK"));
    clock.advance(Duration.ofDays(1));
    run.say(id);
    assertThat(turnOf(wes).get("reason").asString()).isEqualTo("nothing could leave on the day");
    act("late", turnOf(wes));
    assertThat(
            sql.sql("select count(*) from task where person_id = ?")
                .param(wes)
                .query(Long.class)
                .single())
        .isEqualTo(1);
    assertThat(got(wes)).isEmpty();
  }

  @Test
  public void aTaskRemindsWhereNothingIsToLeave() {
    long ned = born("Ned", today.minusYears(70));
    long id = active(body("TASK"));
    run.say(id);
    run.say(id);
    assertThat(
            sql.sql("select title from task where person_id = ?")
                .param(ned)
                .query(String.class)
                .list())
        .containsExactly("Birthday " + named + " (70)");
    assertThat(got(ned)).isEmpty();
  }

  @Test
  public void pausedNothingLeavesAndADayThatIsTakenAwayIsNotSaid() {
    long oz = born("Oz", today.minusYears(44).plusDays(1));
    long id = active(body("ITSELF"));
    api.post("/api/occasions/" + id + "/pause", Map.of());
    clock.advance(Duration.ofDays(1));
    run.say(id);
    assertThat(got(oz)).isEmpty();
    sql.sql("update person set birthday = null where id = ?").param(oz).update();
    api.post("/api/occasions/" + id + "/activate", Map.of());
    run.say(id);
    assertThat(stateOf(oz)).isEqualTo("none");
    assertThat(got(oz)).isEmpty();
  }

  @Test
  public void whatCannotLeaveDoesNotBegin() {
    Map<String, Object> body = body("ITSELF");
    body.put("body", "<p>Dear {{frist_name}}, [say something].</p>");
    long id = api.post("/api/occasions", body).json().get("id").asLong();
    Api.Answer began = api.post("/api/occasions/" + id + "/activate", Map.of());
    assertThat(began.status()).isEqualTo(409);
    assertThat(began.text()).contains("[say something]").contains("frist_name");
    body.put("field", "first_name");
    assertThat(api.post("/api/occasions", body).status()).isEqualTo(422);
    body.put("field", "birthday");
    body.put("offset", 61);
    assertThat(api.post("/api/occasions", body).status()).isEqualTo(422);
  }
}
