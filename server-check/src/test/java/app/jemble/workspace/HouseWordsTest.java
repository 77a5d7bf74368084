package app.jemble.workspace;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Topics and plans are renamed with everything following. */
public class HouseWordsTest extends ServerTest {

  private Api wilma;

  @Override
  protected int people() {
    return 60;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    wilma = signedIn("wilma");
  }

  private static Map<String, Object> condition(String field, String value) {
    String operator = field.equals("plan") ? "ANY_OF" : "HAS_ANY";
    Map<String, Object> condition = new HashMap<>();
    condition.put("field", field);
    condition.put("operator", operator);
    condition.put("values", List.of(value));
    return condition;
  }

  private static Map<String, Object> filter(String field, String value) {
    return Map.of(
        "match", "ALL", "conditions", List.of(condition(field, value)), "groups", List.of());
  }

  private long kept(String field, String value) {
    Map<String, Object> draft = new HashMap<>();
    draft.put("subject", "people");
    draft.put("name", "asks for " + field);
    draft.put("shared", false);
    draft.put("filter", filter(field, value));
    draft.put("layout", null);
    Api.Answer made = wilma.post("/api/filters", draft);
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    return made.json().get("id").asLong();
  }

  private String stored(long filter) {
    return sql.sql("select filter::text from kept_filter where id = ?")
        .param(filter)
        .query(String.class)
        .single();
  }

  private List<String> plans() {
    List<String> names = new ArrayList<>();
    wilma
        .get("/api/house/words")
        .json()
        .get("plans")
        .forEach(p -> names.add(p.get("name").asString()));
    return names;
  }

  private long members(String plan) {
    return sql.sql("select count(*) from membership where plan = ?")
        .param(plan)
        .query(Long.class)
        .single();
  }

  @Test
  public void aPlanIsRenamedWithEverythingFollowing() {
    String before = plans().get(0);
    long members = members(before);
    assertThat(members).isPositive();
    long filter = kept("plan", before);
    long occasion =
        sql.sql(
                """
                insert into occasion (cause_id, name, field, kind, said_at, leaves, whom, created_at)
                select min(c.id), 'Follows', 'birthday', 'YEARLY', '09:00', 'NOD',
                       jsonb_build_array(jsonb_build_object('name', 'x', 'filter', f.filter)), now()
                from cause c, kept_filter f
                where f.id = ? and c.id not in (select cause_id from occasion)
                group by f.filter
                returning id
                """)
            .param(filter)
            .query(Long.class)
            .single();
    String after = "Grüne Leine";
    Api.Answer renamed = wilma.put("/api/house/plans/name", Map.of("name", before, "to", after));
    assertThat(renamed.status()).as(renamed.text()).isEqualTo(200);
    assertThat(plans()).contains(after).doesNotContain(before);
    assertThat(members(after)).isEqualTo(members);
    assertThat(stored(filter)).contains(after).doesNotContain("\"" + before + "\"");
    String whom =
        sql.sql("select whom::text from occasion where id = ?")
            .param(occasion)
            .query(String.class)
            .single();
    assertThat(whom).contains(after).doesNotContain("\"" + before + "\"");
    JsonNode line = wilma.get("/api/history?kind=SETTINGS").json().get(0);
    assertThat(line.get("words").asString()).isEqualTo("Renamed a plan");
    assertThat(line.get("before").asString()).isEqualTo(before);
  }

  @Test(dependsOnMethods = "aPlanIsRenamedWithEverythingFollowing")
  public void aPlanThatNobodyHasIsRemoved() {
    assertThat(wilma.post("/api/house/plans", Map.of("name", " Second  oar ")).status())
        .isEqualTo(200);
    String added = plans().get(plans().size() - 1);
    assertThat(added).startsWith("Second").endsWith("oar");
    assertThat(
            wilma
                .post("/api/house/plans", Map.of("name", added.toUpperCase(java.util.Locale.ROOT)))
                .text())
        .contains("There is a plan called");
    assertThat(wilma.post("/api/house/plans", Map.of("name", "a, b")).status()).isEqualTo(422);
    assertThat(wilma.post("/api/house/plans/remove", Map.of("name", plans().get(0))).text())
        .contains("Somebody has the plan");
    assertThat(wilma.post("/api/house/plans/remove", Map.of("name", added)).status())
        .isEqualTo(200);
    assertThat(wilma.post("/api/house/plans/remove", Map.of("name", added)).status())
        .isEqualTo(404);
    assertThat(plans()).doesNotContain(added);
  }

  @Test(dependsOnMethods = "aPlanThatNobodyHasIsRemoved")
  public void plansStandInTheOrderOfTheHouse() {
    List<String> turned = new ArrayList<>(plans());
    Collections.reverse(turned);
    assertThat(wilma.put("/api/house/plans", Map.of("names", turned)).status()).isEqualTo(200);
    assertThat(plans()).isEqualTo(turned);
    assertThat(wilma.put("/api/house/plans", Map.of("names", turned.subList(1, 2))).status())
        .isEqualTo(409);
  }

  @Test
  public void aTopicIsRenamedWithEverythingFollowing() {
    JsonNode topic = wilma.get("/api/house/words").json().get("topics").get(0);
    String before = topic.get("name").asString();
    long filter = kept("topic_left", before);
    String path = "/api/house/topics/" + topic.get("id").asLong();
    String other = wilma.get("/api/house/words").json().get("topics").get(1).get("name").asString();
    assertThat(wilma.put(path, Map.of("name", other)).status()).isEqualTo(422);
    assertThat(wilma.put(path, Map.of("name", before + " of the quay")).status()).isEqualTo(200);
    assertThat(stored(filter)).contains(before + " of the quay");
    assertThat(wilma.post("/api/house/topics", Map.of("name", "Regatta")).text())
        .contains("Regatta");
    assertThat(signedIn("orla").post("/api/house/topics", Map.of("name", "Mine")).status())
        .isEqualTo(403);
  }
}
