package app.jemble.print;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.core.document.TestDocument;
import app.jemble.core.paper.Box;
import app.jemble.core.paper.LetterForm;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** From "e-mail, else a letter" to what was posted. */
public class LettersTest extends ServerTest {

  private static final String BODY = "<p>Dear {{first_name}},</p><p>the quay is closed.</p>";

  private long ada;
  private long bo;
  private long cy;
  private long di;
  private long mailing;
  private long run;

  @Override
  protected int people() {
    return 3;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    api.signIn("orla", "lowen-quay");
    sql.sql("update workspace set hold_seconds = 0").update();
    ada = addPerson("Ada", "Post", "ada@post.example");
    bo = addPerson("Bo", "Post", null);
    cy = addPerson("Cy", "Post", null);
    di = addPerson("Di", "Post", null);
    addressed(di, "5 Quay Lane", "TR19 6AB", "Lowen Quay");
    addressed(bo, "4 Quay Lane", "TR19 6AB", "Lowen Quay");
    addressed(ada, "9 Mole", "TR19 6AC", "Lowen Quay");
  }

  private void addressed(long id, String street, String postcode, String place) {
    sql.sql(
            """
            update person set address_street = ?, address_postcode = ?, address_place = ?,
                              address_country = null
            where id = ?
            """)
        .params(street, postcode, place, id)
        .update();
  }

  private long letter(List<Long> picks, List<String> ways, String body) {
    long id = draft(picks, "By mail", "<p>By mail, {{first_name}}.</p>");
    Map<String, Object> change = new HashMap<>(change(id, "By mail", "<p>By mail.</p>"));
    change.put("picks", picks);
    change.put("ways", ways);
    Map<String, Object> paper = new HashMap<>(Map.of("subject", "The quay", "body", body));
    paper.putAll(Map.of("form", "DIN_B", "documentId", 0, "documentVersion", 0));
    change.put("paper", paper);
    Api.Answer changed = api.put("/api/mailings/" + id, change);
    assertThat(changed.status()).as(changed.text()).isEqualTo(200);
    return id;
  }

