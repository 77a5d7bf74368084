package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** People come into a series from where colleagues see them, and by rules of mailings. */
public class WaysInTest extends SeriesTrial {

  private static Map<String, Object> picked(List<Long> picks) {
    Map<String, Object> which = new HashMap<>();
    which.put(
        "filter",
        Map.of("match", "ALL", "conditions", List.of(), "related", List.of(), "groups", List.of()));
    which.put("reach", null);
    which.put("picks", picks);
    which.put("leftOut", null);
    which.put("archived", false);
    return which;
  }

  private static Map<String, Object> letIn(Map<String, Object> picked) {
    Map<String, Object> body = new HashMap<>();
    body.put("filter", null);
    body.put("people", List.of());
    body.put("picked", picked);
    body.put("plan", null);
    return body;
  }

  private String cameBy(long series, long person) {
    return sql.sql("select came_by from series_entry where series_id = ? and person_id = ?")
        .params(series, person)
        .query(String.class)
        .optional()
        .orElse("not at all");
  }

  @Test
  public void thoseWhoArePickedOnAScreenComeIn() {
    long series = series(step(0, "Hello"));
    long ann = addPerson("Ann", "Picked", "ann@ways.example");
    long bea = addPerson("Bea", "Left", "bea@ways.example");
    Api.Answer in = api.post("/api/series/" + series + "/people", letIn(picked(List.of(ann))));
    assertThat(in.status()).as(in.text()).isEqualTo(200);
    assertThat(in.json().get("in").asInt()).isEqualTo(1);
    assertThat(cameBy(series, ann)).isEqualTo("by hand");
    assertThat(cameBy(series, bea)).isEqualTo("not at all");
    assertThat(
            api.post("/api/series/" + series + "/people", letIn(picked(List.of(ann))))
                .json()
                .get("in")
                .asInt())
        .as("nobody twice")
        .isZero();
  }

  private static Map<String, Object> atOnce(long series) {
    Map<String, Object> act = new HashMap<>();
    for (String none :
        List.of("taskKind", "title", "dueDays", "owner", "tag", "field", "value", "seriesName")) {
      act.put(none, null);
    }
    act.put("kind", "SERIES");
    act.put("series", series);
    Map<String, Object> rule = new HashMap<>();
    for (String none : List.of("id", "whom", "waitCount", "waitUnit", "after", "body")) {
      rule.put(none, null);
    }
    rule.put("on", "REPLIED");
    rule.put("except", List.of());
    rule.put("act", act);
    return rule;
  }

  @Test
  public void whoAnswersAMailingEntersTheSeriesOfItsRule() {
    long series = series(step(0, "Course"));
    long cy = addPerson("Cy", "Answers", "cy@ways.example");
    long di = addPerson("Di", "Quiet", "di@ways.example");
    long mailing = draft(List.of(cy, di), "Interested?", "<p>Hello</p>");
    Api.Answer added = api.put("/api/mailings/" + mailing + "/rules", List.of(atOnce(series)));
    assertThat(added.status()).as(added.text()).isEqualTo(200);
    release(mailing);
    awaitSettled(mailing);
    arrivals.reply("cy@ways.example", messageValue(mailing, cy, "token"), "Yes!");
    Eventually.holds(() -> assertThat(cameBy(series, cy)).startsWith("by a rule"));
    assertThat(cameBy(series, di)).isEqualTo("not at all");
    assertThat(api.put("/api/mailings/" + mailing + "/rules", List.of(atOnce(999_999))).status())
        .isEqualTo(404);
  }
}
