package app.jemble.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Whoever guesses passwords waits; whoever signs in has a session of their own that ends. */
public class GuessingTest extends ServerTest {

  @Override
  protected int people() {
    return 5;
  }

  private Api stranger() {
    Api stranger = new Api("http://127.0.0.1:" + port);
    stranger.begin();
    return stranger;
  }

  private static Api.Answer tryOut(Api who, String login, String password) {
    return who.post("/api/session", Map.of("login", login, "password", password));
  }

  @Test
  public void guessesAreMadeToWaitLongerAndLonger() {
    Api stranger = stranger();
    for (int i = 0; i < 5; i++) {
      assertThat(tryOut(stranger, "tomas", "guess" + i).status()).isEqualTo(422);
    }
    Api.Answer waits = tryOut(stranger, "Tomas ", "lowen-quay");
    assertThat(waits.status()).isEqualTo(429);
    assertThat(waits.raw().headers().firstValue("Retry-After")).isPresent();
    assertThat(waits.json().get("detail").asString()).contains("Try again in");
    assertThat(tryOut(stranger(), "orla", "lowen-quay").status())
        .as("another login")
        .isEqualTo(200);
    clock.advance(Duration.ofSeconds(3));
    assertThat(tryOut(stranger, "tomas", "once more").status()).isEqualTo(422);
    clock.advance(Duration.ofSeconds(1));
    assertThat(tryOut(stranger, "tomas", "lowen-quay").status())
        .as("a second is not enough now")
        .isEqualTo(429);
    clock.advance(Duration.ofSeconds(3));
    assertThat(tryOut(stranger, "tomas", "lowen-quay").status()).isEqualTo(200);
  }

  /** The order of OWASP ASVS 5 V6.3.1: no more than a hundred guesses an hour of one account. */
  @Test
  public void anHourIsEnoughForFewGuesses() {
    int guesses = 0;
    for (long second = 0; second < 3_600; ) {
      guesses++;
      second += SignInGuard.waitAfter(guesses - 4).toSeconds();
    }
    assertThat(guesses).isLessThan(100);
    assertThat(SignInGuard.waitAfter(1_000)).isEqualTo(Duration.ofMinutes(5));
    assertThat(SignInGuard.waitAfter(0)).isEqualTo(Duration.ZERO);
  }

  @Test
  public void signingInMakesASessionAndATokenOfItsOwn() {
    Api colleague = stranger();
    String before = colleague.get("/api/session").json().get("csrfToken").asString();
    List<String> cookieBefore = colleague.cookies();
    assertThat(tryOut(colleague, "wilma", "lowen-quay").status()).isEqualTo(200);
    assertThat(colleague.cookies()).isNotEqualTo(cookieBefore);
    assertThat(colleague.post("/api/lists", Map.of("name", "x")).status())
        .as("the token of before is worth nothing")
        .isEqualTo(403);
    String after = colleague.get("/api/session").json().get("csrfToken").asString();
    assertThat(after).isNotEqualTo(before);
  }

  @Test
  public void aSessionEndsADayAfterItBegan() {
    Api colleague = stranger();
    colleague.signIn("reed", "lowen-quay");
    begunBefore("reed", Duration.ofHours(23));
    assertThat(colleague.get("/api/lists").status()).isEqualTo(200);
    begunBefore("reed", Duration.ofHours(2));
    assertThat(colleague.get("/api/lists").status()).isEqualTo(401);
  }

