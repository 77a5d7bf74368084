package app.jemble.draft;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Who may write what, and what is refused with a sentence and changes nothing. */
public class WritingRightsTest extends ServerTest {

  private Api reed;
  private long person;
  private long mailing;

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    api.signIn("orla", "lowen-quay");
    reed = new Api("http://127.0.0.1:" + port);
    reed.signIn("reed", "lowen-quay");
    person = addPerson("Bea", "Rights", "rights@okonjo.example");
    mailing = draft(List.of(person), "Hello", "<p>Hello</p>");
  }

  @Test
  public void aReaderLooksAndWritesNothing() {
    String path = "/api/mailings/" + mailing;
    Map<String, Object> words = Map.of("subject", "x", "body", "<p>x</p>", "version", 0);
    List<Api.Answer> refused =
        List.of(
            reed.upload("/api/pictures?name=a.png", new byte[9]),
            reed.upload(path + "/files?name=a.txt", new byte[9]),
            reed.post(path + "/files/recipients", Map.of()),
            reed.put(path + "/own-words/" + person, words),
            reed.delete(path + "/own-words"),
            reed.post(path + "/template", Map.of("name", "Mine")),
            reed.post(path + "/leave-out", Map.of("code", "NAME_ODD", "about", "first_name")),
            reed.post(path + "/names", List.of(Map.of("personId", person, "firstName", "X"))),
            reed.put("/api/people/" + person + "/picture", new HashMap<>()),
            reed.delete("/api/letterheads/1"),
            reed.delete("/api/templates/1"));
    for (Api.Answer answer : refused) {
      assertThat(answer.status()).as(answer.raw().uri().toString()).isEqualTo(403);
      assertThat(answer.json().get("detail").asString()).contains("Ask Wilma Gorse");
    }
    assertThat(reed.get(path + "/proofs/" + person).status()).isEqualTo(200);
    assertThat(reed.get(path + "/check").status()).isEqualTo(200);
    assertThat(api.get(path).json().get("files")).isEmpty();
  }

  @Test
  public void whatCannotBeSentSoIsRefusedAndNothingIsHalfSaved() {
    sql.sql("update workspace set house_email = null").update();
    assertThat(field(Map.of("voice", "HOUSE"))).isEqualTo("voice");
    sql.sql("update workspace set house_email = 'desk@ternquay.example'").update();
    assertThat(field(Map.of("repliesTo", "COLLEAGUE"))).isEqualTo("replyColleague");
    assertThat(field(Map.of("repliesTo", "COLLEAGUE", "replyColleague", 4711)))
        .isEqualTo("replyColleague");
    assertThat(field(Map.of("letterheadId", 4711))).isEqualTo("letterheadId");
    assertThat(field(Map.of("topicId", 4711))).isEqualTo("topicId");
    assertThat(field(Map.of("name", " "))).isEqualTo("name");
    JsonNode now = api.get("/api/mailings/" + mailing).json();
    assertThat(now.get("voice").asString()).isEqualTo("SENDER");
    assertThat(now.get("repliesTo").asString()).isEqualTo("SENDER");
  }

  private String field(Map<String, Object> wrong) {
    Map<String, Object> change = change(mailing, "Hello", "<p>Hello</p>");
    change.putAll(wrong);
    Api.Answer refused = api.put("/api/mailings/" + mailing, change);
    assertThat(refused.status()).isEqualTo(422);
    return refused.json().get("field").asString();
  }

  @Test
  public void anAudienceOfNonsenseIsRefused() {
    Map<String, Object> change = change(mailing, "Hello", "<p>Hello</p>");
    change.put(
        "parts",
        List.of(
            Map.of(
                "filter",
                Map.of(
                    "match",
                    "ALL",
                    "conditions",
                    List.of(Map.of("field", "secret", "operator", "IS", "values", List.of("x"))),
                    "groups",
                    List.of()))));
    Api.Answer refused = api.put("/api/mailings/" + mailing, change);
    assertThat(refused.json().get("detail").asString())
        .isEqualTo("There is no field named “secret” to filter by.");
    assertThat(api.get("/api/mailings/" + mailing).json().get("parts")).isEmpty();
  }

  @Test
  public void whatIsNotThereIsNotFound() {
    String path = "/api/mailings/" + mailing;
    assertThat(api.get(path + "/proofs/99999999").status()).isEqualTo(404);
    assertThat(api.get("/api/mailings/99999999/own-words").status()).isEqualTo(404);
    assertThat(api.get("/api/letterheads/99999999").status()).isEqualTo(404);
    assertThat(api.get("/api/templates/99999999/versions").status()).isEqualTo(404);
    assertThat(api.get(path + "/names?code=NONSENSE").status()).isEqualTo(400);
    assertThat(api.post(path + "/names", List.of()).status()).isEqualTo(422);
  }
}
