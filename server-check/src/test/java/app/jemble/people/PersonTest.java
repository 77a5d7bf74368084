package app.jemble.people;

import static app.jemble.people.Bodies.all;
import static app.jemble.people.Bodies.only;
import static app.jemble.people.Bodies.page;
import static app.jemble.people.Bodies.those;
import static app.jemble.people.Bodies.where;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** One person: added, changed by two at once, merged, put away; and the fields a workspace adds. */
public class PersonTest extends ServerTest {

  private Api tomas;
  private Api wilma;

  @Override
  protected int people() {
    return 300;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
    tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    wilma = new Api("http://127.0.0.1:" + port);
    wilma.signIn("wilma", "lowen-quay");
  }

  private JsonNode person(long id) {
    return api.get("/api/people/" + id).json();
  }

  private static String field(JsonNode person, String name) {
    JsonNode text =
        person
            .get("fields")
            .valueStream()
            .filter(f -> f.get("name").asString().equals(name))
            .findFirst()
            .orElseThrow()
            .get("text");
    return text.isNull() ? null : text.asString();
  }

  private static Map<String, Object> given(long version, String... fieldsAndValues) {
    Map<String, Object> values = new HashMap<>();
    for (int i = 0; i < fieldsAndValues.length; i += 2) {
      values.put(fieldsAndValues[i], fieldsAndValues[i + 1]);
    }
    return Map.of("version", version, "values", values);
  }

  private long add(String... fieldsAndValues) {
    Api.Answer added =
        api.post("/api/people", Map.of("values", given(0, fieldsAndValues).get("values")));
    assertThat(added.status()).as(added.json().toString()).isEqualTo(200);
    return added.json().get("id").asLong();
  }

  @Test
  public void aPersonIsAddedWithWhatPeopleWrite() {
    long id =
        add(
            "kind",
            "member",
            "first_name",
            " Zoë ",
            "last_name",
            "O'Hara",
            "email",
            "zoe@ohara.example",
            "phone",
            "07700 900321",
            "plan",
            "sail",
            "joined_on",
            "4/3/2021",
            "dues_owed",
            "£42",
            "tags",
            "slipway, Youth",
            "owner",
            "tomas",
            "berth_name",
            "Tern");
    JsonNode person = person(id);
    assertThat(person.get("name").asString()).isEqualTo("Zoë O'Hara");
    assertThat(field(person, "phone")).isEqualTo("+44 7700 900321");
    assertThat(field(person, "plan")).isEqualTo("Sail");
    assertThat(field(person, "joined_on")).isEqualTo("2021-03-04");
    assertThat(field(person, "dues_owed")).isEqualTo("42.00 GBP");
    assertThat(field(person, "tags")).isEqualTo("slipway, Youth");
    assertThat(field(person, "owner")).isEqualTo("Tomas Vance");
    assertThat(field(person, "berth_name")).isEqualTo("Tern");
    assertThat(person.get("reach").get(0).get("reach").asString()).isEqualTo("READY");
    assertThat(person.get("reach").get(1).get("reach").asString()).isEqualTo("READY");
    assertThat(person.get("reach").get(2).get("reachWords").asString()).isEqualTo("no address");
    assertThat(api.get("/api/people/" + id + "/history").json().size()).isGreaterThan(8);
  }

  @Test
  public void whenAPersonWasAddedIsOnRecord() {
    Instant before = clock.instant();
    long id = add("first_name", "New", "last_name", "Comer");
    assertThat(
            sql.sql("select created_at from person where id = ?")
                .param(id)
                .query(Timestamp.class)
                .single()
                .toInstant())
        .isBetween(before.minusMillis(1), clock.instant().plusMillis(1));
  }

