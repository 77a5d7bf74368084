package app.jemble.audience;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The audience of a mailing: its counts add up, and each opens its people. */
public class AudienceTest extends ServerTest {

  private String path;
  private JsonNode look;

  @Override
  protected int people() {
    return 1500;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    api.signIn("orla", "lowen-quay");
    Map<String, Object> begin = new HashMap<>();
    begin.put(
        "parts",
        part(
            "match",
            "ALL",
            "conditions",
            List.of(
                Map.of("field", "kind", "operator", "ANY_OF", "values", List.of("member", "lead"))),
            "groups",
            List.of()));
    begin.put("picks", List.of());
    begin.put("leftOut", List.of());
    begin.put("templateId", 1);
    path = "/api/mailings/" + api.post("/api/mailings", begin).json().get("id").asLong();
    look = api.get(path + "/check").json();
  }

  /** One part: a filter with these parts of its own, each a name and a value. */
  private static List<Object> part(Object... filter) {
    Map<String, Object> written = new HashMap<>();
    for (int i = 0; i < filter.length; i += 2) {
      written.put((String) filter[i], filter[i + 1]);
    }
    return List.of(Map.of("filter", written));
  }

  private List<JsonNode> everyone(String query) {
    List<JsonNode> all = new ArrayList<>();
    JsonNode page = api.get(path + "/audience?" + query).json();
    while (page.size() > 0) {
      page.forEach(all::add);
      long last = page.get(page.size() - 1).get("id").asLong();
      page = api.get(path + "/audience?" + query + "&after=" + last).json();
    }
    return all;
  }

  @Test
  public void theCountsAddUpToEveryone() {
    long cannot = 0;
    for (JsonNode part : look.get("cannot")) {
      cannot += part.get("people").asLong();
      assertThat(everyone("reach=" + part.get("reach").asString()))
          .hasSize(part.get("people").asInt());
    }
    assertThat(look.get("ready").asLong() + cannot).isEqualTo(look.get("total").asLong());
    assertThat(everyone("part=NEED_LOOK")).hasSize(look.get("needLook").asInt());
    assertThat(everyone("part=READY"))
        .hasSize(look.get("ready").asInt() - look.get("needLook").asInt());
  }

  @Test
  public void everybodyIsListedOnceAndTheOddOnesFirst() {
    List<JsonNode> all = everyone("x=");
    Set<Long> ids = new HashSet<>();
    all.forEach(p -> ids.add(p.get("id").asLong()));
    assertThat(all).hasSize(look.get("total").asInt());
    assertThat(ids).hasSize(all.size());
    assertThat(all.get(0).get("notes").size()).isPositive();
    assertThat(all.get(all.size() - 1).get("reach").asString()).isNotEqualTo("READY");
  }

  @Test
  public void eachFindingOpensItsPeople() {
    assertThat(look.get("findings").size()).isPositive();
    for (JsonNode finding : look.get("findings")) {
      if (finding.get("people").asInt() > 0) {
        String query =
            "finding="
                + finding.get("code").asString()
                + "&about="
                + finding.get("about").asString();
        assertThat(everyone(query)).as(query).hasSize(finding.get("people").asInt());
      }
    }
  }

  @Test
  public void aNameIsFoundWithoutCaseAndAccents() {
    assertThat(everyone("name=SORLI")).isEmpty();
    List<JsonNode> found = everyone("name=s%C3%98rli");
    assertThat(found).isNotEmpty();
    assertThat(found)
        .allMatch(p -> p.get("name").asString().toLowerCase(Locale.ROOT).contains("sørli"));
  }

  @Test
  public void aProofIsTheMessageOfThatPersonAlone() {
    JsonNode person = everyone("part=READY").get(0);
    JsonNode proof = api.get(path + "/proofs/" + person.get("id").asLong()).json();
    assertThat(proof.get("toName").asString()).isEqualTo(person.get("name").asString());
    assertThat(proof.get("html").asString()).doesNotContain("{{").doesNotContain("<script");
    assertThat(proof.get("text").asString()).contains("Orla Finch");
    assertThat(api.get(path + "/proofs/99999999").status()).isEqualTo(404);
  }

  @Test
  public void nonsenseIsRefused() {
    assertThat(api.get(path + "/audience?part=NONSENSE").status()).isEqualTo(400);
    Map<String, Object> nobody = new HashMap<>();
    nobody.put("parts", List.of());
    nobody.put("picks", List.of());
    nobody.put("leftOut", List.of());
    nobody.put("templateId", null);
    long forNobody = api.post("/api/mailings", nobody).json().get("id").asLong();
    Api.Answer refused = api.post("/api/mailings/" + forNobody + "/release", Map.of("version", 0));
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.json().get("detail").asString())
        .isEqualTo("There is nobody who can be written to.");
    nobody.put(
        "parts",
        part(
            "match",
            "ALL",
            "conditions",
            List.of(Map.of("field", "secret", "operator", "IS", "values", List.of("x"))),
            "groups",
            List.of()));
    assertThat(api.post("/api/mailings", nobody).json().get("detail").asString())
        .isEqualTo("There is no field named “secret” to filter by.");
  }
}
