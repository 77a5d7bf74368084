package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * Whoever comes to match comes in by themselves, once, and again only where the series allows it.
 */
public class StandingEntryTest extends SeriesTrial {

  private static final Duration DAY = Duration.ofDays(1);

  private static Map<String, Object> tagged(String tag) {
    Map<String, Object> condition =
        Map.of("field", "tags", "operator", "HAS_ANY", "values", List.of(tag));
    return Map.of(
        "match",
        "ALL",
        "conditions",
        List.of(condition),
        "related",
        List.of(),
        "groups",
        List.of());
  }

  private void enters(long series, String tag, Integer again) {
    JsonNode now = api.get(path(series)).json();
    Map<String, Object> part = new HashMap<>();
    part.put("name", "tagged " + tag);
    part.put("filter", tagged(tag));
    Map<String, Object> body = new HashMap<>();
    body.put("name", now.get("name").asString());
    body.put("topicId", 1);
    body.put("private", false);
    body.put("ownClock", false);
    body.put("hours", null);
    body.put("againDays", again);
    body.put("endsOnReply", true);
    body.put("endsOnClick", false);
    body.put("enters", List.of(part));
    body.put("ends", List.of());
    body.put("version", now.get("version").asInt());
    Api.Answer kept = api.put(path(series), body);
    assertThat(kept.status()).as(kept.text()).isEqualTo(200);
    assertThat(kept.json().get("enters")).hasSize(1);
  }

  private void tag(long person, String tag) {
    sql.sql("update person set tags = array[?] where id = ?").params(tag, person).update();
  }

  private int stand(long series) {
    return application.getBean(StandingEntries.class).lookAt(series);
  }

  @Test
  public void whoComesToMatchComesInOnce() {
    toMonday();
    long joy = addPerson("Joy", "Comes", "joy@comes.example");
    long tim = addPerson("Tim", "Comes", "tim@comes.example");
    long series = active(step(0, "One"), step(1, "Two"));
    enters(series, "standing", null);
    assertThat(stand(series)).as("nobody yet").isZero();
    tag(joy, "standing");
    assertThat(stand(series)).isEqualTo(1);
    assertThat(stand(series)).as("nobody is new").isZero();
    look(series);
    assertThat(got("joy@comes.example")).containsExactly("One");
    assertThat(somebody(series, joy).get("cameBy").asString()).isEqualTo("as they came to match");
    tag(tim, "standing");
    assertThat(stand(series)).isEqualTo(1);
    after(DAY.plusMinutes(1), series);
    assertThat(got("joy@comes.example")).containsExactly("One", "Two");
    after(DAY.multipliedBy(40), series);
    assertThat(stand(series)).as("who had all does not come in again").isZero();
  }

  @Test
  public void againOnlyAfterTheDaysThatTheSeriesSays() {
    toMonday();
    long peg = addPerson("Peg", "Again", "peg@again.example");
    tag(peg, "again");
    long series = active(step(0, "One"));
    enters(series, "again", 10);
    assertThat(stand(series)).isEqualTo(1);
    look(series);
    after(DAY.multipliedBy(5), series);
    assertThat(stand(series)).isZero();
    after(DAY.multipliedBy(6), series);
    assertThat(stand(series)).isEqualTo(1);
    look(series);
    assertThat(got("peg@again.example")).containsExactly("One", "One");
  }

  @Test
  public void nobodyComesIntoOneThatIsPausedOrADraft() {
    toMonday();
    long eve = addPerson("Eve", "Paused", "eve@paused.example");
    tag(eve, "paused");
    long draft = series(step(0, "One"));
    enters(draft, "paused", null);
    assertThat(stand(draft)).isZero();
    api.post(path(draft) + "/activate", Map.of());
    api.post(path(draft) + "/pause", Map.of());
    assertThat(stand(draft)).isZero();
    api.post(path(draft) + "/go-on", Map.of("waitsStoodStill", false));
    assertThat(stand(draft)).isEqualTo(1);
    assertThat(stand(draft)).isZero();
  }
}
