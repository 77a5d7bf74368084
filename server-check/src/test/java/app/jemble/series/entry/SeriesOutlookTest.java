package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What a series will come to, before it is active and while it runs. */
public class SeriesOutlookTest extends SeriesTrial {

  private JsonNode outlook(long series) {
    Api.Answer answer = api.get("/api/series/" + series + "/outlook");
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    return answer.json();
  }

  private void letIn(long series, List<Long> people) {
    Map<String, Object> body = new HashMap<>();
    body.put("filter", null);
    body.put("people", people);
    body.put("picked", null);
    body.put("plan", null);
    assertThat(api.post("/api/series/" + series + "/people", body).status()).isEqualTo(200);
  }

  @Test
  public void itSaysHowManyLeaveEachDayWhoIsAmissAndWhereElseTheyAre() {
    clock.toMonday(HOUSE);
    Map<String, Object> gap = step(2, "Second");
    gap.put("body", "<p>Dear {{organisation.name}}</p>");
    long series = series(step(0, "First"), gap);
    long ann = addPerson("Ann", "Ahead", "ann@ahead.example");
    long bea = addPerson("Bea", "Ahead", "bea@ahead.example");
    long not = addPerson("Not", "Ahead", "not@ahead.example");
    sql.sql("update person set asked_not = true where id = ?").param(not).update();
    letIn(series, List.of(ann, bea, not));
    long other = series(step(0, "Other"), step(5, "Another"));
    letIn(other, List.of(ann));
    assertThat(api.post("/api/series/" + other + "/activate", Map.of()).status()).isEqualTo(200);

    sql.sql("update sending_rules set daily_cap = 500").update();
    long mailing = draft(List.of(bea), "Elsewhere", "<p>Hello</p>");
    sql.sql("update workspace set hold_seconds = 3600").update();
    release(mailing);
    sql.sql("update workspace set hold_seconds = 0").update();
    Eventually.holds(
        () -> assertThat(outlook(series).get("outlook").get("inMailings").asLong()).isEqualTo(1));

    JsonNode all = outlook(series);
    JsonNode outlook = all.get("outlook");
    assertThat(outlook.get("people").asLong()).isEqualTo(3);
    assertThat(outlook.get("looked").asInt()).isEqualTo(3);
    LocalDate today = LocalDate.ofInstant(clock.instant(), HOUSE);
    assertThat(outlook.get("days")).hasSize(2);
    assertThat(outlook.get("days").get(0).get("day").asString()).isEqualTo(today.toString());
    assertThat(outlook.get("days").get(1).get("day").asString())
        .isEqualTo(today.plusDays(2).toString());
    assertThat(outlook.get("days").get(1).get("steps").get("2").asLong()).isEqualTo(3);
    assertThat(outlook.get("amiss").toString())
        .contains("asked not to be written to")
        .contains("\"place\":2,\"why\":\"has no organisation\"")
        .contains("\"people\":2");
    assertThat(outlook.get("days").get(0).get("others").asLong()).isEqualTo(1);
    assertThat(outlook.get("inOtherSeries").asLong()).isEqualTo(1);
    assertThat(all.get("dailyCap").asInt()).isEqualTo(500);
  }
}
