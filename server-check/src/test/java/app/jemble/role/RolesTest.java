package app.jemble.role;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Whoever looks after colleagues lays down what each role may; it holds from the next act. */
public class RolesTest extends ServerTest {

  private Api wilma;
  private Api tomas;

  @Override
  protected int people() {
    return 30;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    wilma = signedIn("wilma");
    tomas = signedIn("tomas");
    api = tomas;
  }

  @AfterMethod
  public void asShipped() {
    sql.sql(
            """
            update role r
            set rights = c.rights, most_at_once = null, nod_above = null, most_rows = null
            from role c
            where r.name = 'Representative' and c.name = 'Coordinator'
            """)
        .update();
    sql.sql("delete from role where name in ('Quay hand', 'Second hand')").update();
  }

  private static Map<String, Object> limits(Integer mostAtOnce, Integer mostRows) {
    Map<String, Object> limits = new HashMap<>();
    limits.put("mostAtOnce", mostAtOnce);
    limits.put("nodAbove", null);
    limits.put("mostADay", null);
    limits.put("mostRows", mostRows);
    limits.put("ownPeople", false);
    return limits;
  }

  private static Map<String, Object> role(String name, List<String> rights) {
    return role(name, rights, limits(null, null));
  }

  private static Map<String, Object> role(
      String name, List<String> rights, Map<String, Object> limits) {
    return Map.of("name", name, "rights", rights, "limits", limits);
  }

  private JsonNode kept(String name) {
    for (JsonNode role : wilma.get("/api/roles").json().get("roles")) {
      if (role.get("name").asString().equals(name)) {
        return role;
      }
    }
    throw new AssertionError("no role " + name);
  }

  private Api.Answer change(String name, Map<String, Object> to) {
    return wilma.put("/api/roles/" + roleId(name), to);
  }

  @Test
  public void aRoleIsAddedGivenAndTakenAway() {
    Api.Answer added = wilma.post("/api/roles", role(" Quay hand ", List.of("IMPORT")));
    assertThat(added.status()).as(added.text()).isEqualTo(200);
    assertThat(added.json().get("name").asString()).isEqualTo("Quay hand");
    assertThat(added.json().get("rights").toString())
        .as("with what it rests on")
        .isEqualTo("[\"WORK\",\"CHANGE_PEOPLE\",\"IMPORT\"]");
    String path = "/api/roles/" + added.json().get("id").asLong();
    giveReed("Quay hand");
    Api reed = signedIn("reed");
    assertThat(reed.get("/api/session").json().get("colleague").get("role").asString())
        .isEqualTo("Quay hand");
    assertThat(wilma.delete(path).text()).contains("One colleague has this role");
    giveReed("Reader");
    assertThat(wilma.delete(path).status()).isEqualTo(204);
    assertThat(wilma.get(path + "/acts").status()).isEqualTo(404);
  }

  private void giveReed(String role) {
    Map<String, Object> draft =
        Map.of(
            "name", "Reed Larkin",
            "email", "reed@ternquay.example",
            "title", "Treasurer",
            "roleId", roleId(role));
    long id = sql.sql("select id from account where login = 'reed'").query(Long.class).single();
    assertThat(wilma.put("/api/colleagues/" + id, draft).status()).isEqualTo(204);
  }

  @Test
  public void whatIsLookedAtAsARoleIsWhatItGets() {
    assertThat(change("Representative", role("Representative", List.of("WRITE_TO_ONE"))).status())
        .isEqualTo(200);
    JsonNode acts = wilma.get("/api/roles/" + roleId("Representative") + "/acts").json();
    String exporting = "";
    for (JsonNode act : acts) {
      boolean may = act.get("refused").isNull();
      boolean expected = List.of("WORK", "WRITE_TO_ONE").contains(act.get("right").asString());
      assertThat(may).as(act.toString()).isEqualTo(expected);
      if (act.get("right").asString().equals("EXPORT")) {
        exporting = act.get("refused").asString();
      }
    }
    assertThat(exporting)
        .isEqualTo(
            "Your role, Representative, may not take anything out in files. Ask Wilma Gorse.");
    Api.Answer refused = tomas.post("/api/people/export", Map.of());
    assertThat(refused.status()).isEqualTo(403);
    assertThat(refused.json().get("detail").asString()).as("the same words").isEqualTo(exporting);
  }

