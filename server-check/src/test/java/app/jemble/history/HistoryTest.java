package app.jemble.history;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What was done in the house, as an administrator reads it. */
public class HistoryTest extends ServerTest {

  private Api wilma;

  @Override
  protected int people() {
    return 20;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    wilma = signedIn("wilma");
  }

  private Api stranger() {
    return new Api("http://127.0.0.1:" + port);
  }

  private long idOf(String login) {
    return sql.sql("select id from account where login = ?")
        .param(login)
        .query(Long.class)
        .single();
  }

  private JsonNode history(String query) {
    Api.Answer answer = wilma.get("/api/history" + query);
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    return answer.json();
  }

  private JsonNode latest(String kind) {
    return history("?kind=" + kind).get(0);
  }

  /** Whatever changes the house, or takes people's data out of it, says in which words. */
  @Test
  public void everyActOfAnAdministratorAndEveryExportIsNoted() {
    List<String> silent = new ArrayList<>();
    List<HandlerMethod> noted = new ArrayList<>();
    application
        .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
        .getHandlerMethods()
        .forEach(
            (mapping, operation) -> {
              Needs needs = operation.getMethodAnnotation(Needs.class);
              if (needs == null) {
                return;
              }
              boolean reads =
                  mapping.getMethodsCondition().getMethods().contains(RequestMethod.GET);
              boolean must =
                  needs.value() == Right.EXPORT
                      || (List.of(Right.SETTINGS, Right.COLLEAGUES).contains(needs.value())
                          && !reads);
              if (operation.getMethodAnnotation(Noted.class) != null) {
                noted.add(operation);
              } else if (must) {
                silent.add(mapping.toString());
              }
            });
    assertThat(silent).isEmpty();
    assertThat(noted).hasSizeGreaterThan(25);
  }

  @Test
  public void whoSignsInAndWhoFailsToStandThereWithFromWhere() {
    Api reed = signedIn("reed");
    assertThat(latest("SIGN_IN").get("who").asString()).isEqualTo("Reed Larkin");
    assertThat(latest("SIGN_IN").get("words").asString()).isEqualTo("Signed in");
    assertThat(latest("SIGN_IN").get("address").asString()).isEqualTo("127.0.0.1");
    assertThat(reed.delete("/api/session").status()).isEqualTo(204);
    assertThat(latest("SIGN_IN").get("words").asString()).isEqualTo("Signed out");
    String hostile = "<b>\u202eo'; -- " + "x".repeat(600);
    stranger().signIn(hostile, "guess");
    JsonNode failed = latest("SIGN_IN");
    assertThat(failed.get("words").asString()).contains("wrong login or password");
    assertThat(failed.get("who").asString()).startsWith("<b>o'; --").hasSize(500);
    assertThat(history("").toString()).doesNotContain("guess", "lowen-quay");
  }

  @Test
  public void aRoleStandsThereBeforeAndAfter() {
    Map<String, Object> draft =
        Map.of(
            "name",
            "Reed Larkin",
            "email",
            "reed@ternquay.example",
            "title",
            "Treasurer",
            "roleId",
            roleId("Representative"));
    assertThat(wilma.put("/api/colleagues/" + idOf("reed"), draft).status()).isEqualTo(204);
    JsonNode changed = latest("COLLEAGUES");
    assertThat(changed.get("who").asString()).isEqualTo("Wilma Gorse");
    assertThat(changed.get("about").asString()).isEqualTo("Reed Larkin");
    assertThat(changed.get("before").asString()).isEqualTo("role: Reader");
    assertThat(changed.get("after").asString()).isEqualTo("role: Representative");
  }

  @Test
  public void settingsStandThereAsFarAsTheyDiffer() {
    ObjectNode rules = (ObjectNode) wilma.get("/api/phone-rules").json();
    String before = rules.get("quietFrom").asString();
    rules.put("quietFrom", "22:15");
    assertThat(wilma.put("/api/phone-rules", rules).status()).isEqualTo(200);
    JsonNode changed = latest("SETTINGS");
    assertThat(changed.get("before").asString()).isEqualTo("quiet from: " + before);
    assertThat(changed.get("after").asString()).isEqualTo("quiet from: 22:15");
  }

  @Test
  public void whatWasRefusedWasNotDone() {
    int had = history("?kind=COLLEAGUES").size();
    long id = idOf("wilma");
    assertThat(wilma.put("/api/colleagues/" + id + "/off", Map.of()).status()).isEqualTo(409);
    assertThat(signedIn("orla").put("/api/colleagues/" + id + "/off", Map.of()).status())
        .isEqualTo(403);
    assertThat(history("?kind=COLLEAGUES")).hasSize(had);
  }