  /** OWASP, "Slow Down Online Guessing Attacks with Device Cookies". */
  @Test(dependsOnMethods = "guessesAreMadeToWaitLongerAndLonger")
  public void whoeverSignedInHereBeforeGetsInHoweverManyGuess() {
    Api owner = stranger();
    assertThat(owner.signIn("tomas", "lowen-quay").status()).isEqualTo(200);
    owner.delete("/api/session");
    SignInGuard guard = application.getBean(SignInGuard.class);
    int tried = 0;
    for (int guess = 0; guess < 10_000; guess++) {
      SignInGuard.Trying trying =
          new SignInGuard.Trying("tomas", "198.51.100." + guess % 50, Optional.empty());
      if (guard.wait(trying).isEmpty()) {
        guard.failed(trying);
        tried++;
      }
      if (guess % 10 == 0) {
        clock.advance(Duration.ofSeconds(1));
      }
    }
    assertThat(tried).as("of ten thousand guesses in 17 minutes").isBetween(8, 20);
    assertThat(tryOut(stranger(), "tomas", "lowen-quay").status())
        .as("a browser nobody knows waits")
        .isEqualTo(429);
    owner.begin();
    assertThat(tryOut(owner, "tomas", "a slip").status()).isEqualTo(422);
    assertThat(tryOut(owner, "tomas", "lowen-quay").status()).as("its owner's").isEqualTo(200);
    clock.advance(Duration.ofMinutes(6));
  }

  /** A browser that is known waits for what is guessed in it. */
  @Test(dependsOnMethods = "whoeverSignedInHereBeforeGetsInHoweverManyGuess")
  public void aKnownBrowserIsNoWayToGuess() {
    Api owner = stranger();
    assertThat(owner.signIn("reed", "lowen-quay").status()).isEqualTo(200);
    owner.delete("/api/session");
    owner.begin();
    for (int i = 0; i < 5; i++) {
      assertThat(tryOut(owner, "reed", "guess" + i).status()).isEqualTo(422);
    }
    assertThat(tryOut(owner, "reed", "lowen-quay").status()).isEqualTo(429);
    assertThat(tryOut(stranger(), "reed", "lowen-quay").status()).isEqualTo(200);
  }

  private void begunBefore(String login, Duration ago) {
    sql.sql("update spring_session set creation_time = creation_time - ? where principal_name = ?")
        .params(ago.toMillis(), login)
        .update();
  }

  @Test
  public void aColleagueSeesWhereTheyAreSignedInAndEndsWhatTheyDoNotKnow() {
    Api here = stranger();
    here.signIn("wilma", "lowen-quay");
    Api elsewhere = stranger();
    elsewhere.signIn("wilma", "lowen-quay");
    Api another = stranger();
    another.signIn("orla", "lowen-quay");
    JsonNode other =
        here.get("/api/sessions")
            .json()
            .valueStream()
            .filter(s -> !s.get("current").asBoolean())
            .findFirst()
            .orElseThrow();
    String path = "/api/sessions/" + other.get("id").asString();
    assertThat(another.delete(path).status()).as("another's does not exist").isEqualTo(404);
    assertThat(elsewhere.get("/api/lists").status()).isEqualTo(200);
    assertThat(here.delete(path).status()).isEqualTo(204);
    assertThat(elsewhere.get("/api/lists").status()).isEqualTo(401);
    assertThat(here.get("/api/lists").status()).isEqualTo(200);
  }

  @Test
  public void madeUpLoginsDoNotFillTheTable() {
    for (int i = 0; i < 10; i++) {
      tryOut(stranger(), "made-up-" + i, "x");
    }
    assertThat(madeUp()).isEqualTo(10);
    clock.advance(Duration.ofMinutes(90));
    tryOut(stranger(), "made-up-later", "x");
    assertThat(madeUp()).isEqualTo(1);
  }

  private long madeUp() {
    return sql.sql("select count(*) from sign_in_failure where who like 'login made-up%'")
        .query(Long.class)
        .single();
  }

  @Test
  public void whatNobodyCouldSignInWithIsRefusedLikeAnyOther() {
    for (Map<String, Object> given :
        List.<Map<String, Object>>of(
            Map.of("login", "x".repeat(5_000), "password", "y"),
            Map.of("login", "orla", "password", "p".repeat(500)),
            Map.of("login", "", "password", ""))) {
      assertThat(stranger().post("/api/session", given).status()).isIn(422, 429);
    }
  }
}
