package app.jemble.nod;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Above a number that its role says, a mailing leaves when a second colleague has nodded. */
public class NodTest extends ServerTest {

  private Api orla;
  private Api tomas;
  private int rounds;

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    orla = signedIn("orla");
    tomas = signedIn("tomas");
    api = tomas;
  }

  @BeforeMethod
  public void representativesNeedANodAboveTwo() {
    sql.sql("update role set nod_above = 2 where name = 'Representative'").update();
    sql.sql("update role set nod_above = null, most_at_once = null where name = 'Coordinator'")
        .update();
    api = tomas;
  }

  private long draftTo(int people) {
    List<Long> ids = new ArrayList<>();
    rounds++;
    for (int i = 0; i < people; i++) {
      ids.add(addPerson("Bea", "Nod", "nod" + rounds + "x" + i + "@nod.example"));
    }
    return draft(ids, "Hello", "<p>Hello</p>");
  }

  private int version(long mailing) {
    return tomas.get("/api/mailings/" + mailing).json().get("version").asInt();
  }

  private Api.Answer ask(long mailing) {
    return tomas.post("/api/mailings/" + mailing + "/nod", Map.of("version", version(mailing)));
  }

  private Api.Answer give(Api who, long mailing) {
    return who.post("/api/mailings/" + mailing + "/nod/give", Map.of("version", version(mailing)));
  }

  private String standing(long mailing) {
    return tomas.get("/api/mailings/" + mailing + "/nod").json().get("standing").asString();
  }

  private String state(long mailing) {
    return sql.sql("select state from cause where id = ?")
        .param(mailing)
        .query(String.class)
        .single();
  }

  private static List<JsonNode> wanting(Api who, String kind) {
    List<JsonNode> found = new ArrayList<>();
    who.get("/api/desk")
        .json()
        .get("decisions")
        .forEach(
            d -> {
              if (d.get("kind").asString().equals(kind)) {
                found.add(d);
              }
            });
    return found;
  }

  private static Stream<Long> mailings(Api who, String kind) {
    return wanting(who, kind).stream().map(d -> d.get("mailingId").asLong());
  }

  @Test
  public void itLeavesWhenASecondColleagueHasNodded() {
    long mailing = draftTo(3);
    assertThat(tomas.get("/api/mailings/" + mailing + "/check").text())
        .contains("More than 2 at once leave with the nod of a second colleague: Orla Finch");
    assertThat(release(mailing).json().get("detail").asString()).contains("has nodded");
    assertThat(ask(mailing).json().get("standing").asString()).isEqualTo("ASKED");
    assertThat(mailings(orla, "nod")).contains(mailing);
    assertThat(mailings(tomas, "nod")).as("his own").doesNotContain(mailing);
    assertThat(release(mailing).status()).as("nothing leaves before").isEqualTo(409);
    assertThat(give(tomas, mailing).status()).as("one's own nod").isEqualTo(403);
    assertThat(state(mailing)).isEqualTo("draft");
    Api.Answer given = give(orla, mailing);
    assertThat(given.status()).as(given.text()).isEqualTo(200);
    assertThat(state(mailing)).isEqualTo("released");
    assertThat(mailings(orla, "nod")).doesNotContain(mailing);
    long messages =
        sql.sql("select count(*) from message where cause_id = ?")
            .param(mailing)
            .query(Long.class)
            .single();
    assertThat(messages).isEqualTo(3);
  }

  @Test
  public void fewerNeedNone() {
    long mailing = draftTo(2);
    assertThat(ask(mailing).json().get("detail").asString()).contains("needs no nod");
    assertThat(release(mailing).status()).isEqualTo(200);
  }

  @Test
  public void itIsRefusedWithAWord() {
    long mailing = draftTo(3);
    ask(mailing);
    String path = "/api/mailings/" + mailing + "/nod/refuse";
    Map<String, Object> silent = Map.of("version", version(mailing), "word", " ");
    assertThat(orla.post(path, silent).status()).isEqualTo(422);
    String word = "Not before the <b>regatta</b>.\r\nBcc: x";
    Map<String, Object> wordy = Map.of("version", version(mailing), "word", word);
    assertThat(orla.post(path, wordy).status()).isEqualTo(200);
    JsonNode nod = tomas.get("/api/mailings/" + mailing + "/nod").json();
    assertThat(nod.get("standing").asString()).isEqualTo("REFUSED");
    assertThat(nod.get("decidedBy").asString()).isEqualTo("Orla Finch");
    assertThat(nod.get("word").asString()).isEqualTo(word);
    assertThat(mailings(tomas, "nod_refused")).contains(mailing);
    assertThat(give(orla, mailing).status()).as("it stays refused").isEqualTo(409);
    assertThat(ask(mailing).json().get("standing").asString()).as("anew").isEqualTo("ASKED");
  }

  @Test
  public void whatIsChangedSinceWantsAnotherNod() {
    long mailing = draftTo(3);
    ask(mailing);
    int seen = version(mailing);
    assertThat(
            tomas
                .put("/api/mailings/" + mailing, change(mailing, "Other", "<p>Other</p>"))
                .status())
        .isEqualTo(200);
    assertThat(standing(mailing)).isEqualTo("LAPSED");
    assertThat(mailings(orla, "nod")).doesNotContain(mailing);
    assertThat(
            orla.post("/api/mailings/" + mailing + "/nod/give", Map.of("version", seen)).status())
        .isEqualTo(409);
    assertThat(give(orla, mailing).status()).isEqualTo(409);
    assertThat(state(mailing)).isEqualTo("draft");
  }

  @Test
  public void whoWouldNeedOneThemselvesGivesNone() {
    long mailing = draftTo(3);
    ask(mailing);
    sql.sql("update role set nod_above = 2 where name = 'Coordinator'").update();
    assertThat(give(orla, mailing).json().get("detail").asString()).contains("need a nod");
    assertThat(mailings(orla, "nod")).doesNotContain(mailing);
    sql.sql("update role set nod_above = null, most_at_once = 2 where name = 'Coordinator'")
        .update();
    assertThat(give(orla, mailing).json().get("detail").asString()).contains("write to 2 at once");
    assertThat(state(mailing)).isEqualTo("draft");
  }

  @Test
  public void whoAskedMayDoWithoutIt() {
    long mailing = draftTo(3);
    ask(mailing);
    assertThat(orla.delete("/api/mailings/" + mailing + "/nod").status()).isEqualTo(403);
    assertThat(tomas.delete("/api/mailings/" + mailing + "/nod").status()).isEqualTo(200);
    assertThat(standing(mailing)).isEqualTo("NONE");
    assertThat(give(orla, mailing).status()).isEqualTo(409);
  }

  @Test
  public void whatIsPrivateIsAskedForNowhere() {
    long mailing = draftTo(3);
    Map<String, Object> change = change(mailing, "Hello", "<p>Hello</p>");
    change.put("private", true);
    tomas.put("/api/mailings/" + mailing, change);
    assertThat(ask(mailing).json().get("detail").asString()).contains("private");
    assertThat(orla.get("/api/mailings/" + mailing + "/nod").status()).isEqualTo(404);
  }

  /** Two nod at once: it is released once. */
  @Test
  public void twoNodsAreOne() {
    long mailing = draftTo(3);
    ask(mailing);
    int version = version(mailing);
    Api wilma = signedIn("wilma");
    String path = "/api/mailings/" + mailing + "/nod/give";
    CompletableFuture<Api.Answer> one =
        CompletableFuture.supplyAsync(() -> orla.post(path, Map.of("version", version)));
    Api.Answer other = wilma.post(path, Map.of("version", version));
    assertThat(List.of(one.join().status(), other.status())).containsExactlyInAnyOrder(200, 409);
    assertThat(state(mailing)).isEqualTo("released");
  }
}
