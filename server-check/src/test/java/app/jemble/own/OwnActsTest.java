package app.jemble.own;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.series.entry.StandingEntries;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.Stream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What a colleague does who sees their own people only, and what is done for them meanwhile. */
public class OwnActsTest extends ServerTest {

  private Api tomas;
  private Api orla;

  @Override
  protected int people() {
    return 20;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    sql.sql("update workspace set hold_seconds = 3600").update();
    sql.sql(
            """
            update role set own_people = true,
                   rights = array(select unnest(rights) union select 'MAILINGS_OF_OTHERS'
                                  union select 'SERIES' union select 'IMPORT')
            where id = (select role_id from account where login = 'tomas')
            """)
        .update();
    tomas = signedIn("tomas");
    orla = signedIn("orla");
    api = tomas;
  }

  private long owned(String name, String login) {
    long person =
        addPerson(name, "Owned", name.toLowerCase(java.util.Locale.ROOT) + "@own.example");
    giveTo(person, login);
    return person;
  }

  private void giveTo(long person, String login) {
    sql.sql("update person set owner_id = (select id from account where login = ?) where id = ?")
        .params(login, person)
        .update();
  }

  private List<Long> writtenTo(long mailing) {
    return sql.sql("select person_id from message where cause_id = ? order by person_id")
        .param(mailing)
        .query(Long.class)
        .list();
  }

  @Test
  public void whomTheyAddIsTheirs() {
    Map<String, Object> person = new HashMap<>();
    person.put("values", Map.of("last_name", "Newcomer", "email", "new@own.example"));
    Api.Answer added = tomas.post("/api/people", person);
    assertThat(added.status()).as(added.text()).isEqualTo(200);
    assertThat(
            sql.sql(
                    """
                    select a.login from person p join account a on a.id = p.owner_id
                    where p.last_name = 'Newcomer'
                    """)
                .query(String.class)
                .list())
        .containsExactly("tomas");
  }

  @Test
  public void theyMayGiveSomebodyAway() {
    long mine = owned("Mac", "tomas");
    Map<String, Object> filter =
        Map.of("match", "ALL", "conditions", List.of(), "related", List.of(), "groups", List.of());
    Map<String, Object> act = new HashMap<>();
    act.put("who", Map.of("filter", filter, "picks", List.of(mine)));
    act.put("kind", "SET");
    act.put("field", "owner");
    act.put("value", "orla");
    assertThat(tomas.get("/api/people/" + mine).status()).isEqualTo(200);
    Api.Answer given = tomas.post("/api/people/bulk", act);
    assertThat(given.status()).as(given.text()).isEqualTo(200);
    assertThat(tomas.get("/api/people/" + mine).status()).isEqualTo(404);
    assertThat(orla.get("/api/people/" + mine).status()).isEqualTo(200);
  }

  @Test
  public void toHowManyOthersDidSomethingIsNotTold() {
    long mine = owned("Mim", "tomas");
    long other = owned("Oli", "orla");
    Map<String, Object> filter =
        Map.of("match", "ALL", "conditions", List.of(), "related", List.of(), "groups", List.of());
    Map<String, Object> act = new HashMap<>();
    act.put("who", Map.of("filter", filter, "picks", List.of(mine, other)));
    act.put("kind", "SET");
    act.put("field", "address.place");
    act.put("value", "Umeå");
    assertThat(orla.post("/api/people/bulk", act).status()).isEqualTo(200);
    String path = "/api/people/" + mine + "/history";
    assertThat(orla.get(path).text()).contains("(2 people)");
    assertThat(tomas.get(path).text()).contains("Umeå").doesNotContain("people)");
  }

  @Test
  public void theyWriteToTheirsAlone() {
    long mine = owned("Mia", "tomas");
    long given = owned("Gil", "tomas");
    long other = owned("Oda", "orla");
    long mailing = draft(List.of(mine, given, other), "Hello", "<p>Hello</p>");
    giveTo(given, "orla");
    assertThat(release(mailing).status()).isEqualTo(200);
    Eventually.holds(() -> assertThat(writtenTo(mailing)).containsExactly(mine));
  }

