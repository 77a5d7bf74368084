package app.jemble.colleague;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.testng.annotations.Test;

/** Whoever has the link that was printed at the start makes themselves, once. */
public class FirstStartTest extends ServerTest {

  private static final String PASSWORD = "green stair 7";

  private String token() {
    String token = LinkToken.made();
    application.getBean(FirstStartMapper.class).make(LinkToken.hash(token), clock.instant());
    return token;
  }

  private Map<String, Object> first(String token, String login, String password) {
    return Map.of(
        "token", token,
        "login", login,
        "name", "Mara Penrose",
        "email", "mara@ternquay.example",
        "password", password);
  }

  private Api stranger() {
    Api stranger = new Api("http://127.0.0.1:" + port);
    stranger.begin();
    return stranger;
  }

  private long colleagues() {
    return sql.sql("select count(*) from account").query(Long.class).single();
  }

  @Test
  public void aStartOfAnEmptyHouseMakesALink() {
    assertThat(sql.sql("select count(*) from first_start").query(Long.class).single()).isOne();
  }

  @Test(dependsOnMethods = "aStartOfAnEmptyHouseMakesALink")
  public void whatWillNotDoLeavesTheLinkAsItIs() {
    String token = token();
    Api who = stranger();
    assertThat(who.post("/api/first-start", first(token, "mara", "short")).text())
        .contains("\"field\":\"password\"");
    assertThat(who.post("/api/first-start", first(token, "two words", PASSWORD)).status())
        .isEqualTo(422);
    assertThat(who.post("/api/first-start", first("guessed", "mara", PASSWORD)).status())
        .isEqualTo(404);
    assertThat(colleagues()).isZero();
    assertThat(who.post("/api/first-start/look", Map.of("token", token)).status()).isEqualTo(204);
  }

  @Test(dependsOnMethods = "whatWillNotDoLeavesTheLinkAsItIs")
  public void aLinkIsGoodForAWeek() {
    String token = token();
    sql.sql("update first_start set made_at = made_at - interval '8 days'").update();
    assertThat(stranger().post("/api/first-start/look", Map.of("token", token)).status())
        .isEqualTo(404);
  }

  /** Two links of two processes, used at once. */
  @Test(dependsOnMethods = "aLinkIsGoodForAWeek")
  public void oneAloneIsTheFirst() {
    String mine = token();
    String theirs = token();
    Api me = stranger();
    Api other = stranger();
    CompletableFuture<Api.Answer> one =
        CompletableFuture.supplyAsync(
            () -> me.post("/api/first-start", first(mine, "mara", PASSWORD)));
    Api.Answer two = other.post("/api/first-start", first(theirs, "finn", PASSWORD));
    int first = one.join().status();
    assertThat(first == 204 ? two.status() : first).isIn(404, 409);
    assertThat(first == 204 ? first : two.status()).isEqualTo(204);
    assertThat(colleagues()).isOne();
    String login = first == 204 ? "mara" : "finn";
    Api administrator = signedIn(login, PASSWORD);
    assertThat(administrator.get("/api/session").json().get("colleague").get("rights").toString())
        .contains("COLLEAGUES", "SETTINGS");
    assertThat(other.post("/api/first-start", first(theirs, "late", PASSWORD)).status())
        .isEqualTo(404);
  }
}
