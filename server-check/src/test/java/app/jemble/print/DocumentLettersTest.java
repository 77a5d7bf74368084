package app.jemble.print;

import static app.jemble.core.document.TestDocument.choice;
import static app.jemble.core.document.TestDocument.merge;
import static app.jemble.core.document.TestDocument.paragraph;
import static app.jemble.core.document.TestDocument.run;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.core.document.TestDocument;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Letters that are made of a document, from the file to what was posted. */
public class DocumentLettersTest extends ServerTest {

  private static final String TEXT = "word/document.xml";

  private long bo;
  private long cy;
  private long document;
  private long mailing;

  @Override
  protected int people() {
    return 3;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    api.signIn("orla", "lowen-quay");
    sql.sql("update workspace set hold_seconds = 0").update();
    bo = addPerson("Bo", "Post", null);
    cy = addPerson("Cy", "Post", null);
    for (long person : List.of(bo, cy)) {
      sql.sql(
              """
              update person set address_street = '4 Quay Lane', address_postcode = ?,
                                address_place = 'Lowen Quay', address_country = null
              where id = ?
              """)
          .params(person == bo ? "TR19 6AB" : "TR19 6AC", person)
          .update();
    }
    sql.sql("update person set number = 'M-7' where id = ?").param(bo).update();
  }

  private static TestDocument letter(String more) {
    return TestDocument.of(
            paragraph(merge("AddressBlock"))
                + paragraph(run("Dear ") + merge("FirstName \\* Upper") + run(","))
                + paragraph(
                    choice(" IF ", merge("Nr"), " = \"M-7\" \"Number seven!\" \"Another.\" "))
                + more)
        .related(
            "rId5", "header", "header1.xml", TestDocument.words("hdr", paragraph(run("Quay"))));
  }