  private byte[] octets(String path) throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .header("Cookie", String.join("; ", api.cookies()))
            .build();
    HttpResponse<byte[]> answer =
        HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofByteArray());
    assertThat(answer.statusCode()).isEqualTo(200);
    return answer.body();
  }

  private Path file(String path) throws IOException, InterruptedException {
    Path file = Files.createTempFile("letters", ".pdf");
    file.toFile().deleteOnExit();
    Files.write(file, octets(path));
    return file;
  }

  @Test
  public void pagesAreCountedBeforeAnythingIsPrinted() {
    sql.sql("update person set phone = '+44 1736 960123' where id = ?").param(di).update();
    String more = "{{#phone}}" + "<p>And so on.</p>".repeat(60) + "{{/phone}}";
    long counted = letter(List.of(ada, bo, cy, di), List.of("POST"), BODY + more);
    String check = "/api/mailings/" + counted + "/check";
    assertThat(api.get(check).json().get("paper").isNull()).isTrue();

    JsonNode told = lastLine(api.get(check + "/paper").text()).get("result");
    JsonNode paper = told.get("paper");
    assertThat(paper.get("letters").asInt()).isEqualTo(3);
    assertThat(paper.get("longest").asInt()).isGreaterThan(1);
    assertThat(paper.get("pages").asInt()).isEqualTo(2 + paper.get("longest").asInt());
    assertThat(told.get("needLook").asInt()).isEqualTo(1);
    assertThat(told.get("findings").toString())
        .contains("1 person gets a letter of " + paper.get("longest").asInt() + " pages");
    // Whoever's it is stands first in the list, with the reason.
    JsonNode listed =
        api.get("/api/mailings/" + counted + "/audience?finding=LONG_LETTER").json().get(0);
    assertThat(listed.get("name").asString()).isEqualTo("Di Post");
    assertThat(listed.get("notes").toString()).contains("pages");
    assertThat(pagesOf(counted, di)).isEqualTo(paper.get("longest").asInt());
    // What is written anew is counted anew.
    assertThat(api.get(check).json().get("paper").isNull()).isTrue();
  }

  private int pagesOf(long letters, long whose) {
    JsonNode proof = api.get("/api/mailings/" + letters + "/proofs/" + whose).json();
    return proof.get("paper").get("pages").asInt();
  }

  private static JsonNode lastLine(String lines) {
    return new ObjectMapper().readTree(lines.strip().lines().reduce((a, b) -> b).orElseThrow());
  }

  @Test(dependsOnMethods = "pagesAreCountedBeforeAnythingIsPrinted")
  public void aProofLiesOnItsSheetWithTheAddressInTheWindow() throws Exception {
    mailing = letter(List.of(ada, bo, cy, di), List.of("EMAIL", "POST"), BODY);
    JsonNode proof = api.get("/api/mailings/" + mailing + "/proofs/" + bo).json();
    assertThat(proof.get("channel").asString()).isEqualTo("POST");
    assertThat(proof.get("subject").asString()).isEqualTo("The quay");
    assertThat(proof.get("text").asString()).isEqualTo("Dear Bo,\n\nthe quay is closed.");
    assertThat(proof.get("paper").get("pages").asInt()).isEqualTo(1);
    assertThat(proof.get("paper").get("addressFits").asBoolean()).isTrue();

    String sheets = "/api/mailings/" + mailing + "/proofs/" + bo + "/sheets";
    Path pdf = file(sheets);
    assertThat(OtherReader.run("pdftotext", "-layout", pdf.toString(), "-"))
        .contains("Dear Bo,")
        .contains("the quay is closed.");
    Box field = LetterForm.DIN_B.field();
    List<OtherReader.Word> address =
        OtherReader.words(pdf).stream()
            .filter(w -> List.of("Bo", "Lane", "6AB").contains(w.text()))
            .toList();
    assertThat(address).hasSize(3);
    assertThat(address)
        .allMatch(
            w ->
                new Box(w.left(), w.top(), w.right() - w.left(), w.bottom() - w.top())
                    .isWithin(field));
    assertThat(OtherReader.run("pdfinfo", pdf.toString()))
        .contains("Tagged:          yes")
        .contains("Title:           The quay");
    byte[] png = octets(sheets + "/1");
    assertThat(png).startsWith(0x89, 'P', 'N', 'G');
    assertThat(api.get(sheets + "/2").status()).isEqualTo(404);
  }

  @Test(dependsOnMethods = "aProofLiesOnItsSheetWithTheAddressInTheWindow")
  public void whoHasNoMailboxGetsALetterThatWaitsToBePrinted() {
    assertThat(release(mailing).status()).isEqualTo(200);
    Eventually.holds(() -> assertThat(letters().get("toPrint").asInt()).isEqualTo(2));
    Eventually.holds(() -> assertThat(messageValue(mailing, ada, "state")).isEqualTo("sent"));
    assertThat(messageValue(mailing, bo, "state")).isEqualTo("waiting");
  }

  private JsonNode letters() {
    return api.get("/api/mailings/" + mailing + "/letters").json();
  }

  @Test(dependsOnMethods = "whoHasNoMailboxGetsALetterThatWaitsToBePrinted")
  public void allThatWaitArePrintedOnce() throws Exception {
    sql.sql("update person set asked_not = true where id = ?").param(di).update();
    Map<String, Object> how = Map.of("duplex", true, "order", "POSTCODE");
    JsonNode begun = api.post("/api/mailings/" + mailing + "/letters", how).json();
    run = begun.get("id").asLong();
    Eventually.holds(
        () ->
            assertThat(api.get("/api/letter-runs/" + run).json().get("state").asString())
                .isEqualTo("PRINTED"));
    JsonNode printed = api.get("/api/letter-runs/" + run).json();
    assertThat(printed.get("letters").asInt()).isEqualTo(1);
    assertThat(messageValue(mailing, di, "state")).as("asked since").isEqualTo("withdrawn");
    assertThat(printed.get("pages").asInt()).as("with a blank back").isEqualTo(2);
    assertThat(printed.get("sheets").asInt()).isEqualTo(1);
    assertThat(letters().get("toPrint").asInt()).isZero();
    assertThat(api.post("/api/mailings/" + mailing + "/letters", how).status()).isEqualTo(409);
    Path pdf = file("/api/letter-runs/" + run + "/file");
    assertThat(OtherReader.run("pdftotext", pdf.toString(), "-")).contains("Dear Bo,");
    assertThat(OtherReader.run("qpdf", "--check", pdf.toString())).contains("No syntax");
    Map<String, byte[]> each = TestDocument.parts(octets("/api/letter-runs/" + run + "/each"));
    assertThat(each.keySet()).containsExactly("Post Bo.pdf");
    Path one = Files.createTempFile("letter", ".pdf");
    one.toFile().deleteOnExit();
    Files.write(one, each.get("Post Bo.pdf"));
    assertThat(OtherReader.run("pdftotext", one.toString(), "-")).contains("Dear Bo,");
    assertThat(OtherReader.run("qpdf", "--check", one.toString())).contains("No syntax");
  }

  @Test(dependsOnMethods = "allThatWaitArePrintedOnce")
  public void whatWasPostedIsSentAndStandsWithItsPerson() {
    String posted = "/api/letter-runs/" + run + "/posted";
    LocalDate today = LocalDate.ofInstant(clock.instant(), java.time.ZoneOffset.UTC);
    assertThat(api.put(posted, Map.of("day", today.plusDays(3).toString())).status())
        .isEqualTo(422);
    assertThat(api.put(posted, Map.of("day", today.toString())).status()).isEqualTo(200);
    assertThat(messageValue(mailing, bo, "state")).isEqualTo("sent");
    JsonNode between = api.get("/api/people/" + bo + "/between").json();
    assertThat(between.toString()).contains("POSTED").contains("the quay is closed.");
    assertThat(api.put(posted, Map.of("day", today.toString())).status()).isEqualTo(409);
  }

  @Test(dependsOnMethods = "whatWasPostedIsSentAndStandsWithItsPerson")
  public void whatCameBackClosesTheWay() {
    Map<String, Object> day = Map.of("day", "2026-11-29");
    assertThat(api.put("/api/letter-runs/" + run + "/returned/" + bo, day).status()).isEqualTo(200);
    long again = letter(List.of(bo), List.of("POST"), BODY);
    assertThat(release(again).text()).contains("There is nobody who can be written to");
    assertThat(messageValue(again, bo, "state")).isNull();
  }
}
