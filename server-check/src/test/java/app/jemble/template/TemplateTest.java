package app.jemble.template;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.HashMap;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

public class TemplateTest extends ServerTest {

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private Map<String, Object> text(String name, String subject, String body) {
    return new HashMap<>(
        Map.of(
            "name",
            name,
            "label",
            "",
            "startsFrom",
            "person",
            "private",
            false,
            "promotional",
            true,
            "subject",
            subject,
            "body",
            body,
            "topicId",
            1,
            "version",
            0));
  }

  @Test
  public void aSecondWriterIsToldAndLosesNothing() {
    JsonNode first = api.post("/api/templates", text("Two writers", "A", "<p>a</p>")).json();
    String path = "/api/templates/" + first.get("id").asLong();
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    assertThat(tomas.put(path, text("Two writers", "By Tomas", "<p>t</p>")).status())
        .isEqualTo(200);
    Api.Answer late = api.put(path, text("Two writers", "By Orla", "<p>o</p>"));
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.json().get("detail").asString()).contains("Tomas Vance changed this template");
    assertThat(api.get(path).json().get("subject").asString()).isEqualTo("By Tomas");
  }

  @Test
  public void anUnknownFieldIsNamedWithItsPlaceAndWhatWasMeant() {
    Api.Answer answer =
        api.post("/api/templates", text("Typo", "Hi", "<p>Dear {{frist_name}},</p>"));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().get("field").asString()).isEqualTo("body");
    assertThat(answer.json().get("detail").asString()).contains("frist_name", "first_name");
  }

  @Test
  public void aNameIsTakenOnceWhateverItsCase() {
    api.post("/api/templates", text("Unique", "A", "<p>a</p>"));
    Api.Answer again = api.post("/api/templates", text("ÚNIQUE ", "B", "<p>b</p>"));
    assertThat(again.status()).isEqualTo(422);
    assertThat(again.json().get("field").asString()).isEqualTo("name");
  }

  @Test
  public void whatCouldRunNeverGetsIn() {
    String hostile =
        "<p onclick=\"x()\">a<script>x()</script><a href=\"javascript:x()\">b</a>"
            + "<img src=\"data:text/html,x\" onerror=\"x()\"><style>*{}</style></p>";
    String kept =
        api.post("/api/templates", text("Hostile", "A", hostile)).json().get("body").asString();
    assertThat(kept)
        .contains("a", "b")
        .doesNotContain("script", "onclick", "onerror", "data:", "style");
  }

  @Test
  public void nonsenseIsRefusedWithASentence() {
    assertThat(
            api.post("/api/templates", text(" ", "A", "<p>a</p>")).json().get("detail").asString())
        .isEqualTo("Give the template a name.");
    Api.Answer partial = api.post("/api/templates", Map.of("name", "Half"));
    assertThat(partial.status()).isEqualTo(422);
    assertThat(partial.json().get("field").asString())
        .isIn("topicId", "version", "private", "promotional");
    Api.Answer broken = api.postWithoutToken("/api/templates", "application/json", "{");
    assertThat(broken.status()).isEqualTo(403);
    assertThat(api.get("/api/templates/987654").status()).isEqualTo(404);
  }

  @Test
  public void whatWasThereBeforeStaysAsAVersion() {
    JsonNode made = api.post("/api/templates", text("Versions", "First", "<p>a</p>")).json();
    String path = "/api/templates/" + made.get("id").asLong();
    api.put(path, text("Versions", "Second", "<p>b</p>"));
    Map<String, Object> third = text("Versions", "Third", "<p>c</p>");
    third.put("version", 1);
    api.put(path, third);
    JsonNode versions = api.get(path + "/versions").json();
    assertThat(versions).hasSize(2);
    assertThat(versions.get(0).get("subject").asString()).isEqualTo("Second");
    assertThat(versions.get(1).get("subject").asString()).isEqualTo("First");
    assertThat(api.put(path, third).status()).as("a version that is not the latest").isEqualTo(409);
    assertThat(api.get(path + "/versions").json()).as("nothing is half saved").hasSize(2);
  }

  @Test
  public void aPrivateTemplateIsSeenByItsWriterAlone() {
    Map<String, Object> mine = text("Mine", "Mine", "<p>a</p>");
    mine.put("private", true);
    long id = api.post("/api/templates", mine).json().get("id").asLong();
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    assertThat(tomas.get("/api/templates/" + id).status()).isEqualTo(404);
    assertThat(tomas.get("/api/templates").raw().body()).doesNotContain("\"Mine\"");
    assertThat(api.get("/api/templates").raw().body()).contains("\"Mine\"");
    assertThat(tomas.delete("/api/templates/" + id).status()).isEqualTo(404);
    assertThat(api.delete("/api/templates/" + id).status()).isEqualTo(204);
  }

  @Test
  public void whatATemplateBeginsFromAndItsLetterheadMustExist() {
    Map<String, Object> odd = text("Odd", "a", "<p>a</p>");
    odd.put("startsFrom", "boat");
    assertThat(api.post("/api/templates", odd).json().get("field").asString())
        .isEqualTo("startsFrom");
    odd.put("startsFrom", "quote");
    odd.put("letterheadId", 4711);
    assertThat(api.post("/api/templates", odd).json().get("field").asString())
        .isEqualTo("letterheadId");
  }
}
