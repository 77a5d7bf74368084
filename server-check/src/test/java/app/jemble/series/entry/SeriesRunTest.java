package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What leaves to whom and when; what ends it; what passes a step. */
public class SeriesRunTest extends SeriesTrial {

  private static final Duration DAY = Duration.ofDays(1);

  @Test
  public void eachStepLeavesSoManyDaysAfterTheOneBefore() {
    toMonday();
    long bea = addPerson("Bea", "Steps", "bea@steps.example");
    long series = active(step(0, "One"), step(3, "Two"), step(2, "Three"));
    assertThat(letIn(series, bea)).isEqualTo(1);
    look(series);
    assertThat(got("bea@steps.example")).containsExactly("One");
    after(DAY.multipliedBy(2), series);
    assertThat(got("bea@steps.example")).as("two days are not three").containsExactly("One");
    after(DAY.plusMinutes(1), series);
    assertThat(got("bea@steps.example")).containsExactly("One", "Two");
    after(DAY.multipliedBy(2).plusMinutes(1), series);
    assertThat(got("bea@steps.example")).containsExactly("One", "Two", "Three");
    assertThat(somebody(series, bea).get("state").asString()).isEqualTo("FINISHED");
    JsonNode counts = api.get(path(series)).json();
    assertThat(counts.get("finished").asInt()).isEqualTo(1);
    assertThat(counts.get("steps").get(1).get("sent").asInt()).isEqualTo(1);
  }

  @Test
  public void whoRepliesIsOutAtOnceAndGetsNoMore() {
    toMonday();
    long ann = addPerson("Ann", "Replies", "ann@answers.example");
    long series = active(step(0, "One"), step(1, "Two"));
    letIn(series, ann);
    look(series);
    String token = token(series, ann);
    arrivals.reply("ann@answers.example", token, "Here I am");
    look(series);
    assertThat(somebody(series, ann).get("state").asString()).isEqualTo("ENDED");
    assertThat(somebody(series, ann).get("endedWhy").asString()).isEqualTo("replied");
    after(DAY.multipliedBy(2), series);
    assertThat(got("ann@answers.example")).containsExactly("One");
  }

  @Test
  public void aReplyAtTheVeryMomentStopsWhatIsInTheOutbox() {
    toMonday();
    long zoe = addPerson("Zoe", "Moment", "zoe@moment.example");
    long series = active(step(0, "One"), step(1, "Two"));
    letIn(series, zoe);
    look(series);
    String token = token(series, zoe);
    // The second is written and locked until the reply is there: it may not leave any more.
    clock.advance(DAY.plusMinutes(1));
    sql.sql("update series_entry set look_at = passed_at where series_id = ?")
        .param(series)
        .update();
    application
        .getBean(TransactionTemplate.class)
        .executeWithoutResult(
            tx -> {
              application.getBean(SeriesRun.class).lookAt(series);
              arrivals.reply("zoe@moment.example", token, "Stop");
            });
    look(series);
    assertThat(got("zoe@moment.example")).containsExactly("One");
    assertThat(
            sql.sql("select state || ': ' || reason from message where person_id = ? order by id")
                .param(zoe)
                .query(String.class)
                .list())
        .containsExactly("sent: ", "withdrawn: replied");
  }

  private String token(long series, long person) {
    return sql.sql(
            """
            select m.token from message m join series_step s on s.cause_id = m.cause_id
            where s.series_id = ? and m.person_id = ? and m.state = 'sent' order by m.id desc limit 1
            """)
        .params(series, person)
        .query(String.class)
        .single();
  }

  @Test
  public void aReplyDoesNotEndItWhereThatIsChosen() {
    toMonday();
    long eve = addPerson("Eve", "Goes", "eve@goes.example");
    long series = active(step(0, "One"), with(step(1, "Two"), "inThread", true));
    Map<String, Object> body = body(series);
    body.put("endsOnReply", false);
    assertThat(api.put(path(series), body).status()).isEqualTo(200);
    letIn(series, eve);
    look(series);
    arrivals.reply("eve@goes.example", token(series, eve), "Thanks");
    after(DAY.plusMinutes(1), series);
    assertThat(got("eve@goes.example")).as("also in the thread").hasSize(2);
  }

  private Map<String, Object> body(long series) {
    JsonNode is = api.get(path(series)).json();
    Map<String, Object> body = new HashMap<>();
    body.put("name", is.get("name").asString());
    body.put("topicId", 1);
    body.put("private", false);
    body.put("ownClock", false);
    body.put("hours", null);
    body.put("againDays", null);
    body.put("endsOnReply", true);
    body.put("endsOnClick", false);
    body.put("ends", List.of());
    body.put("enters", List.of());
    body.put("version", is.get("version").asInt());
    return body;
  }