  /** ASVS 5, 16.3.2. */
  @Test
  public void whatSomebodyMayNotIsNotedOnceAMinute() {
    Api reed = signedIn("reed");
    for (int times = 0; times < 3; times++) {
      assertThat(reed.put("/api/colleagues/" + idOf("orla") + "/off", Map.of()).status())
          .isEqualTo(403);
    }
    assertThat(reed.get("/api/history").status()).isEqualTo(403);
    JsonNode refused = history("?kind=REFUSED&by=" + idOf("reed"));
    assertThat(refused.valueStream().map(line -> line.get("about").asString()))
        .containsExactly("GET /api/history", "PUT /api/colleagues/{id}/off");
    assertThat(refused.get(0).get("after").asString()).contains("Wilma");
    assertThat(refused.get(0).get("address").asString()).isEqualTo("127.0.0.1");
    clock.advance(Duration.ofMinutes(2));
    assertThat(reed.get("/api/history").status()).isEqualTo(403);
    assertThat(history("?kind=REFUSED&by=" + idOf("reed"))).hasSize(3);
  }

  @Test
  public void whatIsTakenOutOfTheHouseStandsThere() {
    assertThat(wilma.get("/api/do-not-write/export").status()).isEqualTo(200);
    Eventually.holds(
        () ->
            assertThat(latest("EXPORT").get("words").asString())
                .isEqualTo("Downloaded the do-not-write list"));
  }

  @Test
  public void changesOfPeopleStandAmongTheRest() {
    Api tomas = signedIn("tomas");
    Api.Answer added = tomas.post("/api/people", Map.of("values", Map.of("last_name", "Trevail")));
    assertThat(added.status()).isEqualTo(200);
    JsonNode latest = history("?kind=PEOPLE&by=" + idOf("tomas")).get(0);
    assertThat(latest.get("words").asString()).isEqualTo("Added Trevail");
    assertThat(latest.get("address").asString()).isEqualTo("127.0.0.1");
    assertThat(history("?kind=PEOPLE&by=" + idOf("reed"))).isEmpty();
  }

  @Test(dependsOnMethods = "whoSignsInAndWhoFailsToStandThereWithFromWhere")
  public void itIsReadPageByPageAndDayByDay() {
    IntStream.range(0, 230)
        .forEach(
            i ->
                sql.sql(
                        """
                        insert into house_event (at, kind, words, tried)
                        values (timestamptz '2001-02-03 23:30:00Z', 'SIGN_IN', ?, 'x')
                        """)
                    .param("Old " + i)
                    .update());
    Set<String> keys = new HashSet<>();
    String day = "?from=2001-02-03&until=2001-02-03";
    JsonNode page = history(day);
    while (!page.isEmpty()) {
      page.forEach(entry -> assertThat(keys.add(entry.get("key").asString())).isTrue());
      JsonNode last = page.get(page.size() - 1);
      page =
          history(
              day
                  + "&afterKey="
                  + last.get("key").asString()
                  + "&afterAt="
                  + last.get("at").asString());
    }
    assertThat(keys).hasSize(230);
    assertThat(history("?from=2001-02-04&until=2001-02-04")).isEmpty();
    String csv = wilma.get("/api/history/export" + day).text();
    assertThat(csv.lines()).hasSize(231);
    assertThat(csv.lines().findFirst().orElseThrow())
        .endsWith("When,Who,Kind,What,About,Before,After,From");
  }

  @Test(dependsOnMethods = "itIsReadPageByPageAndDayByDay")
  public void whatSomebodyTypedIsNoFormulaInASheet() {
    stranger().signIn("=cmd|' /c'!A1", "guess");
    assertThat(wilma.get("/api/history/export?kind=SIGN_IN").text())
        .contains("cmd|")
        .doesNotContain(",=cmd", ",\"=cmd");
  }

  @Test(priority = 1)
  public void whatIsOlderThanItIsKeptIsForgotten() {
    assertThat(wilma.put("/api/history/kept", Map.of("months", 0)).status()).isEqualTo(422);
    assertThat(wilma.put("/api/history/kept", Map.of("months", 6)).status()).isEqualTo(204);
    assertThat(latest("SETTINGS").get("before").asString()).isEqualTo("24 months");
    clock.advance(Duration.ofDays(100));
    wilma = signedIn("wilma");
    assertThat(latest("SETTINGS").get("after").asString()).isEqualTo("6 months");
    clock.advance(Duration.ofDays(100));
    wilma = signedIn("wilma");
    assertThat(history("?kind=SETTINGS")).isEmpty();
  }
}
