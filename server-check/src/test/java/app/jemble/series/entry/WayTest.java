package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Mails;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What somebody had, what comes when, why not; and what is done for one person alone. */
public class WayTest extends SeriesTrial {

  private static final Duration DAY = Duration.ofDays(1);

  private JsonNode way(long series, long person) {
    Api.Answer way = api.get(path(series) + "/people/" + person);
    assertThat(way.status()).as(way.text()).isEqualTo(200);
    return way.json();
  }

  private static List<String> stands(JsonNode way) {
    return way.get("steps").valueStream().map(s -> s.get("stands").asString()).toList();
  }

  private static Instant at(JsonNode way, int place) {
    return Instant.parse(way.get("steps").get(place - 1).get("at").asString());
  }

  @Test
  public void whoIsNotInItSeesWhatWouldBeAndWhoIsInWhatIs() {
    toMonday();
    long ivy = addPerson("Ivy", "Ahead", "ivy@ahead.example");
    long series = active(step(0, "One"), step(3, "Two"), step(2, "Three"));
    JsonNode would = way(series, ivy);
    assertThat(would.get("entry").isNull()).isTrue();
    assertThat(stands(would)).containsExactly("AHEAD", "AHEAD", "AHEAD");
    letIn(series, ivy);
    look(series);
    JsonNode is = way(series, ivy);
    assertThat(stands(is)).containsExactly("GOT", "AHEAD", "AHEAD");
    assertThat(Duration.between(at(is, 1), at(is, 2))).isEqualTo(DAY.multipliedBy(3));
    // What was foretold is what happens.
    Instant second = at(is, 2);
    after(DAY.multipliedBy(3).plusMinutes(1), series);
    assertThat(Duration.between(second, at(way(series, ivy), 2))).isLessThan(Duration.ofMinutes(2));
    api.post(path(series) + "/people/out", Map.of("people", List.of(ivy)));
    JsonNode out = way(series, ivy);
    assertThat(stands(out)).containsExactly("GOT", "GOT", "WILL_NOT");
    assertThat(out.get("steps").get(2).get("why").asString()).startsWith("taken out by");
  }

  @Test
  public void whyNothingComesIsSaid() {
    toMonday();
    long ned = addPerson("Ned", "Nowhere", "ned@nowhere.example");
    sql.sql("update person set email = null where id = ?").param(ned).update();
    long series = active(step(0, "One"), step(1, "Two"));
    assertThat(way(series, ned).get("cannot").asString()).contains("address");
    letIn(series, ned);
    look(series);
    JsonNode way = way(series, ned);
    assertThat(stands(way)).first().isEqualTo("PASSED_OVER");
    assertThat(way.get("steps").get(0).get("why").asString()).isNotEmpty();
    long first = stepId(series, 1);
    assertThat(people(series, "passedOverBy=" + first)).containsExactly(ned);
    assertThat(people(series, "waitsFor=" + first)).isEmpty();
    assertThat(people(series, "waitsFor=" + stepId(series, 2))).containsExactly(ned);
    assertThat(people(series, "state=FINISHED")).isEmpty();
    JsonNode steps = steps(series);
    assertThat(steps.get(0).get("without").asInt()).isEqualTo(1);
    assertThat(steps.get(1).get("next").asInt()).isEqualTo(1);
    assertThat(steps.get(1).get("day").asInt()).isEqualTo(2);
  }

  private List<Long> people(long series, String which) {
    return api.get(path(series) + "/people?" + which)
        .json()
        .valueStream()
        .map(p -> p.get("personId").asLong())
        .toList();
  }

  @Test
  public void theNextStepIsSentNowAndTheOthersAreNot() {
    toMonday();
    long oda = addPerson("Oda", "Now", "oda@now.example");
    long series = active(step(0, "One"), step(3, "Two"), step(2, "Three"));
    letIn(series, oda);
    look(series);
    String now = path(series) + "/people/" + oda + "/now/";
    Api.Answer tooFar = api.post(now + stepId(series, 3), Map.of());
    assertThat(tooFar.status()).isEqualTo(409);
    assertThat(tooFar.text()).contains("Another step is next for them.");
    assertThat(api.post(now + stepId(series, 2), Map.of()).status()).isEqualTo(200);
    look(series);
    assertThat(got("oda@now.example")).containsExactly("One", "Two");
    after(DAY.multipliedBy(2).plusMinutes(1), series);
    assertThat(got("oda@now.example")).as("no day is lost").containsExactly("One", "Two", "Three");
    api.post(path(series) + "/pause", Map.of());
    assertThat(api.post(now + stepId(series, 3), Map.of()).status()).isEqualTo(409);
  }

  @Test
  public void oneGetsAStepInTheirOwnWords() {
    toMonday();
    long una = addPerson("Una", "Own", "una@own.example");
    long max = addPerson("Max", "Shared", "max@own.example");
    long series = active(step(0, "One"), step(1, "Two"));
    letIn(series, una, max);
    look(series);
    long cause = steps(series).get(1).get("causeId").asLong();
    Map<String, Object> words = new HashMap<>();
    words.put("subject", "Two, for Una");
    words.put("body", "<p>Hello Una</p>");
    words.put("version", 0);
    Api.Answer kept = api.put("/api/mailings/" + cause + "/own-words/" + una, words);
    assertThat(kept.status()).as(kept.text()).isEqualTo(200);
    JsonNode proof = api.get("/api/mailings/" + cause + "/proofs/" + una).json();
    assertThat(proof.get("subject").asString()).isEqualTo("Two, for Una");
    assertThat(
            api.post("/api/mailings/" + cause + "/copy", Map.of("personId", una))
                .json()
                .get("address"))
        .isNotNull();
    after(DAY.plusMinutes(1), series);
    assertThat(got("una@own.example")).containsExactly("One", "Two, for Una");
    assertThat(got("max@own.example")).containsExactly("One", "Two");
    // Its responses are those of any mailing.
    assertThat(Mails.header(office.delivered().get(0).message(), "Subject")).isNotEmpty();
    assertThat(api.get("/api/responses/" + cause).json().get("sent").asInt()).isEqualTo(2);
  }
}