  @Test
  public void whatIsWrongIsNamedAndNothingIsKept() {
    long before = sql.sql("select count(*) from person").query(Long.class).single();
    Map<String, String> wrong = Map.of("first_name", "Zoë", "email", "zoe at ohara");
    Api.Answer refused = api.post("/api/people", Map.of("values", wrong));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().get("field").asString()).isEqualTo("email");
    assertThat(api.post("/api/people", Map.of("values", Map.of("plan", "Sail"))).status())
        .isEqualTo(422);
    assertThat(sql.sql("select count(*) from person").query(Long.class).single()).isEqualTo(before);
    String taken = field(person(3), "number");
    Api.Answer twice = api.put("/api/people/4", given(0, "number", taken));
    assertThat(twice.json().get("detail").asString()).contains("already has the number");
    assertThat(api.get("/api/people/999999").status()).isEqualTo(404);
  }

  @Test
  public void theSecondOfTwoIsToldWhatChangedAndLosesNothing() {
    long id = add("first_name", "Ida", "last_name", "Fenn", "phone", "07700 900001");
    long seen = person(id).get("version").asLong();
    assertThat(tomas.put("/api/people/" + id, given(seen, "phone", "07700 900002")).status())
        .isEqualTo(200);
    // The same field: nothing is saved, and what it is now is told.
    JsonNode second = api.put("/api/people/" + id, given(seen, "phone", "07700 900003")).json();
    assertThat(second.get("act").isNull()).isTrue();
    JsonNode conflict = second.get("conflicts").get(0);
    assertThat(conflict.get("by").asString()).isEqualTo("Tomas Vance");
    assertThat(conflict.get("before").asString()).isEqualTo("+44 7700 900001");
    assertThat(conflict.get("after").asString()).isEqualTo("+44 7700 900002");
    assertThat(field(person(id), "phone")).isEqualTo("+44 7700 900002");
    // Another field: both hold, and the second is told of the first.
    JsonNode other = api.put("/api/people/" + id, given(seen, "source", "Boat show")).json();
    assertThat(other.get("conflicts").size()).isZero();
    assertThat(other.get("meanwhile").get(0).get("field").asString()).isEqualTo("phone");
    // Having seen it, one may put one's own over it.
    long now = other.get("version").asLong();
    api.put("/api/people/" + id, given(now, "phone", "07700 900003"));
    assertThat(field(person(id), "phone")).isEqualTo("+44 7700 900003");
    assertThat(field(person(id), "source")).isEqualTo("Boat show");
  }

  @Test
  public void anAddressIsJudgedAnewWhenItChangesAndWhenThatIsTakenBack() {
    long id = add("first_name", "Ada", "email", "ada@quay.example");
    sql.sql("update person set email = 'ada@quay', email_valid = false where id = ?")
        .param(id)
        .update();
    assertThat(person(id).get("reach").get(0).get("reach").asString()).isEqualTo("NOT_VALID");
    long version = person(id).get("version").asLong();
    long act =
        api.put("/api/people/" + id, given(version, "email", "ada2@quay.example"))
            .json()
            .get("act")
            .asLong();
    assertThat(reachInList(id)).isEqualTo("READY");
    api.post("/api/changes/" + act + "/undo", Map.of());
    assertThat(reachInList(id)).isEqualTo("NOT_VALID");
  }

  @Test
  public void whoAskedNotToBeWrittenToComesBackOnlyThemself() {
    long id = add("first_name", "Una", "last_name", "Quiet", "email", "una@quiet.example");
    long act = noteWish(id);
    for (Api colleague : List.of(api, wilma)) {
      long version = person(id).get("version").asLong();
      Api.Answer refused = colleague.put("/api/people/" + id, given(version, "asked_not", "no"));
      assertThat(refused.status()).isEqualTo(422);
      assertThat(refused.text()).contains("comes back only themself");
      Map<String, Object> ofMany = Bodies.act(only(id), "SET", "field", "asked_not", "value", "no");
      assertThat(colleague.post("/api/people/bulk", ofMany).status()).isEqualTo(422);
    }
    assertThat(reachInList(id)).isEqualTo("ASKED_NOT");
    // What was noted by mistake is taken back by whoever noted it, out of the history.
    assertThat(history(tomas, id).get("mayBeUndone").asBoolean()).isFalse();
    JsonNode mine = history(api, id);
    assertThat(mine.get("words").asString())
        .isEqualTo("Changed Asked not to be written to of Una Quiet");
    assertThat(mine.get("act").asLong()).isEqualTo(act);
    assertThat(mine.get("mayBeUndone").asBoolean()).isTrue();
    api.post("/api/changes/" + act + "/undo", Map.of());
    assertThat(reachInList(id)).isEqualTo("READY");
    assertThat(history(api, id).get("undone").asBoolean()).isTrue();
    assertThat(history(api, id).get("mayBeUndone").asBoolean()).isFalse();
  }

  private long noteWish(long id) {
    long version = person(id).get("version").asLong();
    return api.put("/api/people/" + id, given(version, "asked_not", "yes"))
        .json()
        .get("act")
        .asLong();
  }

  /** The newest change of a person, as a colleague is told of it. */
  private static JsonNode history(Api colleague, long id) {
    return colleague.get("/api/people/" + id + "/history").json().get(0);
  }

  @Test
  public void aWishNotToBeWrittenToOutlastsAMergeEitherWay() {
    for (boolean theOneWhoStays : List.of(true, false)) {
      long stays = add("first_name", "Vi", "last_name", "Twice", "email", "vi@twice.example");
      long other = add("first_name", "Vi", "last_name", "Twice", "email", "vi2@twice.example");
      noteWish(theOneWhoStays ? stays : other);
      Map<String, Object> merge = Map.of("other", other, "take", List.of("asked_not", "email"));
      assertThat(api.post("/api/people/" + stays + "/merge", merge).status()).isEqualTo(200);
      assertThat(reachInList(stays)).isEqualTo("ASKED_NOT");
    }
  }

  private String reachInList(long id) {
    return api.post("/api/people/page", page(only(id), List.of()))
        .json()
        .get(0)
        .get("reach")
        .asString();
  }

  @Test
  public void mergingKeepsTheChosenValuesAndAllThatPassedBetweenUs() {
    long stays =
        add("first_name", "Bo", "last_name", "Lund", "email", "bo@lund.example", "number", "B-1");
    long other =
        add(
            "first_name",
            "Bo",
            "last_name",
            "LUND",
            "email",
            "bo@lund.example",
            "number",
            "B-2",
            "phone",
            "07700 900777",
            "plan",
            "Oar",
            "joined_on",
            "2019-05-01");
    assertThat(person(stays).get("likely").get(0).get("id").asLong()).isEqualTo(other);
    sql.sql("update person set introduced_by = ? where id = 40").param(other).update();
    api.post(
        "/api/people/bulk",
        Bodies.act(only(other), "MAKE_TASK", "task", Map.of("kind", "call", "title", "Ring Bo")));
    long mailing = draft(List.of(other), "Hello {{first_name}}", "<p>Dear {{first_name}}</p>");
    release(mailing);
    awaitSettled(mailing);
    long act =
        api.post(
                "/api/people/" + stays + "/merge",
                Map.of("other", other, "take", List.of("phone", "number")))
            .json()
            .get("act")
            .asLong();
    hasAllOfBoth(stays, other);
    api.post("/api/changes/" + act + "/undo", Map.of());
    areTwoAgain(stays, other);
  }

  private void hasAllOfBoth(long stays, long other) {
    JsonNode merged = person(stays);
    assertThat(field(merged, "phone")).isEqualTo("+44 7700 900777");
    assertThat(field(merged, "number")).isEqualTo("B-2");
    assertThat(field(merged, "plan")).isEqualTo("Oar");
    assertThat(merged.get("tasks").size()).isEqualTo(1);
    JsonNode between = api.get("/api/people/" + stays + "/between").json();
    assertThat(between.get(between.size() - 1).get("kind").asString()).isEqualTo("SENT");
    assertThat(person(40).get("introducedBy").get("id").asLong()).isEqualTo(stays);
    assertThat(person(other).get("mergedInto").get("id").asLong()).isEqualTo(stays);
    assertThat(
            api.post("/api/people/" + stays + "/merge", Map.of("other", other, "take", List.of()))
                .status())
        .isEqualTo(409);
  }

  private void areTwoAgain(long stays, long other) {
    assertThat(field(person(stays), "phone")).isNull();
    assertThat(field(person(stays), "number")).isEqualTo("B-1");
    assertThat(field(person(stays), "plan")).isNull();
    assertThat(person(other).get("archivedAt").isNull()).isTrue();
    assertThat(field(person(other), "number")).isEqualTo("B-2");
    assertThat(field(person(other), "plan")).isEqualTo("Oar");
    assertThat(api.get("/api/people/" + other + "/between").json().size()).isPositive();
    assertThat(person(40).get("introducedBy").get("id").asLong()).isEqualTo(other);
  }

  /** Many signs of one instant, so that a page would end between two of them. */
  @Test
  public void whatPassedBetweenUsIsToldOnceWhereverAPageEnds() {
    sql.sql(
            """
            insert into response (message_id, person_id, cause_id, kind, at, detail)
            select s.id, s.person_id, s.cause_id, 'CLICKED',
                   timestamptz '2026-01-01 12:00Z' + (n / 25) * interval '1 minute', 'link ' || n
            from (select * from message order by id limit 1) s, generate_series(1, 200) n
            """)
        .update();
    long id =
        sql.sql("select person_id from message order by id limit 1").query(Long.class).single();
    List<String> told = new ArrayList<>();
    String page = "/api/people/" + id + "/between";
    for (JsonNode one = api.get(page).json(); !one.isEmpty(); ) {
      one.forEach(happening -> told.add(happening.get("detail").asString("")));
      one = api.get(page + "?before=" + one.get(one.size() - 1).get("at").asString()).json();
    }
    assertThat(told.stream().filter(detail -> detail.startsWith("link ")))
        .hasSize(200)
        .doesNotHaveDuplicates();
  }

  @Test
  public void whoIsArchivedIsInNoListAndComesBack() {
    long id = add("first_name", "Old", "last_name", "Hand", "email", "old@hand.example");
    Map<String, Object> named = those(all(where("name", "IS", "old hand")));
    api.post("/api/people/bulk", Bodies.act(only(id), "ARCHIVE"));
    assertThat(api.post("/api/people/tally", named).json().get("total").asInt()).isZero();
    Map<String, Object> archived = new HashMap<>(named);
    archived.put("archived", true);
    assertThat(api.post("/api/people/tally", archived).json().get("total").asInt()).isEqualTo(1);
    assertThat(person(id).get("archivedAt").isNull()).isFalse();
    api.post("/api/people/bulk", Bodies.act(archived, "RESTORE"));
    assertThat(api.post("/api/people/tally", named).json().get("total").asInt()).isEqualTo(1);
  }

  @Test
  public void anAttributeIsAtOnceAFieldLikeAnyOther() {
    Map<String, Object> draft =
        Map.of(
            "label",
            "Hull colour",
            "type",
            "CHOICE",
            "choices",
            List.of("red", "blue"),
            "required",
            false);
    assertThat(api.post("/api/attributes", draft).status()).isEqualTo(403);
    String name = wilma.post("/api/attributes", draft).json().get("name").asString();
    assertThat(name).isEqualTo("hull_colour");
    assertThat(wilma.post("/api/attributes", draft).status()).as("a label twice").isEqualTo(422);
    api.put("/api/people/9", given(0, name, "BLUE"));
    Map<String, Object> blue = those(all(where(name, "ANY_OF", "blue")));
    JsonNode page = api.post("/api/people/page", page(blue, List.of(name))).json();
    assertThat(page.size()).isEqualTo(1);
    assertThat(page.get(0).get("cells").get(0).asString()).isEqualTo("blue");
    long mailing = draft(List.of(9L), "Your {{hull_colour}} boat", "<p>x</p>");
    assertThat(api.get("/api/mailings/" + mailing + "/proofs/9").json().get("subject").asString())
        .isEqualTo("Your blue boat");
    assertThat(wilma.delete("/api/attributes/" + name).status()).isEqualTo(200);
    assertThat(api.post("/api/people/tally", blue).status()).isEqualTo(422);
  }

  @Test
  public void aRequiredAttributeIsAskedOfNewPeople() {
    Map<String, Object> draft =
        Map.of("label", "Boat name", "type", "TEXT", "choices", List.of(), "required", true);
    String name = wilma.post("/api/attributes", draft).json().get("name").asString();
    Map<String, String> without = Map.of("first_name", "Nils");
    Api.Answer refused = api.post("/api/people", Map.of("values", without));
    assertThat(refused.json().get("detail").asString()).contains("Boat name is required");
    wilma.delete("/api/attributes/" + name);
    assertThat(api.post("/api/people", Map.of("values", without)).status()).isEqualTo(200);
  }

  @Test
  public void anOfficeIsHeldFoundAndEnded() {
    long id = add("first_name", "Tove", "last_name", "Rask");
    Map<String, Object> office =
        new HashMap<>(Map.of("name", "Harbour steward", "since", "2026-01-10"));
    office.put("body", " Committee ");
    long act = api.post("/api/people/" + id + "/offices", office).json().get("act").asLong();
    JsonNode held = person(id).get("offices").get(0);
    assertThat(held.get("name").asString()).isEqualTo("Harbour steward");
    Map<String, Object> holders =
        those(
            Bodies.has(
                "OFFICE",
                1,
                all(where("name", "ANY_OF", "Harbour steward"), where("held", "YES"))));
    long before = api.post("/api/people/tally", holders).json().get("total").asLong();
    String path = "/api/people/" + id + "/offices/" + held.get("id").asLong();
    assertThat(api.put(path, Map.of("until", "2025-01-01")).status()).isEqualTo(422);
    assertThat(api.put(path, Map.of("until", "2026-11-01")).status()).isEqualTo(200);
    assertThat(api.post("/api/people/tally", holders).json().get("total").asLong())
        .isEqualTo(before - 1);
    for (String unknown : List.of(" ", "Admiral", "harbour steward")) {
      office.put("name", unknown);
      assertThat(api.post("/api/people/" + id + "/offices", office).text())
          .contains("Choose one of the house's offices: Chair, Treasurer");
    }
    assertThat(api.get("/api/offices").json().toString()).contains("Harbour steward");
    api.post("/api/changes/" + act + "/undo", Map.of());
    assertThat(person(id).get("offices").size()).isZero();
  }

  @Test
  public void theTallyCanBeWatchedAndEndsExact() {
    Map<String, Object> who = those(all(where("berth_name", "CONTAINS", "e")));
    long exact = api.post("/api/people/tally", who).json().get("total").asLong();
    String[] lines = api.post("/api/people/tally/watch", who).raw().body().split("\n");
    JsonNode last = new tools.jackson.databind.ObjectMapper().readTree(lines[lines.length - 1]);
    assertThat(last.get("total").asLong()).isEqualTo(exact);
    assertThat(last.get("looked").asLong()).isEqualTo(last.get("of").asLong());
    assertThat(api.post("/api/people/tally/watch", those(all(where("x", "IS", "y")))).status())
        .isEqualTo(422);
  }
}
