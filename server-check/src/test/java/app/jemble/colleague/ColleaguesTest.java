package app.jemble.colleague;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.Mails;
import app.jemble.ServerTest;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A colleague from the invitation to the day on which they leave. */
public class ColleaguesTest extends ServerTest {

  private static final String PASSWORD = "green stair 7";

  private Map<String, Object> finn() {
    return Map.of(
        "login", "Finn",
        "name", "Finn Penrose",
        "email", "finn@ternquay.example",
        "title", "Sales representative",
        "roleId", roleId("Representative"));
  }

  private Api administrator;
  private Api finnsOwn;
  private long id;

  @Override
  protected int people() {
    return 5;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    administrator = signedIn("wilma", "lowen-quay");
  }

  private Api stranger() {
    Api stranger = new Api("http://127.0.0.1:" + port);
    stranger.begin();
    return stranger;
  }

  private static String tokenOf(JsonNode made) {
    String link = made.get("link").asString();
    assertThat(link).contains("/new-password#");
    return link.substring(link.indexOf('#') + 1);
  }

  private Api.Answer use(String token, String password) {
    return stranger().post("/api/password-links/use", Map.of("token", token, "password", password));
  }

  private Api.Answer look(String token) {
    return stranger().post("/api/password-links/look", Map.of("token", token));
  }

  private JsonNode listed(String login) {
    for (JsonNode colleague : administrator.get("/api/colleagues").json()) {
      if (colleague.get("login").asString().equals(login)) {
        return colleague;
      }
    }
    throw new AssertionError(login + " is not listed");
  }

  @Test
  public void whoIsInvitedGetsALinkByMail() {
    Api.Answer made = administrator.post("/api/colleagues", finn());
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    assertThat(made.json().get("mailed").asBoolean()).isTrue();
    String link = made.json().get("link").asString();
    Eventually.holds(
        () ->
            assertThat(office.mailbox("finn"))
                .singleElement()
                .satisfies(
                    mail -> {
                      assertThat(mail.getSubject()).isEqualTo("Your way into Jemble");
                      assertThat(Mails.part(mail, "text/plain")).contains("finn").contains(link);
                    }));
    JsonNode listed = listed("finn");
    id = listed.get("id").asLong();
    assertThat(listed.get("invited").asBoolean()).isTrue();
    // The link stands nowhere in the database.
    String token = tokenOf(made.json());
    assertThat(sql.sql("select l::text from password_link l").query(String.class).list())
        .isNotEmpty()
        .noneMatch(kept -> kept.contains(token));
    assertThat(look(token).json().get("name").asString()).isEqualTo("Finn Penrose");
    assertThat(stranger().signIn("finn", "").status()).isEqualTo(422);
    theirFirstPassword(token);
  }

  private void theirFirstPassword(String token) {
    Api.Answer weak = use(token, "finnpenrose1");
    assertThat(weak.status()).isEqualTo(422);
    assertThat(weak.text()).contains("made of your name");
    assertThat(look(token).status()).as("still good").isEqualTo(200);
    assertThat(use(token, PASSWORD).status()).isEqualTo(204);
    assertThat(look(token).status()).isEqualTo(404);
    assertThat(use(token, "another stair 8").status()).isEqualTo(404);
    finnsOwn = signedIn("finn", PASSWORD);
    assertThat(listed("finn").get("invited").asBoolean()).isFalse();
  }

  @Test(dependsOnMethods = "whoIsInvitedGetsALinkByMail")
  public void aLoginIsOnePersons() {
    assertThat(administrator.post("/api/colleagues", finn()).text()).contains("already");
    for (Map.Entry<String, String> wrong :
        Map.of("login", "two words", "name", " ", "email", "nowhere").entrySet()) {
      Map<String, Object> draft = new HashMap<>(finn());
      draft.put("login", "mara");
      draft.put(wrong.getKey(), wrong.getValue());
      Api.Answer refused = administrator.post("/api/colleagues", draft);
      assertThat(refused.status()).as(wrong.getKey()).isEqualTo(422);
    }
  }