  /** Whoever sees everybody releases it no further than its sender sees. */
  @Test
  public void whatTheySendGoesToTheirsWhoeverReleasesIt() {
    long mine = owned("Moe", "tomas");
    long other = owned("Ole", "orla");
    long mailing = draft(List.of(mine), "Hello", "<p>Hello</p>");
    sql.sql("update audience set picks = array[?, ?] where mailing_id = ?")
        .params(mine, other, mailing)
        .update();
    api = orla;
    try {
      assertThat(release(mailing).status()).isEqualTo(200);
    } finally {
      api = tomas;
    }
    Eventually.holds(() -> assertThat(writtenTo(mailing)).containsExactly(mine));
  }

  @Test
  public void aMailingIsWithdrawnWholeThoughSomebodyIsAnothersByThen() {
    long mine = owned("Max", "tomas");
    long given = owned("Gus", "tomas");
    long mailing = draft(List.of(mine, given), "Hello", "<p>Hello</p>");
    release(mailing);
    Eventually.holds(() -> assertThat(writtenTo(mailing)).hasSize(2));
    giveTo(given, "orla");
    assertThat(tomas.get("/api/responses/" + mailing).json().get("messages").asInt()).isEqualTo(1);
    assertThat(tomas.post("/api/mailings/" + mailing + "/withdraw", Map.of()).status())
        .isEqualTo(200);
    assertThat(messageValue(mailing, given, "state")).isEqualTo("withdrawn");
    assertThat(messageValue(mailing, mine, "state")).isEqualTo("withdrawn");
  }

  @Test
  public void whatOthersWriteTheyFollowUpAndDoNotChange() {
    long mine = owned("May", "tomas");
    long other = owned("Ove", "orla");
    api = orla;
    long mailing;
    try {
      mailing = draft(List.of(mine, other), "Hello", "<p>Hello</p>");
      release(mailing);
    } finally {
      api = tomas;
    }
    Eventually.holds(() -> assertThat(writtenTo(mailing)).hasSize(2));
    sql.sql("update message set state = 'sent', sent_at = now() where cause_id = ?")
        .param(mailing)
        .update();
    Api.Answer refused = tomas.post("/api/mailings/" + mailing + "/pause", Map.of());
    assertThat(refused.status()).isEqualTo(403);
    assertThat(refused.text()).contains("You see your own people only");
    assertThat(tomas.get("/api/mailings/" + mailing).json().get("picks").toString())
        .isEqualTo("[" + mine + "]");
    Map<String, Object> again = new HashMap<>();
    again.put("standings", List.of("NOTHING"));
    Api.Answer begun = tomas.post("/api/responses/" + mailing + "/follow-up", again);
    assertThat(begun.status()).as(begun.text()).isEqualTo(200);
    long next = begun.json().get("id").asLong();
    assertThat(tomas.get("/api/mailings/" + next).json().get("picks").toString())
        .isEqualTo("[" + mine + "]");
  }

  @Test
  public void aListOfOthersStays() {
    long list =
        orla.post("/api/lists", Map.of("name", "Committee of all")).json().get("id").asLong();
    assertThat(tomas.delete("/api/lists/" + list).status()).isEqualTo(403);
    assertThat(tomas.put("/api/lists/" + list, Map.of("name", "Mine")).status()).isEqualTo(403);
    assertThat(orla.delete("/api/lists/" + list).status()).isEqualTo(200);
  }

  @Test
  public void aSeriesOfTheirsTakesInTheirsAlone() {
    long mine = owned("Mel", "tomas");
    long other = owned("Ora", "orla");
    long series =
        tomas.post("/api/series", Map.of("name", "Own", "topicId", 1)).json().get("id").asLong();
    sql.sql(
            """
            update series set state = 'active', enters_parts =
              '[{"name": "all", "filter": {"match": "ALL", "conditions": [
                 {"field": "last_name", "operator": "IS", "values": ["Owned"]}],
                 "related": [], "groups": []}}]'
            where id = ?
            """)
        .param(series)
        .update();
    application.getBean(StandingEntries.class).lookAt(series);
    assertThat(
            sql.sql("select person_id from series_entry where series_id = ?")
                .param(series)
                .query(Long.class)
                .list())
        .contains(mine)
        .doesNotContain(other);
  }

