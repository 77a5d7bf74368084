package app.jemble.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Timestamp;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

public class PrintRunTest extends ServerTest {

  private static final ObjectMapper JSON = new ObjectMapper();

  @Override
  protected int people() {
    return 60;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private long addPerson(String first, String street, String postcode, String place) {
    long id = addPerson(first, "Paper", null);
    sql.sql(
            """
            update person set address_street = ?, address_postcode = ?, address_place = ?,
                              address_country = null
            where id = ?
            """)
        .params(street, postcode, place, id)
        .update();
    return id;
  }

  private long begin(Long... picks) {
    return beginLabels(List.of(picks));
  }

  private JsonNode run(long id) {
    return api.get("/api/print-runs/" + id).json();
  }

  private Map<String, Object> body(long id) {
    JsonNode run = run(id);
    Map<String, Object> body = new HashMap<>();
    for (String field :
        List.of(
            "version",
            "name",
            "picks",
            "leftOut",
            "design",
            "start",
            "copies",
            "offsetAcross",
            "offsetDown")) {
      body.put(field, run.get(field));
    }
    body.put("parts", List.of());
    return body;
  }

  private Path file(long id, String pages) throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(
                URI.create("http://127.0.0.1:" + port + "/api/print-runs/" + id + "/file" + pages))
            .header("Cookie", String.join("; ", api.cookies()))
            .build();
    HttpResponse<byte[]> answer =
        HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofByteArray());
    assertThat(answer.statusCode()).isEqualTo(200);
    assertThat(answer.headers().firstValue("content-type")).hasValue("application/pdf");
    Path path = Files.createTempFile("run", ".pdf");
    path.toFile().deleteOnExit();
    Files.write(path, answer.body());
    return path;
  }

  private JsonNode print(long id) {
    assertThat(api.post("/api/print-runs/" + id + "/print", Map.of()).status()).isEqualTo(200);
    Eventually.holds(() -> assertThat(run(id).get("state").asString()).isEqualTo("PRINTED"));
    return run(id);
  }

  /** The way from people to posted labels: worked out by hand. */
  @Test
  public void labelsAreLaidOutChangedPrintedAndPosted() throws Exception {
    long bea = addPerson("Bea", "4 Quay Lane", "TR19 6AB", "Lowen Quay");
    long cas = addPerson("Cas", "1 Weg", "10115", "Berlin");
    sql.sql("update person set address_country = 'Germany' where id = ?").param(cas).update();
    long dot = addPerson("Dot", "", "", "");
    long id = begin(bea, cas, dot);
    JsonNode run = run(id);
    assertThat(run.get("people").asInt()).isEqualTo(2);
    assertThat(run.get("tally").valueStream().map(t -> t.get("words").asString()))
        .containsExactly("no postal address", "to print");

    Map<String, Object> body = body(id);
    body.put("name", "Yearbook");
    body.put("start", 4);
    assertThat(api.put("/api/print-runs/" + id, body).status()).isEqualTo(200);
    assertThat(api.put("/api/print-runs/" + id, body).status()).as("seen before").isEqualTo(409);

    api.put("/api/print-runs/" + id + "/labels/" + bea, Map.of("words", "Bea\nc/o Quay Office"));
    JsonNode page = api.get("/api/print-runs/" + id + "/pages/0").json();
    assertThat(page.get("labels").size()).isEqualTo(2);
    JsonNode first = page.get("labels").get(0);
    assertThat(first.get("place").asInt()).isEqualTo(4);
    assertThat(first.get("own").asBoolean()).isTrue();
    JsonNode second = page.get("labels").get(1);
    assertThat(second.get("lines").valueStream().map(l -> l.get("text").asString()))
        .containsExactly("Cas Paper", "1 Weg", "10115 Berlin", "GERMANY");

    print(id);
    List<OtherReader.Word> words = OtherReader.words(file(id, ""));
    assertThat(words)
        .extracting(OtherReader.Word::text)
        .startsWith("Bea", "c/o", "Quay", "Office", "Cas", "Paper");
    assertThat(words.get(0).left()).isCloseTo(7.21 + 66.04 + 3, within(0.1));

    assertThat(api.put("/api/print-runs/" + id, body(id)).status()).isEqualTo(409);
    postedAndReturned(id, cas);
  }

  private void postedAndReturned(long id, long cas) {
    assertThat(
            api.put("/api/print-runs/" + id + "/returned/" + cas, Map.of("day", "2026-10-02"))
                .status())
        .as("not posted yet")
        .isEqualTo(409);
    api.put("/api/print-runs/" + id + "/posted", Map.of("day", "2026-10-01"));
    assertThat(run(id).get("postedOn").asString()).isEqualTo("2026-10-01");
    api.put("/api/print-runs/" + id + "/returned/" + cas, Map.of("day", "2026-10-02"));
    assertThat(run(begin(cas)).get("tally").get(0).get("words").asString())
        .isEqualTo("a letter came back from there");
    assertThat(
            api.get("/api/people/" + cas + "/between")
                .json()
                .valueStream()
                .map(h -> h.get("kind").asString() + " " + h.get("mailing").asString()))
        .containsExactly("POST_RETURNED Yearbook", "POSTED Yearbook");
    assertThat(api.get("/api/people/" + cas).json().get("reach").toString())
        .contains("a letter came back from there");
    sql.sql("update person set address_street = '2 Weg' where id = ?").param(cas).update();
    assertThat(run(begin(cas)).get("people").asInt()).as("another address").isEqualTo(1);
  }

  @Test
  public void someOfItsPagesArePrintedAgain() throws Exception {
    List<Long> people = new ArrayList<>();
    for (int i = 0; i < 50; i++) {
      people.add(addPerson("P" + i, i + " Lane", "TR" + (10 + i), "Lowen"));
    }
    long id = begin(people.toArray(Long[]::new));
    JsonNode printed = print(id);
    assertThat(printed.get("sheets").asInt()).isEqualTo(3);
    assertThat(OtherReader.sizes(file(id, "?from=2&to=3"))).hasSize(2);
    String second = OtherReader.text(file(id, "?from=2&to=2"));
    assertThat(second).contains("21 Lane", "41 Lane").doesNotContain("20 Lane", "42 Lane");
    assertThat(api.get("/api/print-runs/" + id + "/file?from=2&to=4").status()).isEqualTo(422);
    assertThat(api.get("/api/print-runs/" + id + "/file?from=0").status()).isEqualTo(422);
  }

  /** What shrinks, what does not fit, what has no letters and what is missing is named. */
  @Test
  public void whatWantsALookIsNamed() {
    long long1 = addPerson("Long", "x".repeat(200), "TR1", "Lowen");
    long shrunk = addPerson("Shrunk", "y".repeat(36), "TR2", "Lowen");
    long runes = addPerson("Runes", "ᚠᚢ Lane", "TR3", "Lowen");
    long id = begin(long1, shrunk, runes);
    assertThat(run(id).get("findings").valueStream().map(f -> f.get("kind").asString()).toList())
        .containsExactly("TOO_LONG", "LETTERS", "SHRUNK");
    assertThat(lined(id, "{{name}} ({{organisation.name}})\n{{number}}\n{{address.lines}}"))
        .as("only the line that does not close up")
        .contains("has a gap: no organisation")
        .doesNotContain("has a gap: no number");
    lined(id, "{{nme}}");
    assertThat(run(id).get("errors").get(0).asString()).contains("Did you mean name?");
    assertThat(api.post("/api/print-runs/" + id + "/print", Map.of()).status()).isEqualTo(422);
  }

  /** What is found when the label has these lines. */
  private List<String> lined(long id, String lines) {
    Map<String, Object> body = body(id);
    Map<String, Object> design = JSON.convertValue(body.get("design"), new Design());
    design.put("lines", lines);
    body.put("design", design);
    assertThat(api.put("/api/print-runs/" + id, body).status()).isEqualTo(200);
    return run(id).get("findings").valueStream().map(f -> f.get("words").asString()).toList();
  }

  private static final class Design extends TypeReference<Map<String, Object>> {}

  @Test
  public void whatCannotBePrintedIsRefusedInASentence() {
    long id = begin(addPerson("Bad", "1 Lane", "TR1", "Lowen"));
    assertThat(refused(id, "start", 21)).contains("labels 1 to 21");
    assertThat(refused(id, "copies", 0)).contains("Print 1 to 1,000");
    assertThat(refused(id, "offsetAcross", 40)).contains("at most 20 mm");
    assertThat(refused(id, "name", " ")).contains("Give it a name");
    assertThat(api.get("/api/print-runs/" + id + "/file").status()).isEqualTo(409);
    long nobody = begin();
    assertThat(api.post("/api/print-runs/" + nobody + "/print", Map.of()).text())
        .contains("There is nobody to print for.");
    assertThat(api.delete("/api/print-runs/" + id).status()).isEqualTo(204);
    assertThat(api.post("/api/print-runs/" + id + "/restore", Map.of()).status()).isEqualTo(204);
    assertThat(api.get("/api/print-runs/999999").status()).isEqualTo(404);
  }

  private String refused(long id, String field, Object value) {
    Map<String, Object> body = body(id);
    body.put(field, value);
    Api.Answer answer = api.put("/api/print-runs/" + id, body);
    assertThat(answer.status()).isEqualTo(422);
    return answer.text();
  }

  /** Who left the post, or everything, is not printed for. */
  @Test
  public void whoAskedNotToBeWrittenToIsLeftOut() {
    long post = addPerson("Post", "1 Lane", "TR1", "Lowen");
    long all = addPerson("All", "1 Lane", "TR1", "Lowen");
    sql.sql(
            """
            insert into way_closed (person_id, channel, closed_at, how)
            values (?, 'POST', now(), 'by word of mouth')
            """)
        .param(post)
        .update();
    sql.sql("update person set asked_not = true where id = ?").param(all).update();
    JsonNode run = run(begin(post, all));
    assertThat(run.get("people").asInt()).isZero();
    assertThat(run.get("tally").get(0).get("words").asString())
        .isEqualTo("asked not to be written to");
    assertThat(run.get("tally").get(0).get("people").asInt()).isEqualTo(2);
  }

  /** A process that died while printing: another prints the same, though people changed. */
  @Test
  public void whatWasBegunIsPrintedByAnother() throws Exception {
    long person = addPerson("Left", "1 Lane", "TR1", "Lowen");
    long id = begin(person);
    sql.sql(
            """
            update print_run
            set state = 'PRINTING', printing_since = :then, touched_at = :then, to_print = 1
            where id = :id
            """)
        .param("then", Timestamp.from(clock.instant().minusSeconds(60)))
        .param("id", id)
        .update();
    sql.sql(
            """
            insert into print_item (run_id, place, person_id, words, address)
            values (?, 0, ?, 'Left Behind', '')
            """)
        .params(id, person)
        .update();
    application.getBean(RunPrinter.class).print(id);
    assertThat(run(id).get("state").asString()).isEqualTo("PRINTED");
    assertThat(OtherReader.text(file(id, ""))).contains("Left Behind");
  }

  /** A printing that was stopped does not go on in the one that was begun after it. */
  @Test
  public void aPrintingThatWasStoppedEndsNothing() throws Exception {
    long id = begin(addPerson("Again", "1 Lane", "TR1", "Lowen"));
    PrintRunService runs = application.getBean(PrintRunService.class);
    sql.sql(
            """
            update print_run
            set state = 'PRINTING', printing_since = now(), touched_at = now(), to_print = 1
            where id = ?
            """)
        .param(id)
        .update();
    PrintRun stopped = runs.find(id);
    assertThat(api.post("/api/print-runs/" + id + "/cancel", Map.of()).status()).isEqualTo(200);
    assertThat(run(id).get("state").asString()).isEqualTo("DRAFT");
    sql.sql("update print_run set state = 'PRINTING', printing_since = now() where id = ?")
        .param(id)
        .update();
    Path empty = Files.createTempFile("stopped", ".pdf");
    application.getBean(PrintFiles.class).keep(stopped, empty, 1);
    Files.delete(empty);
    assertThat(run(id).get("state").asString()).isEqualTo("PRINTING");
  }

  @Test
  public void ownSheetsAndTemplatesAreKept() {
    JsonNode usual = api.get("/api/sheets").json().get(0).get("sheet");
    Map<String, Object> sheet = JSON.convertValue(usual, new Design());
    sheet.put("name", "Ours");
    JsonNode added = api.post("/api/sheets", sheet).json();
    assertThat(api.get("/api/sheets").json().valueStream().map(s -> s.at("/sheet/name").asString()))
        .contains("Ours");
    sheet.put("across", 9);
    assertThat(api.post("/api/sheets", sheet).text()).contains("would not all lie on the page");
    assertThat(api.delete("/api/sheets/" + added.get("id").asLong()).status()).isEqualTo(204);
    Object design = body(begin()).get("design");
    JsonNode kept =
        api.post("/api/label-templates", Map.of("name", "Yearbook", "design", design)).json();
    assertThat(api.get("/api/label-templates").json().get(0).get("name").asString())
        .isEqualTo("Yearbook");
    assertThat(api.delete("/api/label-templates/" + kept.get("id").asLong()).status())
        .isEqualTo(204);
  }
}
