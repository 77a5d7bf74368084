package app.jemble.filter;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What is typed is read with the names of the house that are open to who types. */
public class TypedSearchTest extends ServerTest {

  @Override
  protected int people() {
    return 40;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private JsonNode typed(String subject, String text) {
    String asked = URLEncoder.encode(text, StandardCharsets.UTF_8);
    Api.Answer answer = api.get("/api/filters/typed?subject=" + subject + "&text=" + asked);
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    return answer.json();
  }

  private List<String> unknown(JsonNode read) {
    return read.get("unknown").valueStream().map(JsonNode::asString).toList();
  }

  @Test
  public void listsTagsAndColleaguesAreKnownByTheirNames() {
    api.post("/api/lists", Map.of("name", "Choir on Mondays"));
    JsonNode read = typed("people", "members not in list choir on mondays owner tomas vane");
    assertThat(unknown(read)).containsExactly("vane");
    assertThat(read.get("words").asString())
        .startsWith(
            "members whose list has none of “Choir on Mondays” and owner is any of “Tomas Vance”");
  }

  @Test
  public void whatIsReadPicksTheSameAsWhatIsChosen() {
    JsonNode read = typed("people", "members last visit before may 2026");
    Map<String, Object> chosen =
        Map.of(
            "match",
            "ALL",
            "conditions",
            List.of(
                Map.of("field", "kind", "operator", "ANY_OF", "values", List.of("member")),
                Map.of(
                    "field", "last_visit", "operator", "BEFORE", "values", List.of("2026-05-01"))),
            "groups",
            List.of());
    assertThat(unknown(read)).isEmpty();
    assertThat(total(read.get("filter"))).isPositive().isEqualTo(total(chosen));
  }

  private long total(Object filter) {
    return api.post("/api/people/tally", Map.of("filter", filter)).json().get("total").asLong();
  }

  @Test
  public void recordsAreSoughtByTheirOwnWords() {
    JsonNode read = typed("quotes", "open quotes total over 200");
    assertThat(unknown(read)).isEmpty();
    assertThat(read.get("words").asString())
        .isEqualTo("quotes whose stage is any of open and total is more than 200");
    assertThat(api.get("/api/filters/typed?subject=boats&text=x").status()).isEqualTo(422);
  }

  @Test
  public void whatIsPrivateToAnotherIsNotKnown() {
    keep("Hidden birds", false);
    keep("Shared birds", true);
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    assertThat(unknown(typed("people", "hidden birds"))).isEmpty();
    assertThat(tomas.get("/api/filters/typed?subject=people&text=hidden+birds").text())
        .contains("\"unknown\":[\"hidden birds\"]");
    assertThat(tomas.get("/api/filters/typed?subject=people&text=shared+birds").text())
        .contains("\"unknown\":[]");
  }

  private void keep(String name, boolean shared) {
    Map<String, Object> filter =
        Map.of(
            "match",
            "ALL",
            "conditions",
            List.of(Map.of("field", "last_visit", "operator", "EMPTY", "values", List.of())),
            "groups",
            List.of());
    Map<String, Object> kept =
        Map.of("subject", "people", "name", name, "filter", filter, "shared", shared);
    assertThat(api.post("/api/filters", kept).status()).isEqualTo(200);
  }

  @Test
  public void whatIsTooLongOrOddIsAnsweredInWords() {
    assertThat(unknown(typed("people", "'; drop table person; --"))).isNotEmpty();
    Api.Answer book = api.get("/api/filters/typed?subject=people&text=" + "members+".repeat(100));
    assertThat(book.status()).isEqualTo(422);
    assertThat(book.text()).contains("500 letters");
  }
}