  @Test
  public void whoCannotGetAStepIsPastItWithTheReason() {
    toMonday();
    long none = addPerson("No", "Address", null);
    long gap = addPerson("Gap", "Value", "gap@value.example");
    long left = addPerson("Asks", "Not", "asks@not.example");
    sql.sql("update person set asked_not = true where id = ?").param(left).update();
    long series = active(with(step(0, "One"), "body", "<p>{{plan}}</p>"));
    letIn(series, none, gap, left);
    look(series);
    assertThat(why(series, none, 1)).isEqualTo("no address");
    assertThat(why(series, gap, 1)).startsWith("has no ");
    assertThat(somebody(series, left).get("endedWhy").asString())
        .isEqualTo("asked not to be written to");
    assertThat(somebody(series, none).get("state").asString()).isEqualTo("FINISHED");
  }

  @Test
  public void aStepIsForThoseItIsMeantFor() {
    toMonday();
    long one = addPerson("Tag", "Ged", "tag@ged.example");
    long other = addPerson("Un", "Tagged", "un@tagged.example");
    sql.sql("update person set tags = '{sailor}' where id = ?").param(one).update();
    Map<String, Object> filter =
        Map.of(
            "match",
            "ALL",
            "conditions",
            List.of(Map.of("field", "tags", "operator", "HAS_ANY", "values", List.of("sailor"))),
            "groups",
            List.of());
    Map<String, Object> part = Map.of("name", "Sailors", "filter", filter);
    long series = active(with(step(0, "One"), "meant", List.of(part)), step(0, "Two"));
    letIn(series, one, other);
    look(series);
    after(Duration.ofMinutes(5), series);
    assertThat(got("tag@ged.example")).containsExactly("One", "Two");
    assertThat(got("un@tagged.example")).containsExactly("Two");
    assertThat(why(series, other, 1)).isEqualTo("not among those whom this step is for");
  }

  @Test
  public void nobodyComesInTwiceUnlessTheSeriesAllowsIt() {
    toMonday();
    long amy = addPerson("Amy", "Again", "amy@again.example");
    long series = active(step(0, "One"));
    assertThat(letIn(series, amy)).isEqualTo(1);
    assertThat(letIn(series, amy)).as("is in it").isZero();
    look(series);
    after(Duration.ofMinutes(5), series);
    assertThat(letIn(series, amy)).as("was in it").isZero();
    Map<String, Object> body = body(series);
    body.put("againDays", 2);
    api.put(path(series), body);
    assertThat(letIn(series, amy)).as("too soon").isZero();
    clock.advance(DAY.multipliedBy(2));
    assertThat(letIn(series, amy)).isEqualTo(1);
    look(series);
    assertThat(got("amy@again.example")).containsExactly("One", "One");
  }

  @Test
  public void pausedNothingLeavesAndWaitsGoOnOrStandStill() {
    toMonday();
    long ida = addPerson("Ida", "Pause", "ida@pause.example");
    long still = active(step(0, "One"), step(3, "Two"));
    letIn(still, ida);
    look(still);
    after(DAY, still);
    assertThat(api.post(path(still) + "/pause", Map.of()).status()).isEqualTo(200);
    after(DAY.multipliedBy(5), still);
    assertThat(got("ida@pause.example")).containsExactly("One");
    Map<String, Object> how = Map.of("waitsStoodStill", true);
    assertThat(api.post(path(still) + "/go-on", how).status()).isEqualTo(200);
    look(still);
    assertThat(got("ida@pause.example")).as("two days are still to wait").containsExactly("One");
    after(DAY.multipliedBy(2).plusMinutes(1), still);
    assertThat(got("ida@pause.example")).containsExactly("One", "Two");
  }

  @Test
  public void whatIsInTheOutboxWaitsWhileTheSeriesIsPaused() {
    toMonday();
    long max = addPerson("Max", "Outbox", "max@outbox.example");
    long series = active(step(0, "One"));
    letIn(series, max);
    application
        .getBean(TransactionTemplate.class)
        .executeWithoutResult(
            tx -> {
              application.getBean(SeriesRun.class).lookAt(series);
              // Written, and to leave in an hour.
              sql.sql("update message set due_at = due_at + interval '1 hour' where person_id = ?")
                  .param(max)
                  .update();
            });
    assertThat(api.post(path(series) + "/pause", Map.of()).status()).isEqualTo(200);
    assertThat(
            sql.sql("select state || ': ' || reason from message where person_id = ?")
                .param(max)
                .query(String.class)
                .list())
        .containsExactly("held: the series was paused by Orla Finch");
    after(DAY, series);
    assertThat(got("max@outbox.example")).isEmpty();
    api.post(path(series) + "/go-on", Map.of("waitsStoodStill", false));
    look(series);
    Eventually.holds(() -> assertThat(got("max@outbox.example")).containsExactly("One"));
  }

