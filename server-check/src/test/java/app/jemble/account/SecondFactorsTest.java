package app.jemble.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.CodeApp;
import app.jemble.ServerTest;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.apache.commons.codec.binary.Base32;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** An app beside the password: set up, asked for, lost, demanded. */
public class SecondFactorsTest extends ServerTest {

  private static final String OWN = "/api/colleagues/me/second-factor";
  private static final Map<String, String> PASSWORD = Map.of("password", "lowen-quay");

  private final List<String> paper = new ArrayList<>();
  private Api orla;
  private Api wilma;
  private CodeApp app;

  @Override
  protected int people() {
    return 3;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    orla = stranger();
    orla.signIn("orla", "lowen-quay");
    wilma = stranger();
    wilma.signIn("wilma", "lowen-quay");
  }

  private Api stranger() {
    return new Api("http://127.0.0.1:" + port);
  }

  /** What an app that knows the secret shows now. */
  private String shown() {
    return app.shown(clock.instant());
  }

  private Api.Answer signIn(Api who, String login, String code) {
    who.begin();
    Map<String, String> given = new HashMap<>(Map.of("login", login, "password", "lowen-quay"));
    given.put("code", code);
    Api.Answer answer = who.post("/api/session", given);
    who.begin();
    return answer;
  }

  private Api.Answer signIn(String code) {
    return signIn(stranger(), "orla", code);
  }

  private void setUp(Api who) {
    JsonNode begun = who.post(OWN, PASSWORD).json();
    app = new CodeApp(begun.get("typed").asString());
    Api.Answer confirmed = who.put(OWN, Map.of("code", shown()));
    assertThat(confirmed.status()).as(confirmed.text()).isEqualTo(200);
    paper.clear();
    confirmed.json().get("codes").forEach(code -> paper.add(code.asString()));
  }

  @Test
  public void itIsSetUpByWhoeverKnowsThePassword() {
    Api elsewhere = stranger();
    elsewhere.signIn("orla", "lowen-quay");
    Api.Answer guessed = orla.post(OWN, Map.of("password", "guessed it"));
    assertThat(guessed.json().get("field").asString()).isEqualTo("password");
    JsonNode begun = orla.post(OWN, PASSWORD).json();
    assertThat(begun.get("uri").asString())
        .startsWith("otpauth://totp/")
        .contains(":orla?secret=" + begun.get("typed").asString());
    assertThat(orla.put(OWN, Map.of("code", "000000")).status()).isEqualTo(422);
    assertThat(signIn(null).status()).as("not asked for yet").isEqualTo(200);
    setUp(orla);
    assertThat(paper).hasSize(10).doesNotHaveDuplicates();
    assertThat(orla.get("/api/desk").status()).as("goes on").isEqualTo(200);
    assertThat(elsewhere.get("/api/desk").status()).as("signed in without").isEqualTo(401);
    assertThat(orla.get(OWN).json().get("codesLeft").asInt()).isEqualTo(10);
    assertThat(orla.post(OWN, PASSWORD).status()).as("there is one").isEqualTo(409);
  }

  @Test(dependsOnMethods = "itIsSetUpByWhoeverKnowsThePassword")
  public void neitherSecretNorCodesStandInTheDatabase() {
    String all =
        sql.sql(
                """
                select string_agg(t, ' ') from (
                  select f::text from second_factor f union all select c::text from recovery_code c
                ) x (t)
                """)
            .query(String.class)
            .single();
    assertThat(all).isNotEmpty();
    assertThat(all)
        .doesNotContain(HexFormat.of().formatHex(new Base32().decode(app.typed())))
        .doesNotContain(HexFormat.of().formatHex(paper.get(0).getBytes(StandardCharsets.UTF_8)));
  }

  @Test(dependsOnMethods = "itIsSetUpByWhoeverKnowsThePassword")
  public void aCodeIsAskedForAndIsGoodOnce() {
    assertThat(signIn(null).json().get("field").asString()).isEqualTo("code");
    Api.Answer wrongPassword =
        stranger().post("/api/session", Map.of("login", "orla", "password", "x", "code", "1"));
    assertThat(wrongPassword.text()).doesNotContain("\"code\"");
    assertThat(signIn(shown()).status()).as("used to set it up").isEqualTo(422);
    clock.advance(Duration.ofSeconds(30));
    String code = shown();
    assertThat(signIn(code).status()).isEqualTo(200);
    assertThat(signIn(code).status()).isEqualTo(422);
  }