  @Test(dependsOnMethods = "whoIsInvitedGetsALinkByMail")
  public void aPasswordIsChangedByWhoeverKnowsTheOneBefore() {
    Api elsewhere = signedIn("finn", PASSWORD);
    String path = "/api/colleagues/me/password";
    Map<String, String> guessed = Map.of("current", "guessed it", "password", "blue stair 8888");
    assertThat(finnsOwn.put(path, guessed).status()).isEqualTo(422);
    Map<String, String> weak = Map.of("current", PASSWORD, "password", "password1234");
    assertThat(finnsOwn.put(path, weak).text()).contains("commonest");
    Map<String, String> good = Map.of("current", PASSWORD, "password", "blue stair 8888");
    assertThat(finnsOwn.put(path, good).status()).isEqualTo(204);
    assertThat(finnsOwn.get("/api/desk").status()).as("goes on").isEqualTo(200);
    assertThat(elsewhere.get("/api/desk").status()).as("ended").isEqualTo(401);
    assertThat(stranger().signIn("finn", PASSWORD).status()).isEqualTo(422);
  }

  @Test(dependsOnMethods = "aPasswordIsChangedByWhoeverKnowsTheOneBefore")
  public void aRoleHoldsAtOnce() {
    Map<String, Object> reader =
        Map.of(
            "name",
            "Finn Penrose",
            "email",
            "finn@ternquay.example",
            "title",
            "",
            "roleId",
            roleId("Reader"));
    assertThat(administrator.put("/api/colleagues/" + id, reader).status()).isEqualTo(204);
    Api.Answer refused =
        finnsOwn.post("/api/mailings", Map.of("picks", List.of(1), "leftOut", List.of()));
    assertThat(refused.status()).isEqualTo(403);
  }

  @Test(dependsOnMethods = "aRoleHoldsAtOnce")
  public void whoIsSwitchedOffIsSignedOutAtOnce() {
    String token =
        tokenOf(administrator.post("/api/colleagues/" + id + "/password-link", Map.of()).json());
    String off = "/api/colleagues/" + id + "/off";
    Stream<String> heard = finnsOwn.stream("/api/live");
    CompletableFuture<Long> ended = CompletableFuture.supplyAsync(heard::count);
    assertThat(administrator.put(off, Map.of()).status()).isEqualTo(204);
    assertThat(finnsOwn.get("/api/desk").status()).isEqualTo(401);
    assertThat(ended).as("an open screen hears no more").succeedsWithin(Duration.ofSeconds(20));
    Api.Answer refused = stranger().signIn("finn", "blue stair 8888");
    assertThat(refused.json().get("detail").asString())
        .isEqualTo("Login and password do not belong together.");
    assertThat(look(token).status()).isEqualTo(404);
    assertThat(administrator.post("/api/colleagues/" + id + "/password-link", Map.of()).status())
        .isEqualTo(409);
    assertThat(administrator.delete(off).status()).isEqualTo(204);
    signedIn("finn", "blue stair 8888");
  }

  /** ASVS 5, 7.4.5. */
  @Test
  public void anAdministratorSignsAColleagueOutEverywhere() {
    Api orla = signedIn("orla");
    Api orlasOther = signedIn("orla");
    String sessions = "/api/colleagues/" + listed("orla").get("id").asLong() + "/sessions";
    assertThat(orla.delete(sessions).status()).isEqualTo(403);
    assertThat(administrator.delete(sessions).status()).isEqualTo(204);
    assertThat(orla.get("/api/desk").status()).isEqualTo(401);
    assertThat(orlasOther.get("/api/desk").status()).isEqualTo(401);
    assertThat(signedIn("orla").get("/api/desk").status()).isEqualTo(200);
  }

  /** Whoever may change nothing else still says who they are, and how they are written to. */
  @Test
  public void aReaderChangesWhatTheySayOfThemselves() {
    Api reed = signedIn("reed");
    Map<String, Object> self = ofThemselves(reed);
    self.put("language", "de");
    self.put("phone", "+44 1632 960 014");
    JsonNode kept = reed.put("/api/colleagues/me", self).json();
    assertThat(kept.get("language").asString()).isEqualTo("de");
    assertThat(kept.get("phone").asString()).isEqualTo("+44 1632 960 014");
    assertThat(ofThemselves(signedIn("orla")).get("language").toString()).isEqualTo("null");
  }

  private static Map<String, Object> ofThemselves(Api colleague) {
    Map<String, Object> self = new HashMap<>();
    colleague
        .get("/api/colleagues/me")
        .json()
        .properties()
        .forEach(e -> self.put(e.getKey(), e.getValue()));
    return self;
  }