  @Test
  public void aLimitIsSaidBeforeItBindsAndMendedInOneAct() {
    List<Long> five = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      five.add(addPerson("Bea", "Limit", "limit" + i + "@limit.example"));
    }
    long mailing = draft(five, "Hello", "<p>Hello</p>");
    List<String> rights = List.of("WRITE_TO_MANY", "EXPORT");
    change("Representative", role("Representative", rights, limits(3, 4)));
    String said = "You may write to 3 at once; these are 5. Ask Wilma Gorse, or take the first 3.";
    assertThat(tomas.get("/api/mailings/" + mailing + "/check").text()).contains(said);
    assertThat(release(mailing).json().get("detail").asString()).isEqualTo(said);
    Api.Answer left =
        tomas.post(
            "/api/mailings/" + mailing + "/leave-out",
            Map.of("code", "SENDER_NOT_ALLOWED", "about", "sender"));
    assertThat(left.json().get("leftOut").size()).isEqualTo(2);
    assertThat(release(mailing).status()).isEqualTo(200);
    Api.Answer file = tomas.post("/api/people/export", wholeFile());
    assertThat(file.status()).isEqualTo(403);
    assertThat(file.json().get("detail").asString())
        .startsWith("You may take out 4 people in one file; these are ")
        .endsWith(". Ask Wilma Gorse.");
    assertThat(wilma.post("/api/people/export", wholeFile()).status()).isEqualTo(200);
  }

  private static Map<String, Object> wholeFile() {
    Map<String, Object> who = new HashMap<>();
    who.put("filter", Map.of("match", "ALL", "conditions", List.of(), "groups", List.of()));
    who.put("reach", null);
    who.put("picks", null);
    who.put("leftOut", List.of());
    Map<String, Object> wish = new HashMap<>();
    wish.put("who", who);
    wish.put("form", "CSV");
    wish.put("columns", List.of());
    wish.put("sortBy", null);
    wish.put("descending", false);
    return wish;
  }

  @Test
  public void somebodyAlwaysLooksAfterColleagues() {
    Api.Answer refused = change("Administrator", role("Administrator", List.of("SETTINGS")));
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.text()).contains("Nobody who can sign in would look after");
    assertThat(kept("Administrator").get("rights").toString()).contains("COLLEAGUES");
  }

  /** Each takes the right from one of the two roles that have it: one of them is refused. */
  @Test
  public void twoAtOnceDoNotLeaveTheHouseAlone() {
    change("Representative", role("Representative", List.of("COLLEAGUES")));
    CompletableFuture<Api.Answer> mine =
        CompletableFuture.supplyAsync(
            () -> change("Administrator", role("Administrator", List.of("SETTINGS"))));
    Api.Answer theirs =
        tomas.put(
            "/api/roles/" + roleId("Representative"), role("Representative", List.of("WORK")));
    List<Integer> statuses = List.of(mine.join().status(), theirs.status());
    sql.sql(
            """
            update role set rights = rights || '{COLLEAGUES}'
            where name = 'Administrator' and not 'COLLEAGUES' = any(rights)
            """)
        .update();
    assertThat(statuses).contains(200).containsAnyOf(409, 403);
  }

  @Test
  public void whatMakesNoSenseIsRefused() {
    wilma.post("/api/roles", role("Quay hand", List.of()));
    assertThat(wilma.post("/api/roles", role("quay HAND", List.of())).text())
        .contains("There is a role called");
    wilma.post("/api/roles", role("Second hand", List.of()));
    assertThat(change("Second hand", role("Quay hand", List.of())).status()).isEqualTo(422);
    assertThat(wilma.post("/api/roles", role(" ", List.of())).status()).isEqualTo(422);
    assertThat(change("Second hand", role("Second hand", List.of(), limits(0, null))).text())
        .contains("1 or more");
    assertThat(change("Second hand", role("Second hand", List.of("EVERYTHING"))).status())
        .isEqualTo(422);
    assertThat(tomas.post("/api/roles", role("Mine", List.of("COLLEAGUES"))).status())
        .isEqualTo(403);
    assertThat(signedIn("reed").get("/api/roles").status()).as("to look").isEqualTo(200);
  }

  @Test
  public void whatWasChangedStandsInTheHistory() {
    change("Representative", role("Representative", List.of("WORK"), limits(7, null)));
    JsonNode line = wilma.get("/api/history?kind=COLLEAGUES").json().get(0);
    assertThat(line.get("words").asString()).isEqualTo("Changed a role");
    assertThat(line.get("about").asString()).isEqualTo("Representative");
    assertThat(line.get("before").asString()).contains("Labels and letters on paper");
    assertThat(line.get("after").asString())
        .contains("people at once: 7")
        .doesNotContain("Labels and letters on paper");
  }
}