  @Test(dependsOnMethods = "aCodeIsAskedForAndIsGoodOnce")
  public void ofManyAtOnceOneIsLetIn() throws Exception {
    clock.advance(Duration.ofMinutes(10));
    String code = shown();
    ExecutorService many = Executors.newFixedThreadPool(4);
    try {
      List<Callable<Integer>> tries =
          IntStream.range(0, 4)
              .<Callable<Integer>>mapToObj(i -> () -> signIn(code).status())
              .toList();
      List<Integer> statuses = new ArrayList<>();
      for (Future<Integer> done : many.invokeAll(tries)) {
        statuses.add(done.get());
      }
      assertThat(statuses).containsOnlyOnce(200);
    } finally {
      many.shutdownNow();
    }
  }

  @Test(dependsOnMethods = "ofManyAtOnceOneIsLetIn")
  public void codesAreNotGuessed() {
    clock.advance(Duration.ofHours(2));
    List<Integer> statuses =
        IntStream.range(0, 12).mapToObj(i -> signIn("00000" + i % 10).status()).toList();
    assertThat(statuses).contains(429);
    clock.advance(Duration.ofHours(2));
  }

  @Test(dependsOnMethods = "codesAreNotGuessed")
  public void aCodeOnPaperIsGoodOnceAndNewOnesTakeTheirPlace() {
    assertThat(signIn(paper.get(3).toUpperCase(Locale.ROOT)).status()).isEqualTo(200);
    assertThat(signIn(paper.get(3)).status()).isEqualTo(422);
    assertThat(orlaAgain().get(OWN).json().get("codesLeft").asInt()).isEqualTo(9);
    JsonNode made = orla.post(OWN + "/codes", PASSWORD).json();
    assertThat(made.get("codes")).hasSize(10);
    assertThat(signIn(paper.get(4)).status()).isEqualTo(422);
    assertThat(signIn(made.get("codes").get(0).asString()).status()).isEqualTo(200);
  }

  private Api orlaAgain() {
    orla = stranger();
    clock.advance(Duration.ofMinutes(5));
    assertThat(signIn(orla, "orla", shown()).status()).isEqualTo(200);
    return orla;
  }

  @Test(dependsOnMethods = "aCodeOnPaperIsGoodOnceAndNewOnesTakeTheirPlace")
  public void whoLostAllIsLetInByAnAdministrator() {
    long id = orla.get("/api/session").json().get("colleague").get("id").asLong();
    assertThat(orla.get("/api/colleagues").json().get(0).get("secondFactor").isNull()).isTrue();
    assertThat(hasOne("orla")).isTrue();
    assertThat(wilma.delete("/api/colleagues/" + id + "/second-factor").status()).isEqualTo(204);
    assertThat(hasOne("orla")).isFalse();
    assertThat(orla.get("/api/desk").status()).isEqualTo(401);
    assertThat(signIn(orla, "orla", null).status()).isEqualTo(200);
  }

  private boolean hasOne(String login) {
    for (JsonNode colleague : wilma.get("/api/colleagues").json()) {
      if (colleague.get("login").asString().equals(login)) {
        return colleague.get("secondFactor").asBoolean();
      }
    }
    throw new AssertionError(login);
  }

  @Test(dependsOnMethods = "whoLostAllIsLetInByAnAdministrator")
  public void whereItIsDemandedNothingElseIsServedFirst() {
    Map<String, Object> demanded = Map.of("secondFactor", true);
    assertThat(wilma.put("/api/sign-in-rules", demanded).text()).contains("your own second factor");
    setUp(wilma);
    assertThat(wilma.put("/api/sign-in-rules", demanded).status()).isEqualTo(204);
    Api.Answer refused = orla.get("/api/desk");
    assertThat(refused.status()).isEqualTo(403);
    assertThat(refused.text()).contains("without a second factor");
    assertThat(
            orla.get("/api/session").json().get("colleague").get("secondFactorFirst").asBoolean())
        .isTrue();
    setUp(orla);
    assertThat(orla.get("/api/desk").status()).isEqualTo(200);
    assertThat(orla.post(OWN + "/off", PASSWORD).status()).isEqualTo(409);
    assertThat(wilma.put("/api/sign-in-rules", Map.of("secondFactor", false)).status())
        .isEqualTo(204);
    assertThat(orla.post(OWN + "/off", PASSWORD).status()).isEqualTo(204);
    assertThat(signIn(null).status()).isEqualTo(200);
  }
}