  @Test
  public void aFileFindsTheirsAlone() {
    owned("Ida", "tomas");
    owned("Ulf", "orla");
    sql.sql("update person set number = 'N-77' where email = 'ulf@own.example'").update();
    String file =
        "E-mail,Last name,Number,Owner\nida@own.example,Changed,,\n"
            + "ulf@own.example,Other,,\nz@own.example,Taken,N-77,\n"
            + "given@own.example,Given,,orla\n";
    long id =
        tomas
            .upload("/api/imports?name=x.csv", file.getBytes(StandardCharsets.UTF_8))
            .json()
            .get("id")
            .asLong();
    String path = "/api/imports/" + id;
    Map<String, Object> choices = new HashMap<>();
    for (Map.Entry<String, JsonNode> e : tomas.get(path).json().get("choices").properties()) {
      choices.put(e.getKey(), e.getValue());
    }
    assertThat(tomas.put(path, choices).status()).isEqualTo(200);
    await(path, "checked");
    assertThat(
            sql.sql("select outcome from import_row where run_id = ? order by row_no")
                .param(id)
                .query(String.class)
                .list())
        .containsExactly("changed", "new", "bad", "new");
    assertThat(tomas.post(path + "/run", Map.of()).status()).isEqualTo(200);
    await(path, "done");
    assertThat(
            sql.sql(
                    """
                    select last_name || ' ' || a.login from person p
                    left join account a on a.id = p.owner_id
                    where p.email in ('ida@own.example', 'ulf@own.example', 'given@own.example')
                    order by 1
                    """)
                .query(String.class)
                .list())
        .containsExactly("Changed tomas", "Given orla", "Other tomas", "Owned orla");
  }

  private void await(String path, String state) {
    Eventually.holds(
        () -> assertThat(tomas.get(path).json().get("state").asString()).isEqualTo(state));
  }

  @Test
  public void theirCalendarHoldsTheirPeoplesTasks() throws Exception {
    task(owned("Mai", "tomas"), "Ring Mai");
    task(owned("Osk", "orla"), "Ring Osk");
    String address = tomas.post("/api/tasks/calendar", Map.of()).json().get("address").asString();
    HttpResponse<String> calendar =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:" + port + URI.create(address).getPath()))
                    .build(),
                HttpResponse.BodyHandlers.ofString());
    assertThat(calendar.body()).contains("Ring Mai").doesNotContain("Ring Osk");
  }

  private void task(long person, String title) {
    sql.sql(
            """
            insert into task (person_id, kind, title, due_on, owner_id, created_at, created_by)
            select ?, 'call', ?, current_date, id, now(), id from account where login = 'tomas'
            """)
        .params(person, title)
        .update();
  }

  @Test
  public void theyHearOfWhatHappensToTheirsAlone() {
    long mine = owned("Mik", "tomas");
    long other = owned("Ott", "orla");
    Queue<String> told = new ConcurrentLinkedQueue<>();
    Queue<String> toldAll = new ConcurrentLinkedQueue<>();
    try (Stream<String> lines = tomas.stream("/api/live");
        Stream<String> all = orla.stream("/api/live")) {
      hear(lines, told);
      hear(all, toldAll);
      Eventually.holds(() -> assertThat(told).contains("everything"));
      List<String> heard = new ArrayList<>();
      Eventually.holds(
          () -> {
            task(other, "Ring");
            assertThat(String.join(" ", toldAll)).contains("tasks");
          });
      heard.addAll(told);
      assertThat(String.join(" ", heard)).doesNotContain("tasks");
      Eventually.holds(
          () -> {
            task(mine, "Ring");
            assertThat(String.join(" ", told)).contains("tasks");
          });
    }
  }

  private static void hear(Stream<String> lines, Queue<String> told) {
    CompletableFuture.runAsync(
        () -> lines.filter(l -> l.startsWith("data:")).map(l -> l.substring(5)).forEach(told::add));
  }

  @Test
  public void whoeverSetsUpTheHouseSeesEverybody() {
    Api wilma = signedIn("wilma");
    JsonNode roles = wilma.get("/api/roles").json().get("roles");
    assertThat(roles.toString()).contains("SETTINGS");
    for (JsonNode role : roles) {
      Map<String, Object> limits = new HashMap<>();
      role.get("limits").properties().forEach(l -> limits.put(l.getKey(), l.getValue()));
      limits.put("ownPeople", true);
      Map<String, Object> draft = new HashMap<>();
      draft.put("name", role.get("name").asString());
      draft.put("rights", role.get("rights"));
      draft.put("limits", limits);
      boolean sets = role.get("rights").toString().contains("SETTINGS");
      if (sets) {
        Api.Answer refused = wilma.put("/api/roles/" + role.get("id").asLong(), draft);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().get("field").asString()).isEqualTo("ownPeople");
      }
    }
  }
}