  private byte[] octets(String path) {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .header("Cookie", String.join("; ", api.cookies()))
            .build();
    try {
      HttpResponse<byte[]> answer =
          HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofByteArray());
      assertThat(answer.statusCode()).isEqualTo(200);
      return answer.body();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static String encoded(String words) {
    return URLEncoder.encode(words, StandardCharsets.UTF_8);
  }

  private String text(String path) {
    return TestDocument.text(TestDocument.parts(octets(path)), TEXT);
  }

  private static Map<String, Object> match(String field, String otherwise) {
    Map<String, Object> match = new HashMap<>();
    match.put("field", field);
    match.put("otherwise", otherwise);
    return match;
  }

  private Map<String, Object> draft(int version, Map<String, Object> matches) {
    return Map.of(
        "name",
        "Renewal",
        "label",
        "Post",
        "startsFrom",
        "member",
        "private",
        false,
        "version",
        version,
        "matches",
        matches);
  }

  @Test
  public void aDocumentIsTakenAndItsFieldsAreMatched() {
    byte[] file = TestDocument.file(letter("").parts());
    Api.Answer made = api.upload("/api/documents?name=Quay%20letter.docx", file);
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    document = made.json().get("id").asLong();
    assertThat(made.json().get("name").asString()).isEqualTo("Quay letter");
    JsonNode fields = made.json().get("fields");
    assertThat(fields).hasSize(3);
    assertThat(fields.get(0).get("field").asString()).isEqualTo("address.lines");
    assertThat(fields.get(1).get("field").asString()).isEqualTo("first_name");
    assertThat(fields.get(2).get("name").asString()).isEqualTo("Nr");
    assertThat(made.json().get("unmatched").asInt()).isEqualTo(1);
    assertThat(TestDocument.parts(octets("/api/documents/" + document + "/file")).get(TEXT))
        .isEqualTo(letter("").parts().get(TEXT));
    assertThat(api.upload("/api/documents?name=x.docx", new byte[] {1, 2}).status()).isEqualTo(422);
    Map<String, byte[]> bomb = letter("").part("word/x.bin", new byte[60_000_001]).parts();
    assertThat(api.upload("/api/documents?name=x.docx", TestDocument.file(bomb)).text())
        .contains("larger than a letter");
    byte[] half = Arrays.copyOf(file, file.length / 2);
    assertThat(api.upload("/api/documents?name=x.docx", half).text()).contains("no .docx");
    byte[] older = {(byte) 0xd0, (byte) 0xcf, 0x11, (byte) 0xe0, 0};
    assertThat(api.upload("/api/documents?name=x.docx", older).text()).contains("password");
  }

  @Test(dependsOnMethods = "aDocumentIsTakenAndItsFieldsAreMatched")
  public void whatStandsForNothingBlocksALetter() {
    mailing = draft(List.of(bo, cy), "x", "<p>x</p>");
    madeOf(1);
    JsonNode check = api.get("/api/mailings/" + mailing + "/check").json();
    assertThat(api.get("/api/mailings/" + mailing + "/check/paper").status())
        .as("pages are laid by another program")
        .isEqualTo(409);
    assertThat(check.toString()).contains("Its field “Nr” stands for none of yours yet.");
    assertThat(release(mailing).status()).isEqualTo(409);
  }

  private void madeOf(int version) {
    Map<String, Object> change = new HashMap<>(change(mailing, "x", "<p>x</p>"));
    change.put("picks", List.of(bo, cy));
    change.put("ways", List.of("POST"));
    Map<String, Object> paper = new HashMap<>(Map.of("subject", "", "body", "<p>kept</p>"));
    paper.putAll(Map.of("form", "DIN_B", "documentId", document, "documentVersion", version));
    change.put("paper", paper);
    Api.Answer changed = api.put("/api/mailings/" + mailing, change);
    assertThat(changed.status()).as(changed.text()).isEqualTo(200);
  }

  @Test(dependsOnMethods = "whatStandsForNothingBlocksALetter")
  public void aVersionMoreIsMatchedByHand() {
    Map<String, Object> matches =
        Map.of(
            "AddressBlock", match("address.lines", ""),
            "FirstName", match("first_name", "friend"),
            "Nr", match("number", ""));
    String path = "/api/documents/" + document;
    Map<String, Object> wrong = Map.of("Nr", match("no_such", ""));
    assertThat(api.put(path, draft(1, wrong)).text()).contains("no field named “no_such”");
    assertThat(api.put(path, draft(1, matches)).status()).isEqualTo(200);
    assertThat(api.put(path, draft(1, matches)).status()).as("over another's").isEqualTo(409);
    byte[] file = TestDocument.file(letter(paragraph(merge("Plan"))).parts());
    Api.Answer replaced = api.upload(path + "/versions?name=new.docx&version=2", file);
    assertThat(replaced.status()).as(replaced.text()).isEqualTo(200);
    assertThat(replaced.json().get("fields").get(1).get("otherwise").asString())
        .isEqualTo("friend");
    JsonNode versions = api.get(path + "/versions").json();
    assertThat(versions).hasSize(3);
    assertThat(versions.get(0).get("added").get(0).asString()).isEqualTo("Plan");
    assertThat(versions.get(1).get("added")).isEmpty();
    assertThat(text(path + "/file?version=1")).doesNotContain("Plan");
    assertThat(text(path + "/file")).contains("Plan");
    assertThat(api.get(path + "/used").json().get(0).get("version").asInt()).isEqualTo(1);
  }

  @Test(dependsOnMethods = "aVersionMoreIsMatchedByHand")
  public void lettersBeginForWhomeverIsPicked() {
    Map<String, Object> begin = new HashMap<>();
    begin.putAll(Map.of("parts", List.of(), "picks", List.of(bo), "leftOut", List.of()));
    begin.put("documentId", document);
    long ofDocument = api.post("/api/mailings", begin).json().get("id").asLong();
    JsonNode made = api.get("/api/mailings/" + ofDocument).json();
    assertThat(made.get("name").asString()).isEqualTo("Renewal");
    assertThat(made.get("ways").toString()).isEqualTo("[\"POST\"]");
    assertThat(made.get("paper").get("documentVersion").asInt()).isEqualTo(3);
    begin.remove("documentId");
    begin.put("byPost", true);
    begin.put("templateId", api.get("/api/templates").json().get(0).get("id").asLong());
    long ofTemplate = api.post("/api/mailings", begin).json().get("id").asLong();
    JsonNode written = api.get("/api/mailings/" + ofTemplate).json();
    assertThat(written.get("paper").get("body").asString())
        .isEqualTo(written.get("body").asString())
        .isNotBlank();
    begin.put("documentId", 999_999);
    assertThat(api.post("/api/mailings", begin).status()).isEqualTo(404);
  }

  @Test(dependsOnMethods = "lettersBeginForWhomeverIsPicked")
  public void aProofIsThePersonsDocument() {
    madeOf(2);
    String proofs = "/api/mailings/" + mailing + "/proofs/";
    JsonNode proof = api.get(proofs + bo).json();
    assertThat(proof.get("subject").asString()).isEqualTo("Renewal");
    assertThat(proof.get("text").asString())
        .contains("4 Quay Lane")
        .contains("Dear BO,")
        .contains("Number seven!");
    assertThat(proof.get("paper").get("ofDocument").asBoolean()).isTrue();
    assertThat(text(proofs + bo + "/document")).contains("BO").contains("Number seven!");
    assertThat(text(proofs + cy + "/document")).contains("CY").contains("Another.");
    assertThat(api.get(proofs + bo + "/sheets").status()).isEqualTo(404);
    Map<String, Object> own =
        Map.of("channel", "POST", "subject", "x", "body", "<p>y</p>", "version", 0);
    assertThat(api.put("/api/mailings/" + mailing + "/own-words/" + bo, own).text())
        .contains("made of a document");
  }

  @Test(dependsOnMethods = "aProofIsThePersonsDocument")
  public void allArePrintedInOneFileAndPosted() {
    assertThat(release(mailing).status()).isEqualTo(200);
    String letters = "/api/mailings/" + mailing + "/letters";
    Eventually.holds(() -> assertThat(api.get(letters).json().get("toPrint").asInt()).isEqualTo(2));
    // What becomes of the document and of the people does not touch what was released.
    sql.sql("update person set first_name = 'Else' where id = ?").param(bo).update();
    assertThat(api.delete("/api/documents/" + document).status()).isEqualTo(204);
    Map<String, Object> how = Map.of("duplex", true, "order", "POSTCODE");
    long run = api.post(letters, how).json().get("id").asLong();
    String path = "/api/letter-runs/" + run;
    Eventually.holds(
        () -> assertThat(api.get(path).json().get("state").asString()).isEqualTo("PRINTED"));
    assertThat(api.get(path).json().get("pages").asInt()).isEqualTo(2);
    String all = text(path + "/file");
    assertThat(all.split("oddPage", -1)).as("a section for each").hasSize(3);
    assertThat(all.indexOf("BO")).isPositive().isLessThan(all.indexOf("CY"));
    assertThat(text(path + "/file?from=2&to=2")).contains("CY").doesNotContain("BO");
    assertThat(api.get(path + "/file?from=2&to=3").status()).isEqualTo(422);
    JsonNode printed = api.get(path + "/letters").json();
    assertThat(printed.get(0).get("words").asString()).contains("Number seven!");
    long message = printed.get(0).get("messageId").asLong();
    assertThat(text(path + "/letters/" + message)).contains("BO").doesNotContain("CY");
    Map<String, byte[]> each =
        TestDocument.parts(octets(path + "/each?names=" + encoded("{{last_name}}/{{first_name}}")));
    assertThat(each.keySet()).containsExactly("Post Else.docx", "Post Cy.docx");
    assertThat(TestDocument.text(TestDocument.parts(each.get("Post Else.docx")), TEXT))
        .contains("BO");
    assertThat(api.get(path + "/each?names=" + encoded("{{nobody}}")).status()).isEqualTo(422);
    String today = java.time.LocalDate.ofInstant(clock.instant(), java.time.ZoneOffset.UTC) + "";
    assertThat(api.put(path + "/posted", Map.of("day", today)).status()).isEqualTo(200);
    assertThat(api.get("/api/people/" + bo + "/between").json().toString())
        .contains("Number seven!");
  }
}