  @Test
  public void oneIsTakenOutHeldOrSkipsAStep() {
    toMonday();
    long out = addPerson("Out", "Hand", "out@hand.example");
    long held = addPerson("Held", "Hand", "held@hand.example");
    long skips = addPerson("Skips", "Hand", "skips@hand.example");
    long series = active(step(0, "One"), step(1, "Two"), step(1, "Three"));
    letIn(series, out, held, skips);
    look(series);
    Api.Answer taken = api.post(path(series) + "/people/out", Map.of("people", List.of(out)));
    assertThat(taken.json().get("out").asInt()).isEqualTo(1);
    String until = clock.instant().plus(DAY.multipliedBy(4)).atZone(HOUSE).toLocalDate().toString();
    assertThat(api.put(path(series) + "/people/" + held + "/hold", Map.of("until", until)).status())
        .isEqualTo(204);
    long two = stepId(series, 2);
    String skip = path(series) + "/people/" + skips + "/skip/" + two;
    assertThat(api.delete(skip).status()).as("nothing to take back").isEqualTo(409);
    assertThat(api.post(skip, Map.of()).status()).isEqualTo(204);
    assertThat(api.delete(skip).status()).as("they get it after all").isEqualTo(204);
    assertThat(api.post(skip, Map.of()).status()).isEqualTo(204);
    after(DAY.plusMinutes(1), series);
    after(DAY.plusMinutes(1), series);
    assertThat(got("out@hand.example")).containsExactly("One");
    assertThat(somebody(series, out).get("endedWhy").asString()).startsWith("taken out by ");
    assertThat(got("held@hand.example")).containsExactly("One");
    assertThat(got("skips@hand.example")).containsExactly("One", "Three");
    assertThat(why(series, skips, 2)).isEqualTo("skipped by hand");
    after(DAY.multipliedBy(2), series);
    assertThat(got("held@hand.example")).containsExactly("One", "Two");
    assertThat(api.post(skip, Map.of()).status()).as("had it").isEqualTo(409);
  }

  @Test
  public void whatIsNotDoneBlocksActivation() {
    assertThat(refusal(series())).isEqualTo("It has no step.");
    assertThat(refusal(series(step(0, "One"), step(1, "Your [boat] is ready"))))
        .isEqualTo("Step 2: Fill in [boat].");
    assertThat(refusal(series(with(step(0, "One"), "body", "<p>{{nome}}</p>"))))
        .startsWith("Step 1: ")
        .contains("nome");
    assertThat(refusal(series(step(0, "")))).isEqualTo("Step 1: It has no subject.");
    long draft = series(step(0, "One"));
    letIn(draft, addPerson("Too", "Soon", "too@soon.example"));
    look(draft);
    assertThat(got("too@soon.example")).as("a draft sends nothing").isEmpty();
  }

  private String refusal(long series) {
    Api.Answer answer = api.post(path(series) + "/activate", Map.of());
    assertThat(answer.status()).isEqualTo(422);
    return answer.json().get("detail").asString();
  }

  @Test
  public void endedItIsOverForAll() {
    toMonday();
    long uma = addPerson("Uma", "Ended", "uma@ended.example");
    long series = active(step(0, "One"), step(1, "Two"));
    letIn(series, uma);
    look(series);
    assertThat(api.post(path(series) + "/end", Map.of()).status()).isEqualTo(200);
    after(DAY.multipliedBy(2), series);
    assertThat(got("uma@ended.example")).containsExactly("One");
    assertThat(somebody(series, uma).get("endedWhy").asString()).isEqualTo("the series was ended");
    assertThat(api.post(path(series) + "/end", Map.of()).status()).isEqualTo(409);
    assertThat(api.post(path(series) + "/steps", step(0, "More")).status()).isEqualTo(409);
  }

  @Test
  public void aListThatIsRenamedKeepsItsNameInItsFilters() {
    long list = api.post("/api/lists", Map.of("name", "Old hands")).json().get("id").asLong();
    Map<String, Object> filter =
        Map.of(
            "match",
            "ALL",
            "conditions",
            List.of(Map.of("field", "list", "operator", "HAS_ANY", "values", List.of("Old hands"))),
            "groups",
            List.of());
    List<Object> parts = List.of(Map.of("name", "Old hands", "filter", filter));
    long series = series(with(step(0, "One"), "meant", parts));
    Map<String, Object> body = body(series);
    body.put("ends", parts);
    assertThat(api.put(path(series), body).status()).isEqualTo(200);
    assertThat(api.put("/api/lists/" + list, Map.of("name", "New hands")).status()).isEqualTo(200);
    assertThat(api.get(path(series)).text()).contains("New hands").doesNotContain("Old hands");
  }
}
