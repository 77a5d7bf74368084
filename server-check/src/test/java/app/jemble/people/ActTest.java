package app.jemble.people;

import static app.jemble.people.Bodies.act;
import static app.jemble.people.Bodies.all;
import static app.jemble.people.Bodies.only;
import static app.jemble.people.Bodies.those;
import static app.jemble.people.Bodies.where;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What is done with many people at once, and taking it back. */
public class ActTest extends ServerTest {

  @Override
  protected int people() {
    return 300;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  /** Everything a person's row, membership, lists and tasks hold. */
  private String everything() {
    return sql.sql(
            """
            select md5(string_agg(t, '|' order by t)) from (
              select p::text from person p
              union all select m::text from membership m
              union all select o.name from organisation o
              union all select f::text from office f
              union all select l.list_id || '-' || l.person_id from list_member l
              union all select 'task' || count(*) from task) all_rows (t)
            """)
        .query(String.class)
        .single();
  }

  @DataProvider
  public Object[][] acts() {
    Map<String, Object> members = those(all(where("kind", "ANY_OF", "member")));
    Map<String, Object> task = Map.of("kind", "call", "title", "Ask about the mast");
    return new Object[][] {
      {act(members, "TAG", "value", "Regatta")},
      {act(members, "UNTAG", "value", "SLIPWAY")},
      {act(members, "SET", "field", "owner", "value", "tomas")},
      {act(members, "SET", "field", "address.place", "value", "Porto")},
      {act(members, "SET", "field", "organisation.name", "value", "A new house")},
      {act(members, "SET", "field", "plan", "value", "oar")},
      {act(members, "SET", "field", "dues_owed", "value", "12.50")},
      {act(members, "SET", "field", "renews_on", "value", null)},
      {act(members, "SET", "field", "last_visit", "value", "2026-03-29 10:00")},
      {act(members, "SET", "field", "berth_name", "value", "Tern “O'Hara” %")},
      {act(members, "SET", "field", "asked_not", "value", "yes")},
      {act(members, "SET", "field", "phone", "value", "07700 900555")},
      {act(members, "ADD_TO_LIST", "list", 1)},
      {act(members, "TAKE_OFF_LIST", "list", 2)},
      {act(members, "MAKE_TASK", "task", task)},
      {act(members, "GIVE_OFFICE", "office", Map.of("name", "Treasurer", "since", "2026-11-01"))},
      {act(members, "END_OFFICE", "ending", Map.of("name", "Chair", "until", "2026-11-01"))},
      {act(members, "ARCHIVE")},
      // People without a membership get one with the plan.
      {act(those(all(where("kind", "ANY_OF", "lead"))), "SET", "field", "plan", "value", "Sail")},
    };
  }

  @Test(dataProvider = "acts")
  public void anActChangesThosePickedAndIsTakenBackWhole(Map<String, Object> act) {
    String before = everything();
    Api.Answer done = api.post("/api/people/bulk", act);
    assertThat(done.status()).as(done.json().toString()).isEqualTo(200);
    assertThat(done.json().get("changed").asLong()).isPositive();
    assertThat(done.json().get("changed").asLong())
        .isLessThanOrEqualTo(done.json().get("of").asLong());
    assertThat(everything()).isNotEqualTo(before);
    Api.Answer undone =
        api.post("/api/changes/" + done.json().get("id").asLong() + "/undo", Map.of());
    assertThat(undone.status()).as(undone.json().toString()).isEqualTo(200);
    assertThat(everything()).isEqualTo(before);
    assertThat(
            api.post("/api/changes/" + done.json().get("id").asLong() + "/undo", Map.of()).status())
        .isEqualTo(409);
  }

  /** Before a field is set for many, how they stand is looked at. */
  @Test
  public void howManyStandIsToldBeforeTheyAreSet() {
    Long[] three = {
      addPerson("Lea", "Looked", "lea@looked.example"),
      addPerson("Lio", "Looked", "lio@looked.example"),
      addPerson("Lux", "Looked", "lux@looked.example")
    };
    sql.sql("update person set stage = 'new' where id in (?, ?)")
        .params(List.of(three[0], three[1]))
        .update();
    Map<String, Object> stage = Map.of("who", only(three), "field", "stage");
    assertThat(api.post("/api/people/values", stage).text())
        .isEqualTo("[{\"value\":\"new\",\"people\":2},{\"value\":null,\"people\":1}]");
    api.post("/api/people/bulk", act(only(three), "SET", "field", "stage", "value", "won"));
    assertThat(api.post("/api/people/values", stage).text())
        .isEqualTo("[{\"value\":\"won\",\"people\":3}]");
    Map<String, Object> owner = Map.of("who", only(three), "field", "owner");
    assertThat(api.post("/api/people/values", owner).status()).isEqualTo(200);
    for (String field : List.of("email", "nothing", "name")) {
      Map<String, Object> odd = Map.of("who", only(three), "field", field);
      assertThat(api.post("/api/people/values", odd).status()).as(field).isEqualTo(422);
    }
  }

  @Test
  public void whatSomebodyChangedSinceStaysWhenAnActIsTakenBack() {
    long one = addPerson("Una", "Vale", "una@vale.example");
    long two = addPerson("Ulf", "Vale", "ulf@vale.example");
    long act =
        api.post(
                "/api/people/bulk",
                act(only(one, two), "SET", "field", "address.place", "value", "Porto"))
            .json()
            .get("id")
            .asLong();
    api.post("/api/people/bulk", act(only(two), "SET", "field", "address.place", "value", "Umeå"));
    api.post("/api/changes/" + act + "/undo", Map.of());
    assertThat(place(one)).isNull();
    assertThat(place(two)).isEqualTo("Umeå");
  }

  private String place(long id) {
    return (String)
        sql.sql("select address_place from person where id = ?")
            .param(id)
            .query()
            .singleRow()
            .get("address_place");
  }

  @Test
  public void anotherColleaguesActIsTakenBackByAnAdministratorAlone() {
    long act =
        api.post("/api/people/bulk", act(only(5L), "TAG", "value", "Mine"))
            .json()
            .get("id")
            .asLong();
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    assertThat(tomas.post("/api/changes/" + act + "/undo", Map.of()).status()).isEqualTo(403);
    Api wilma = new Api("http://127.0.0.1:" + port);
    wilma.signIn("wilma", "lowen-quay");
    assertThat(wilma.post("/api/changes/" + act + "/undo", Map.of()).status()).isEqualTo(200);
  }

  @DataProvider
  public Object[][] nonsense() {
    return new Object[][] {
      {act(only(5L), "TAG", "value", " "), "A tag is a word"},
      {act(only(5L), "TAG", "value", "a,b"), "without a comma"},
      {act(only(5L), "SET", "field", "number", "value", "1"), "one by one"},
      {act(only(5L), "SET", "field", "name", "value", "1"), "no field that can be set"},
      {act(only(5L), "SET", "field", "plan", "value", "Canoe"), "one of Oar"},
      {act(only(1L), "SET", "field", "kind", "value", null), "cannot be empty"},
      {act(only(5L), "SET", "field", "owner", "value", "nobody"), "no colleague"},
      {act(only(5L), "ADD_TO_LIST", "list", 999), "no such list"},
      {act(only(5L), "MAKE_TASK"), "what is to be done"},
      {act(only(5L), "GIVE_OFFICE"), "which office"},
      {
        act(only(5L), "GIVE_OFFICE", "office", Map.of("name", "Admiral")),
        "one of the house's offices"
      },
      {act(only(5L), "END_OFFICE", "ending", Map.of("name", "Chair")), "“ending.until” is missing"},
      {act(only(999_999L), "ARCHIVE"), "Nobody is picked"},
    };
  }

  @Test(dataProvider = "nonsense")
  public void nonsenseIsRefusedWithASentenceAndChangesNothing(
      Map<String, Object> act, String sentence) {
    String before = everything();
    Api.Answer refused = api.post("/api/people/bulk", act);
    assertThat(refused.status()).isBetween(400, 499);
    assertThat(refused.json().get("detail").asString()).contains(sentence);
    assertThat(everything()).isEqualTo(before);
  }

  @Test
  public void aReaderChangesNothing() {
    Api reader = new Api("http://127.0.0.1:" + port);
    reader.signIn("reed", "lowen-quay");
    String before = everything();
    assertThat(reader.post("/api/people/bulk", act(only(5L), "TAG", "value", "x")).status())
        .isEqualTo(403);
    assertThat(reader.post("/api/lists", Map.of("name", "x")).status()).isEqualTo(403);
    assertThat(reader.post("/api/people", Map.of("values", Map.of("first_name", "X"))).status())
        .isEqualTo(403);
    assertThat(everything()).isEqualTo(before);
  }

  @Test
  public void manyTasksAreDoneMovedAndHandedOverAtOnce() {
    Map<String, Object> mine =
        Map.of("filter", all(where("done", "NO"), where("owner", "ANY_OF", "orla")));
    List<Long> before = ids(api.post("/api/tasks/done", Map.of("which", mine, "done", true)));
    assertThat(before).isNotEmpty();
    Map<String, Object> those = Map.of("filter", all(), "picks", before);
    assertThat(ids(api.post("/api/tasks/done", Map.of("which", those, "done", false))))
        .containsExactlyInAnyOrderElementsOf(before);
    api.post("/api/tasks/move", Map.of("which", those, "dueOn", "2027-01-04"));
    api.post("/api/tasks/hand-over", Map.of("which", those, "owner", "tomas"));
    Map<String, Object> moved =
        Map.of(
            "filter", all(where("due_on", "ON", "2027-01-04"), where("owner", "ANY_OF", "tomas")));
    JsonNode tally = api.post("/api/records/tasks/tally", moved).json();
    assertThat(tally.get("total").asInt()).isEqualTo(before.size());
    assertThat(api.post("/api/records/tasks/people", moved).json().get("people").size())
        .isEqualTo(tally.get("people").asInt());
  }

  private static List<Long> ids(Api.Answer answer) {
    return answer.json().get("tasks").valueStream().map(JsonNode::asLong).toList();
  }

  @Test
  public void listsAreMadeRenamedAndDoneAwayWith() {
    long list = api.post("/api/lists", Map.of("name", "Regatta crew")).json().get("id").asLong();
    assertThat(api.post("/api/lists", Map.of("name", "regatta CREW")).status()).isEqualTo(422);
    api.post("/api/people/bulk", act(only(1L, 2L, 3L), "ADD_TO_LIST", "list", list));
    Map<String, Object> onList = those(all(where("list", "HAS_ANY", "regatta crew")));
    assertThat(api.post("/api/people/tally", onList).json().get("total").asInt()).isEqualTo(3);
    api.put("/api/lists/" + list, Map.of("name", "Race helpers"));
    assertThat(api.post("/api/people/tally", onList).json().get("total").asInt()).isZero();
    assertThat(api.delete("/api/lists/" + list).status()).isEqualTo(200);
  }

  /** What asks for a list by its name goes on asking for it. */
  @Test
  public void filtersFollowAListThatIsRenamed() {
    long list = api.post("/api/lists", Map.of("name", "Quay hands")).json().get("id").asLong();
    api.post("/api/people/bulk", act(only(4L, 5L), "ADD_TO_LIST", "list", list));
    Map<String, Object> asked =
        Map.of(
            "match",
            "ANY",
            "conditions",
            List.of(where("tags", "HAS_ANY", "Quay hands")),
            "groups",
            List.of(all(where("list", "HAS_ANY", "quay hands", "Others"))));
    Map<String, Object> kept = new HashMap<>();
    kept.put("subject", "people");
    kept.put("name", "Hands");
    kept.put("filter", asked);
    kept.put("shared", false);
    long filter = api.post("/api/filters", kept).json().get("id").asLong();
    long mailing = draft(List.of(1L), "Hands", "<p>Hands</p>");
    Map<String, Object> change = change(mailing, "Hands", "<p>Hands</p>");
    change.put("parts", List.of(Map.of("name", "Quay hands", "filter", asked)));
    change.put("leftOutParts", List.of(Map.of("name", "Out", "filter", asked)));
    assertThat(api.put("/api/mailings/" + mailing, change).status()).isEqualTo(200);
    Map<String, Object> rule = new HashMap<>();
    rule.put("whom", "NO_REPLY");
    rule.put("waitCount", 1);
    rule.put("waitUnit", "DAYS");
    rule.put("except", List.of(Map.of("name", "Hands", "filter", asked)));
    rule.put("act", Map.of("kind", "TAG", "tag", "quiet"));
    assertThat(api.put("/api/mailings/" + mailing + "/rules", List.of(rule)).status())
        .isEqualTo(200);

    api.put("/api/lists/" + list, Map.of("name", "Pier \"hands\" – Zoë"));
    String renamed = "\"Pier \\\"hands\\\" – Zoë\",\"Others\"";
    String tag = "\"values\":[\"Quay hands\"]";
    String filters = api.get("/api/filters?subject=people").text();
    assertThat(filters).contains("\"id\":" + filter + ",").contains(renamed).contains(tag);
    String after = api.get("/api/mailings/" + mailing).text();
    assertThat(after.split(java.util.regex.Pattern.quote(renamed))).as("in both parts").hasSize(3);
    assertThat(after).contains(tag).contains("\"name\":\"Pier \\\"hands");
    assertThat(api.get("/api/mailings/" + mailing + "/rules").text()).contains(renamed);
    assertThat(api.put("/api/mailings/" + mailing, change).status())
        .as("whoever writes at it is told")
        .isEqualTo(409);
    assertThat(api.delete("/api/lists/" + list).status()).isEqualTo(200);
  }

  @Test
  public void aFilterIsKeptSharedAndUsedByOthers() {
    Map<String, Object> filter = all(where("owner", "IS_ME"), where("plan", "ANY_OF", "Sail"));
    Map<String, Object> draft = new HashMap<>();
    draft.put("subject", "people");
    draft.put("name", "My sailors");
    draft.put("filter", filter);
    draft.put("shared", true);
    long id = api.post("/api/filters", draft).json().get("id").asLong();
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    JsonNode seen =
        tomas
            .get("/api/filters?subject=people")
            .json()
            .valueStream()
            .filter(k -> k.get("name").asString().equals("My sailors"))
            .findFirst()
            .orElseThrow();
    assertThat(seen.get("mine").asBoolean()).isFalse();
    // "Me" is whoever asks.
    long orlas = api.post("/api/people/tally", those(filter)).json().get("total").asLong();
    long tomases = tomas.post("/api/people/tally", those(filter)).json().get("total").asLong();
    assertThat(orlas).isNotEqualTo(tomases);
    assertThat(tomas.delete("/api/filters/" + id).status()).isEqualTo(403);
    assertThat(api.put("/api/filters/" + id, Map.of("name", "Mine", "shared", false)).status())
        .isEqualTo(200);
    assertThat(tomas.get("/api/filters?subject=people").json().toString())
        .doesNotContain("My sailors");
    draft.put("filter", all(where("secret", "IS", "x")));
    assertThat(api.post("/api/filters", draft).status()).isEqualTo(422);
  }

  @Test
  public void eachColleagueSetsUpAListForThemselves() {
    Map<String, Object> layout =
        Map.of(
            "columns",
            List.of("plan", "berth_name"),
            "widths",
            Map.of("plan", 120),
            "descending",
            true);
    assertThat(api.get("/api/layouts/people").json().get("layout").isNull()).isTrue();
    assertThat(api.put("/api/layouts/people", layout).status()).isEqualTo(200);
    assertThat(api.get("/api/layouts/people").json().get("layout").get("columns").size())
        .isEqualTo(2);
    assertThat(
            api.put(
                    "/api/layouts/people",
                    Map.of(
                        "columns", List.of(), "widths", Map.of("plan", 9999), "descending", false))
                .status())
        .isEqualTo(422);
  }
}
