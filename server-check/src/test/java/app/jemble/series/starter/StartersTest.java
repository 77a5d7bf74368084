package app.jemble.series.starter;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Series to begin from: every one can be filled and activated, and none before it is filled. */
public class StartersTest extends ServerTest {

  @Override
  protected int people() {
    return 3;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private JsonNode begin(String key) {
    Api.Answer begun =
        api.post("/api/series", Map.of("name", "From " + key, "topicId", 1, "starter", key));
    assertThat(begun.status()).as(begun.text()).isEqualTo(200);
    return begun.json();
  }

  private List<String> blanks(long series) {
    return api.get("/api/series/" + series + "/blanks")
        .json()
        .valueStream()
        .map(JsonNode::asString)
        .toList();
  }

  private int fill(long series, Map<String, String> values) {
    return api.put("/api/series/" + series + "/blanks", values).status();
  }

  @Test
  public void eachOfTheSixIsFilledAndActivated() {
    List<JsonNode> starters = api.get("/api/series-starters").json().valueStream().toList();
    assertThat(starters).hasSize(6);
    for (JsonNode starter : starters) {
      String key = starter.get("key").asString();
      JsonNode begun = begin(key);
      long id = begun.get("id").asLong();
      assertThat(begun.get("steps")).as(key).hasSize(starter.get("steps").asInt());
      assertThat(begun.get("blockers").valueStream().map(JsonNode::asString))
          .as(key)
          .isNotEmpty()
          .allMatch(b -> b.contains("Fill in ["));
      assertThat(api.post("/api/series/" + id + "/activate", Map.of()).status()).isEqualTo(422);
      Map<String, String> values = new HashMap<>();
      blanks(id).forEach(blank -> values.put(blank, "something"));
      assertThat(fill(id, values)).isEqualTo(200);
      assertThat(blanks(id)).as(key).isEmpty();
      Api.Answer active = api.post("/api/series/" + id + "/activate", Map.of());
      assertThat(active.status()).as(key + " " + active.text()).isEqualTo(200);
    }
  }

  @Test
  public void aBlankIsFilledOnceForAllStepsAndAsPlainText() {
    long id = begin("course").get("id").asLong();
    Map<String, String> values = new HashMap<>();
    values.put("[course]", "Knots & <b>splices</b>");
    values.put("[link to the papers]", "https://papers.example/a?b=1&c=2");
    values.put("[place]", "  ");
    assertThat(fill(id, values)).isEqualTo(200);
    assertThat(blanks(id)).doesNotContain("[course]").contains("[place]");
    JsonNode steps = api.get("/api/series/" + id).json().get("steps");
    assertThat(steps.get(0).get("subject").asString()).contains("Knots & <b>splices</b>");
    assertThat(steps.get(0).get("body").asString())
        .contains("Knots &amp; &lt;b&gt;splices&lt;/b&gt;")
        .doesNotContain("<b>splices");
    assertThat(steps.get(1).get("subject").asString()).contains("Knots & <b>splices</b>");
    assertThat(steps.get(3).get("body").asString())
        .contains("href=\"https://papers.example/a?b=1&amp;c=2\"");
  }

  @Test
  public void whatIsTooLongOrUnknownIsRefused() {
    long id = begin("quote").get("id").asLong();
    assertThat(fill(id, Map.of("[day it ends]", "x".repeat(1001)))).isEqualTo(422);
    Map<String, Object> unknown = Map.of("name", "X", "topicId", 1, "starter", "no-such");
    assertThat(api.post("/api/series", unknown).status()).isEqualTo(422);
  }

  /** A series that only one colleague sees has no blanks for others. */
  @Test
  public void aPrivateSeriesIsThereForItsSenderAlone() {
    long id = begin("welcome").get("id").asLong();
    sql.sql("update series set private = true where id = ?").param(id).update();
    api.signIn("tomas", "lowen-quay");
    assertThat(api.get("/api/series/" + id + "/blanks").status()).isEqualTo(404);
    assertThat(fill(id, Map.of("[who helps]", "Nobody"))).isEqualTo(404);
    api.signIn("orla", "lowen-quay");
    assertThat(blanks(id)).contains("[who helps]");
  }
}
