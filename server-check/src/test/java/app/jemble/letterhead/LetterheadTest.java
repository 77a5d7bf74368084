package app.jemble.letterhead;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

public class LetterheadTest extends ServerTest {

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private static Map<String, Object> letterhead(String name) {
    Map<String, Object> draft = new HashMap<>();
    for (String colour : List.of("band", "bandInk", "page", "paper", "ink", "accent")) {
      draft.put(colour, "#123456");
    }
    draft.put("name", name);
    draft.put("typeface", "SANS");
    draft.put("logoKey", null);
    draft.put("header", "<p>{{workspace.name}}<script>x()</script></p>");
    draft.put("footer", "<p>{{workspace.address}}</p>");
    draft.put("version", 0);
    return draft;
  }

  @Test
  public void isKeptCleanAndRefusesWhatIsNone() {
    JsonNode kept = api.post("/api/letterheads", letterhead("Clean")).json();
    assertThat(kept.get("header").asString()).isEqualTo("<p>{{workspace.name}}</p>");
    assertThat(detail(letterhead("clean")))
        .isEqualTo("Another letterhead is already named “clean”.");
    assertThat(detail(with("band", "red;background:url(x)"))).contains("is not a colour");
    assertThat(detail(with("footer", "<p>{{workspace.nme}}</p>")))
        .contains("Did you mean workspace.name?");
    assertThat(detail(with("logoKey", "no-such-picture-key"))).contains("no such picture");
    assertThat(detail(with("name", " "))).isEqualTo("Give the letterhead a name.");
  }

  private static Map<String, Object> with(String what, String value) {
    Map<String, Object> draft = letterhead("Wrong " + what);
    draft.put(what, value);
    return draft;
  }

  private String detail(Map<String, Object> draft) {
    Api.Answer refused = api.post("/api/letterheads", draft);
    assertThat(refused.status()).isEqualTo(422);
    return refused.json().get("detail").asString();
  }

  @Test
  public void theSecondToSaveIsTold() {
    JsonNode kept = api.post("/api/letterheads", letterhead("Twice")).json();
    String path = "/api/letterheads/" + kept.get("id").asLong();
    assertThat(api.put(path, letterhead("Twice")).status()).isEqualTo(200);
    assertThat(api.put(path, letterhead("Twice")).status()).isEqualTo(409);
    assertThat(api.delete(path).status()).isEqualTo(204);
    assertThat(api.get(path).status()).isEqualTo(404);
    long house = api.get("/api/letterheads").json().get(0).get("id").asLong();
    assertThat(api.delete("/api/letterheads/" + house).status()).as("in use").isEqualTo(409);
  }

  @Test
  public void anyTextIsSeenOnALetterheadThatIsNotSavedYet() {
    Map<String, Object> question = new HashMap<>();
    question.put("subject", "For {{first_name}}");
    question.put("body", "<p>Hello <a href=\"https://q.example\">there</a></p>{{&gt; signature}}");
    question.put("letterheadId", null);
    question.put("letterhead", letterhead(""));
    question.put("promotional", true);
    question.put("personId", null);
    JsonNode seen = api.post("/api/preview", question).json();
    assertThat(seen.get("html").asString())
        .contains("background-color:#123456", "prefers-color-scheme: dark", "Orla Finch");
    assertThat(Jsoup.parse(seen.get("html").asString()).select("a").first().attr("href"))
        .isEqualTo("https://q.example");
    assertThat(seen.get("samples").has("first_name")).isTrue();
    question.put("body", "<p>{{frist_name}}</p>");
    assertThat(api.post("/api/preview", question).json().get("errors").get(0).asString())
        .contains("Did you mean first_name?");
  }