  /** What an administrator chose, then what they chose themselves, then as the house has it. */
  @Test
  public void aColleagueIsToldInTheirLanguage() {
    Map<String, Object> lena = new HashMap<>(finn());
    lena.putAll(Map.of("login", "lena", "email", "lena@ternquay.example", "language", "de"));
    long lenasId = isTold("lena", administrator.post("/api/colleagues", lena), "Ihr Weg in Jemble");
    String link = "/api/colleagues/" + lenasId + "/password-link";
    JsonNode made = administrator.post(link, Map.of()).json();
    assertThat(use(tokenOf(made), "five blue stairs").status()).isEqualTo(204);
    Api own = signedIn("lena", "five blue stairs");
    Map<String, Object> self = ofThemselves(own);
    self.put("language", "tlh");
    Api.Answer refused = own.put("/api/colleagues/me", self);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().get("field").asString()).isEqualTo("language");
    self.put("language", "fr");
    assertThat(own.put("/api/colleagues/me", self).json().get("language").asString())
        .isEqualTo("fr");
    isTold("lena", administrator.post(link, Map.of()), "Un nouveau mot de passe pour Jemble");
    self.put("language", null);
    own.put("/api/colleagues/me", self);
    sql.sql("update workspace set language = 'nb-NO'").update();
    try {
      isTold("lena", administrator.post(link, Map.of()), "Nytt passord for Jemble");
    } finally {
      sql.sql("update workspace set language = 'en-GB'").update();
    }
  }

  private long isTold(String login, Api.Answer made, String subject) {
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    Eventually.holds(
        () ->
            assertThat(office.mailbox(login))
                .anySatisfy(
                    mail -> {
                      assertThat(mail.getSubject()).isEqualTo(subject);
                      assertThat(Mails.part(mail, "text/plain"))
                          .contains("Wilma", login, made.json().get("link").asString());
                    }));
    return listed(login).get("id").asLong();
  }

  @Test
  public void theLastAdministratorStays() {
    long wilma = listed("wilma").get("id").asLong();
    Map<String, Object> reader =
        Map.of(
            "name",
            "Wilma",
            "email",
            "w@ternquay.example",
            "title",
            "",
            "roleId",
            roleId("Reader"));
    assertThat(administrator.put("/api/colleagues/" + wilma, reader).text())
        .contains("Nobody else who can sign in looks after colleagues");
    assertThat(administrator.put("/api/colleagues/" + wilma + "/off", Map.of()).status())
        .isEqualTo(409);
    assertThat(listed("wilma").get("role").asString()).isEqualTo("Administrator");
  }

  @Test(dependsOnMethods = "whoIsSwitchedOffIsSignedOutAtOnce")
  public void aLinkIsUsedOnceHoweverManyTry() throws Exception {
    String link = "/api/colleagues/" + id + "/password-link";
    String before = tokenOf(administrator.post(link, Map.of()).json());
    String token = tokenOf(administrator.post(link, Map.of()).json());
    assertThat(look(before).status()).as("another took its place").isEqualTo(404);
    ExecutorService many = Executors.newFixedThreadPool(6);
    try {
      List<Callable<Integer>> tries =
          IntStream.range(0, 6)
              .<Callable<Integer>>mapToObj(i -> () -> use(token, "six stairs " + i).status())
              .toList();
      List<Integer> statuses = new ArrayList<>();
      for (Future<Integer> done : many.invokeAll(tries)) {
        statuses.add(done.get());
      }
      assertThat(statuses).containsOnlyOnce(204);
      assertThat(statuses.stream().filter(s -> s == 404)).hasSize(5);
    } finally {
      many.shutdownNow();
    }
  }

  @Test(dependsOnMethods = "aLinkIsUsedOnceHoweverManyTry")
  public void aLinkIsGoodForSevenDays() {
    String link = "/api/colleagues/" + id + "/password-link";
    String token = tokenOf(administrator.post(link, Map.of()).json());
    clock.advance(Duration.ofDays(7).minusMinutes(1));
    assertThat(look(token).status()).isEqualTo(200);
    clock.advance(Duration.ofMinutes(2));
    assertThat(use(token, "green stair 7777").status()).isEqualTo(404);
  }
}
