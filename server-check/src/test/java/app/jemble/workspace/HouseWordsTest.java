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
    String operator = field.equals("topic_left") ? "HAS_ANY" : "ANY_OF";
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
    return keptOf("people", filter(field, value));
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

  @Test
  public void aPlanThatIsGivenUpIsKeptByWhoeverHasIt() {
    String plan = plans().get(1);
    long members = members(plan);
    assertThat(members).isPositive();
    Map<String, Object> wanted = Map.of("name", plan, "retired", true);
    assertThat(wilma.put("/api/house/plans/retired", wanted).status()).isEqualTo(200);
    assertThat(members(plan)).isEqualTo(members);
    JsonNode field = field("plan");
    assertThat(field.get("choices").toString())
        .as("those that are given stand first")
        .endsWith("\"" + plan + "\"]");
    assertThat(field.get("retired").toString()).isEqualTo("[\"" + plan + "\"]");
    Map<String, Object> again = Map.of("name", plan, "retired", false);
    assertThat(wilma.put("/api/house/plans/retired", again).status()).isEqualTo(200);
    assertThat(field("plan").get("retired")).isEmpty();
    assertThat(
            wilma
                .put("/api/house/plans/retired", Map.of("name", "No such", "retired", true))
                .status())
        .isEqualTo(404);
  }

  @Test
  public void aTopicThatIsGivenUpIsOfferedToNothingNewAndTheLastStays() {
    List<Long> ids = new ArrayList<>();
    wilma.get("/api/topics").json().forEach(t -> ids.add(t.get("id").asLong()));
    long first = ids.get(0);
    for (long id : ids.subList(0, ids.size() - 1)) {
      assertThat(giveUp(id, true).status()).isEqualTo(200);
    }
    assertThat(giveUp(ids.get(ids.size() - 1), true).status()).isEqualTo(409);
    JsonNode topics = wilma.get("/api/topics").json();
    assertThat(topics.get(0).get("retired").asBoolean()).isFalse();
    assertThat(topics).hasSize(ids.size());
    api = wilma;
    assertThat(
            sql.sql("select count(*) from cause where topic_id = ?")
                .param(first)
                .query(Long.class)
                .single())
        .as("what was about it still is")
        .isPositive();
    assertThat(begun()).as("a new mailing").isEqualTo(ids.get(ids.size() - 1));
    ids.forEach(id -> assertThat(giveUp(id, false).status()).isEqualTo(200));
    assertThat(giveUp(99_999, true).status()).isEqualTo(404);
  }

  private long begun() {
    long mailing = draft(List.of(1L), "Hello", "<p>Hello</p>");
    return sql.sql("select topic_id from cause where id = ?")
        .param(mailing)
        .query(Long.class)
        .single();
  }

  private Api.Answer giveUp(long topic, boolean retired) {
    return wilma.put("/api/house/topics/" + topic + "/retired", Map.of("retired", retired));
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

  private List<String> standing(String kind) {
    return wilma
        .get("/api/house/standing")
        .json()
        .get(kind)
        .valueStream()
        .map(word -> word.get("name").asString() + (word.get("retired").asBoolean() ? " -" : ""))
        .toList();
  }

  private Api.Answer retire(String about, String name, boolean retired) {
    return wilma.put(
        "/api/house/standing/" + about + "/retired", Map.of("name", name, "retired", retired));
  }

  private JsonNode field(String name) {
    return wilma
        .get("/api/fields")
        .json()
        .get("filter")
        .valueStream()
        .filter(field -> field.get("name").asString().equals(name))
        .findFirst()
        .orElseThrow();
  }

  /** Whoever has one follows, and every filter that asks for it. */
  @Test
  public void statusesAreTheHousesOwn() {
    long lapsed = count("membership where status = 'lapsed'");
    assertThat(lapsed).isPositive();
    long filter = kept("status", "lapsed");
    Map<String, String> rename = Map.of("name", "lapsed", "to", "past");
    assertThat(wilma.put("/api/house/standing/STATUS/name", rename).status()).isEqualTo(200);
    assertThat(wilma.put("/api/house/standing/STATUS/name", rename).status()).isEqualTo(404);
    assertThat(count("membership where status = 'past'")).isEqualTo(lapsed);
    assertThat(stored(filter)).contains("past").doesNotContain("lapsed");

    assertThat(wilma.post("/api/house/standing/STATUS", Map.of("name", "Guest")).status())
        .isEqualTo(200);
    assertThat(wilma.post("/api/house/standing/STATUS", Map.of("name", "guest")).status())
        .isEqualTo(422);
    List<String> order = List.of("Guest", "active", "waiting", "past");
    assertThat(wilma.put("/api/house/standing/STATUS", Map.of("names", order)).status())
        .isEqualTo(200);
    assertThat(standing("statuses")).isEqualTo(order);
    assertThat(wilma.put("/api/house/standing/STATUS", Map.of("names", List.of("past"))).status())
        .isEqualTo(409);

    assertThat(retire("STATUS", "waiting", true).status()).isEqualTo(200);
    assertThat(standing("statuses")).contains("waiting -");
    assertThat(field("status").get("retired").toString()).isEqualTo("[\"waiting\"]");
    assertThat(field("status").get("choices").toString()).contains("waiting");
    assertThat(statusOfNewMember()).isEqualTo("Guest");
    for (String name : List.of("Guest", "active")) {
      assertThat(retire("STATUS", name, true).status()).isEqualTo(200);
    }
    assertThat(retire("STATUS", "past", true).text()).contains("add another first");
    assertThat(retire("STATUS", "Guest", false).status()).isEqualTo(200);
    assertThat(signedIn("orla").post("/api/house/standing/STATUS", Map.of("name", "x")).status())
        .isEqualTo(403);
  }

  /** Current are those whose status counts, in one question. */
  @Test(dependsOnMethods = "statusesAreTheHousesOwn")
  public void currentMembersAreThoseWhoseStatusCounts() {
    assertThat(currentMembers()).isEqualTo(count("membership where status in ('active', 'Guest')"));
    Map<String, Object> past = Map.of("name", "past", "counts", true);
    assertThat(wilma.put("/api/house/standing/STATUS/counts", past).status()).isEqualTo(200);
    assertThat(currentMembers())
        .isEqualTo(count("membership where status in ('active', 'Guest', 'past')"));
    Map<String, Object> nobody = Map.of("name", "nobody", "counts", true);
    assertThat(wilma.put("/api/house/standing/STATUS/counts", nobody).status()).isEqualTo(404);
  }

  private long currentMembers() {
    Map<String, Object> condition = new HashMap<>();
    condition.put("field", "current_member");
    condition.put("operator", "YES");
    condition.put("values", List.of());
    Map<String, Object> filter =
        Map.of("match", "ALL", "conditions", List.of(condition), "groups", List.of());
    Api.Answer tally = wilma.post("/api/people/tally", Map.of("filter", filter));
    assertThat(tally.status()).as(tally.text()).isEqualTo(200);
    return tally.json().get("total").asLong();
  }

  private String statusOfNewMember() {
    long person = addPerson("Bea", "New", "bea.new@member.example");
    long version = wilma.get("/api/people/" + person).json().get("version").asLong();
    Api.Answer made =
        wilma.put(
            "/api/people/" + person,
            Map.of("version", version, "values", Map.of("plan", plans().get(0))));
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    return sql.sql("select status from membership where person_id = ?")
        .param(person)
        .query(String.class)
        .single();
  }

  /**
   * Renamed, tasks follow, what makes tasks by itself, and filters, about tasks and around people.
   */
  @Test
  public void kindsOfTasksAreTheHousesOwn() {
    long calls = count("task where kind = 'call'");
    assertThat(calls).isPositive();
    assertThat(count("follow_rule where act ->> 'taskKind' = 'call'")).isPositive();
    long ofTasks = keptOf("tasks", filter("kind", "call"));
    Map<String, Object> has = new HashMap<>();
    has.put("kind", "TASK");
    has.put("atLeast", 1);
    has.put("where", filter("kind", "call"));
    Map<String, Object> around =
        Map.of(
            "match", "ALL", "conditions", List.of(), "related", List.of(has), "groups", List.of());
    long ofPeople = keptOf("people", around);
    Map<String, String> rename = Map.of("name", "call", "to", "ring up");
    assertThat(wilma.put("/api/house/standing/TASK/name", rename).status()).isEqualTo(200);
    assertThat(count("task where kind = 'ring up'")).isEqualTo(calls);
    assertThat(count("follow_rule where act ->> 'taskKind' = 'call'")).isZero();
    for (long filter : List.of(ofTasks, ofPeople)) {
      assertThat(stored(filter)).contains("ring up").doesNotContain("\"call\"");
    }
    assertThat(found("/api/records/tasks/tally", filter("kind", "ring up"))).isEqualTo(calls);

    assertThat(wilma.post("/api/house/standing/TASK", Map.of("name", "visit")).status())
        .isEqualTo(200);
    long members = kept("kind", "member");
    assertThat(wilma.post("/api/house/standing/TASK", Map.of("name", "member")).status())
        .isEqualTo(200);
    rename = Map.of("name", "member", "to", "look after");
    assertThat(wilma.put("/api/house/standing/TASK/name", rename).status()).isEqualTo(200);
    assertThat(stored(members)).as("a kind of people is no kind of task").contains("member");
    long person = addPerson("Ida", "Visited", "ida@visited.example");
    assertThat(makeTask(person, "visit").status()).isEqualTo(200);
    assertThat(makeTask(person, "call").status()).isEqualTo(422);
    assertThat(makeTask(person, "").status()).isEqualTo(200);
    assertThat(count("task where person_id = " + person + " and kind = 'ring up'")).isEqualTo(1);
    has.put("where", filter("kind", "visit"));
    assertThat(found("/api/people/tally", around)).isEqualTo(1);
    assertThat(retire("TASK", "visit", true).status()).isEqualTo(200);
    assertThat(found("/api/people/tally", around)).as("found though given up").isEqualTo(1);
    JsonNode fields = wilma.get("/api/fields").json().get("related");
    assertThat(fields.toString()).contains("\"retired\":[\"visit\"]");
  }

  private long keptOf(String subject, Map<String, Object> filter) {
    Map<String, Object> draft = new HashMap<>();
    draft.put("subject", subject);
    draft.put("name", "asks " + filter.hashCode());
    draft.put("shared", false);
    draft.put("filter", filter);
    draft.put("layout", null);
    Api.Answer made = wilma.post("/api/filters", draft);
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    return made.json().get("id").asLong();
  }

  private long found(String path, Map<String, Object> filter) {
    Api.Answer tally = wilma.post(path, Map.of("filter", filter));
    assertThat(tally.status()).as(tally.text()).isEqualTo(200);
    return tally.json().get("total").asLong();
  }

  private Api.Answer makeTask(long person, String kind) {
    Map<String, Object> task = new HashMap<>();
    task.put("kind", kind);
    task.put("title", "See them");
    task.put("dueOn", null);
    task.put("owner", null);
    Map<String, Object> everybody =
        Map.of("match", "ALL", "conditions", List.of(), "related", List.of(), "groups", List.of());
    Map<String, Object> act = new HashMap<>();
    act.put("who", Map.of("filter", everybody, "picks", List.of(person)));
    act.put("kind", "MAKE_TASK");
    act.put("task", task);
    return wilma.post("/api/people/bulk", act);
  }

  /** On the page of whoever has a stage that is given up it is there, on others' it is not. */
  @Test
  public void stagesAreTheHousesOwn() {
    long with = addPerson("Cas", "Lead", "cas@lead.example");
    long without = addPerson("Dov", "Lead", "dov@lead.example");
    sql.sql("update person set stage = 'talking' where id = ?").param(with).update();
    assertThat(retire("STAGE", "talking", true).status()).isEqualTo(200);
    assertThat(choicesOf(with)).contains("talking");
    assertThat(choicesOf(without)).doesNotContain("talking").contains("won");
    Map<String, String> rename = Map.of("name", "talking", "to", "in talks");
    assertThat(wilma.put("/api/house/standing/STAGE/name", rename).status()).isEqualTo(200);
    assertThat(choicesOf(with)).contains("in talks").doesNotContain("\"talking\"");
    assertThat(retire("STAGE", "in talks", false).status()).isEqualTo(200);
    assertThat(choicesOf(without)).contains("in talks");
  }

  private String choicesOf(long person) {
    return wilma
        .get("/api/people/" + person)
        .json()
        .get("fields")
        .valueStream()
        .filter(field -> field.get("name").asString().equals("stage"))
        .findFirst()
        .orElseThrow()
        .get("choices")
        .toString();
  }

  private long count(String what) {
    return sql.sql("select count(*) from " + what).query(Long.class).single();
  }
}