  /** A gap that only the check of a mailing would tell of is told where the text is written. */
  @Test
  public void whatWouldLeaveAGapIsSaidWhereTheTextIsWritten() {
    Map<String, Object> question = new HashMap<>();
    question.put("subject", "{{organisation.name}} and {{first_name}}");
    question.put(
        "body",
        "<p>With us since {{joined_on}}, in {{address.place or \"town\"}}:"
            + " {{quote.title}}, {{quote.total}}</p>");
    question.put("promotional", false);
    question.put("personId", addPerson("Una", "Seen", "una.gap@seen.example"));
    Map<String, Object> beside = new HashMap<>();
    beside.put("ways", List.of("APP", "TEXT", "EMAIL"));
    beside.put("text", Map.of("words", "{{address.postcode}}", "likeness", "NOWHERE"));
    beside.put("notice", Map.of("title", "{{address.street}}", "words", "Now", "link", ""));
    question.put("beside", beside);
    JsonNode seen = api.post("/api/preview", question).json();
    assertThat(texts(seen.get("missing")))
        .containsExactly("joined_on", "organisation.name", "address.postcode", "address.street");
    assertThat(texts(seen.get("later"))).containsExactly("quote.title", "quote.total");
    beside.put("ways", List.of("EMAIL"));
    question.put("subject", "Hello");
    question.put("body", "<p>Hello</p>");
    seen = api.post("/api/preview", question).json();
    assertThat(texts(seen.get("missing"))).as("what goes by mail alone").isEmpty();
  }

  private static List<String> texts(JsonNode list) {
    return list.valueStream().map(JsonNode::asString).toList();
  }

  /** What a step, a day or a rule says beside its mail, before any of it is saved. */
  @Test
  public void whatIsSaidByTextAndInTheAppIsSeenBeforeItIsSaved() {
    long una = addPerson("Una", "Seen", "una@seen.example");
    Map<String, Object> beside = new HashMap<>();
    beside.put("ways", List.of("APP", "TEXT", "EMAIL"));
    beside.put("text", Map.of("words", "Hello {{first_name}}", "likeness", "NOWHERE"));
    beside.put(
        "notice",
        Map.of("title", "For {{first_name}}", "words", "It is time", "link", "https://q.example"));
    Map<String, Object> question = new HashMap<>();
    question.put("subject", "");
    question.put("body", "<p>Hello</p>");
    question.put("promotional", false);
    question.put("personId", una);
    assertThat(api.post("/api/preview", question).json().get("notice").isNull()).isTrue();
    question.put("beside", beside);
    JsonNode seen = api.post("/api/preview", question).json();
    assertThat(seen.get("phone").asString()).isEqualTo("Hello Una");
    assertThat(seen.get("notice").get("title").asString()).isEqualTo("For Una");
    assertThat(seen.get("notice").get("words").asString()).isEqualTo("It is time");
    assertThat(seen.get("notice").get("link").asString()).isEqualTo("https://q.example");
    beside.put("text", Map.of("words", "Hello {{frist_name}}", "likeness", "NOWHERE"));
    assertThat(api.post("/api/preview", question).json().get("errors").get(0).asString())
        .contains("Did you mean first_name?");
    beside.put("ways", List.of());
    assertThat(api.post("/api/preview", question).status()).isEqualTo(422);
  }

  @Test
  public void aSignatureHoldsTheSendersOwnValuesAndNobodyElses() {
    Map<String, Object> self = new HashMap<>();
    self.put("name", " Orla \u202eFinch-Reed ");
    self.put("title", "Membership");
    self.put("phone", " 01632 960 001 ");
    self.put("pictureKey", null);
    self.put("signature", "<p onclick=\"x()\">{{sender.name}}, {{sender.phone}}</p>");
    JsonNode kept = api.put("/api/colleagues/me", self).json();
    assertThat(kept.get("signature").asString())
        .isEqualTo("<p>{{sender.name}}, {{sender.phone}}</p>");
    assertThat(kept.get("phone").asString()).isEqualTo("01632 960 001");
    assertThat(kept.get("name").asString()).isEqualTo("Orla Finch-Reed");
    self.put("name", " ");
    assertThat(api.put("/api/colleagues/me", self).text()).contains("Say who it is");
    self.put("name", "Orla Finch");
    self.put("signature", "<p>{{sender.nick}}</p>");
    assertThat(api.put("/api/colleagues/me", self).status()).isEqualTo(422);
  }
}
