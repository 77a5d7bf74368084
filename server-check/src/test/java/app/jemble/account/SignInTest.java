package app.jemble.account;

import static java.util.concurrent.CompletableFuture.supplyAsync;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;

public class SignInTest extends ServerTest {

  private static final String TOKEN =
      """
      select encode(attribute_bytes, 'hex') from spring_session_attributes
      where attribute_name like '%CSRF_TOKEN'
      """;

  private final ExecutorService fourAtOnce = Executors.newFixedThreadPool(4);

  @AfterClass(alwaysRun = true)
  public void endThreads() {
    fourAtOnce.shutdownNow();
  }

  @Override
  protected int people() {
    return 20;
  }

  @Test
  public void nobodyGetsAnythingWithoutSigningIn() {
    Api stranger = new Api("http://127.0.0.1:" + port);
    for (String path : List.of("/api/desk", "/api/mailings", "/api/fields", "/v3/api-docs")) {
      assertThat(stranger.get(path).status()).as(path).isEqualTo(401);
    }
  }

  @Test
  public void theWrongPasswordIsRefusedWithASentence() {
    Api stranger = new Api("http://127.0.0.1:" + port);
    Api.Answer answer = stranger.signIn("orla", "guessed");
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().get("detail").asString())
        .isEqualTo("Login and password do not belong together.");
    assertThat(stranger.get("/api/desk").status()).isEqualTo(401);
  }

  @Test
  public void theSessionIsInACookieThatScriptsCannotRead() {
    Api orla = new Api("http://127.0.0.1:" + port);
    Api.Answer answer = orla.signIn("Orla ", "lowen-quay");
    assertThat(answer.status()).isEqualTo(200);
    List<String> cookies = answer.raw().headers().allValues("Set-Cookie");
    assertThat(cookies).hasSize(2).allMatch(c -> c.startsWith("jemble-") && c.contains("HttpOnly"));
    assertThat(cookies).anyMatch(c -> c.contains("SameSite=Lax"));
    // What a browser is known by is shown at the sign-in alone.
    assertThat(cookies)
        .anyMatch(
            c ->
                c.startsWith("jemble-device-")
                    && c.contains("Path=/api/session")
                    && c.contains("SameSite=Strict"));
  }

  @Test
  public void itsNumberHas216Bits() {
    api.signIn("orla", "lowen-quay");
    List<String> ids = sql.sql("select session_id from spring_session").query(String.class).list();
    assertThat(ids).isNotEmpty().doesNotHaveDuplicates();
    assertThat(ids)
        .allSatisfy(id -> assertThat(Base64.getUrlDecoder().decode(id)).as(id).hasSize(216 / 8));
  }

  @Test
  public void anotherSiteCannotChangeAnything() {
    Api orla = new Api("http://127.0.0.1:" + port);
    orla.signIn("orla", "lowen-quay");
    Api.Answer answer =
        orla.postWithoutToken("/api/mailings", "application/json", "{\"picks\": [1]}");
    assertThat(answer.status()).isEqualTo(403);
  }

  /** Its cookie could come late, and take the place of a session signed in meanwhile. */
  @Test
  public void aChangeByNobodyIsRefusedAndGivenNoSession() {
    Api over = new Api("http://127.0.0.1:" + port);
    over.signIn("orla", "lowen-quay");
    sql.sql("delete from spring_session").update();
    Api never = new Api("http://127.0.0.1:" + port);
    for (Api nobody : List.of(over, never)) {
      for (Api.Answer answer :
          List.of(
              nobody.post("/api/lists", Map.of("name", "x")),
              nobody.postWithoutToken("/api/lists", "application/json", "{}"),
              nobody.delete("/api/session"))) {
        assertThat(answer.status()).isEqualTo(401);
        assertThat(answer.raw().headers().allValues("Set-Cookie")).isEmpty();
      }
    }
    assertThat(sql.sql("select count(*) from spring_session").query(Long.class).single()).isZero();
  }

  /** Else the screen's first questions, asked at once, would each make another. */
  @Test
  public void aSessionHasItsTokenFromTheStart() {
    sql.sql("delete from spring_session").update();
    Api reed = new Api("http://127.0.0.1:" + port);
    reed.begin();
    String before = sql.sql(TOKEN).query(String.class).single();
    Map<String, Object> given = Map.of("login", "reed", "password", "lowen-quay");
    assertThat(reed.post("/api/session", given).status()).isEqualTo(200);
    assertThat(sql.sql(TOKEN).query(String.class).single()).isNotEqualTo(before);
  }

  @Test
  public void questionsAtOnceOfASessionWithoutATokenAreAllAnswered() {
    Api reed = signedIn("reed");
    for (int i = 0; i < 20; i++) {
      sql.sql("delete from spring_session_attributes where attribute_name like '%CSRF_TOKEN'")
          .update();
      List<CompletableFuture<Integer>> asked =
          Stream.generate(() -> supplyAsync(() -> reed.get("/api/session").status(), fourAtOnce))
              .limit(4)
              .toList();
      assertThat(asked).extracting(CompletableFuture::join).containsOnly(200);
    }
  }

  @Test
  public void aTokenOfASignInBeforeIsSaidToBeAnotherOne() {
    Api orla = new Api("http://127.0.0.1:" + port);
    orla.signIn("orla", "lowen-quay");
    Api.Answer answer = orla.postWithoutToken("/api/lists", "application/json", "{}");
    assertThat(answer.status()).isEqualTo(403);
    assertThat(answer.raw().headers().firstValue("Jemble-Other-Token")).isPresent();
    Api.Answer refused = signedIn("reed").post("/api/lists", Map.of("name", "x"));
    assertThat(refused.status()).isEqualTo(403);
    assertThat(refused.raw().headers().firstValue("Jemble-Other-Token")).isEmpty();
  }

  @Test
  public void readersChangeNothingAndAreToldWhomToAsk() {
    Api reed = new Api("http://127.0.0.1:" + port);
    reed.signIn("reed", "lowen-quay");
    assertThat(reed.get("/api/mailings").status()).isEqualTo(200);
    Api.Answer answer =
        reed.post("/api/mailings", Map.of("picks", List.of(1), "leftOut", List.of()));
    assertThat(answer.status()).isEqualTo(403);
    assertThat(answer.json().get("detail").asString()).contains("Ask Wilma Gorse");
  }

  @Test
  public void signingOutEndsTheSession() {
    Api orla = new Api("http://127.0.0.1:" + port);
    orla.signIn("orla", "lowen-quay");
    assertThat(orla.delete("/api/session").status()).isEqualTo(204);
    assertThat(orla.get("/api/desk").status()).isEqualTo(401);
  }

  @Test
  public void thePageRunsItsOwnScriptsOnly() {
    String policy =
        api.get("/sign-in").raw().headers().firstValue("Content-Security-Policy").orElseThrow();
    assertThat(policy)
        .contains("script-src 'self' 'sha256-")
        .doesNotContain("script-src 'self' 'unsafe");
  }
}
