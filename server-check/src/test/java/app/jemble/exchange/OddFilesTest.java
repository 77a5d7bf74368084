package app.jemble.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.io.ByteArrayOutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPOutputStream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * Files as other programs write them, and as none should: read right, or refused with a sentence.
 */
public class OddFilesTest extends ServerTest {

  @Override
  protected int people() {
    return 20;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private JsonNode read(byte[] file, String more) {
    Api.Answer begun = api.upload("/api/imports?name=odd" + more, file);
    assertThat(begun.status()).as(begun.text()).isEqualTo(200);
    return api.get("/api/imports/" + begun.json().get("id").asLong()).json();
  }

  private JsonNode read(String file) {
    return read(file.getBytes(StandardCharsets.UTF_8), "");
  }

  private JsonNode checked(JsonNode state, String sameBy, String... columns) {
    Map<String, Object> choices = new HashMap<>();
    choices.put("columns", Arrays.asList(columns));
    choices.put("sameBy", sameBy);
    choices.put("kind", "contact");
    choices.put("days", "DAY_FIRST");
    choices.put("list", null);
    choices.put("series", null);
    String path = "/api/imports/" + state.get("id").asLong();
    assertThat(api.put(path, choices).status()).isEqualTo(200);
    Eventually.holds(
        () -> assertThat(api.get(path).json().get("state").asString()).isEqualTo("checked"));
    return api.get(path).json();
  }

  private static List<String> samples(JsonNode state, int column) {
    return state
        .get("columns")
        .get(column)
        .get("samples")
        .valueStream()
        .map(JsonNode::asString)
        .toList();
  }

  private static List<String> headers(JsonNode state) {
    return state.get("columns").valueStream().map(c -> c.get("header").asString()).toList();
  }

  @Test
  public void whatStandsBetweenCellsIsSaidAboveTheHeaders() {
    JsonNode state = read("sep=;\r\nfirst name;email\r\nBea;bea@okonjo.example\r\n");
    assertThat(headers(state)).containsExactly("first name", "email");
    assertThat(state.get("rows").asInt()).isEqualTo(1);
  }

  @Test
  public void cellsBeyondTheHeadersAreThereToBeSeen() {
    JsonNode state = read("first name,email\nBea,bea@okonjo.example,Quay 1,blue\n");
    assertThat(headers(state)).containsExactly("first name", "email", "Column 3", "Column 4");
    assertThat(samples(state, 3)).containsExactly("blue");
  }

  @Test
  public void rowsAreNumberedAsASpreadsheetNumbersThem() {
    JsonNode state = read("number,email\n\nA-1,a@okonjo.example\n\n\nA-2,no address\n");
    JsonNode bad = checked(state, "EMAIL", "number", "email").get("preview").get(0);
    assertThat(bad.get("row").asInt()).isEqualTo(6);
    assertThat(bad.get("outcome").asString()).isEqualTo("bad");
  }

  @Test
  public void anEncodingCanBeChosen() {
    byte[] file =
        "first name,email\nŁucja,l@okonjo.example\n".getBytes(Charset.forName("windows-1250"));
    assertThat(samples(read(file, ""), 0)).doesNotContain("Łucja");
    assertThat(samples(read(file, "&encoding=windows-1250"), 0)).containsExactly("Łucja");
    assertThat(api.upload("/api/imports?name=x&encoding=utf-7", file).status()).isEqualTo(422);
  }

  @Test
  public void aCellThatCannotBeReadIsNamedAndTheRestIsTaken() {
    JsonNode state =
        read("first name,email,phone,birthday\nBea,bea@cell.example,ring me,31.02.1990\n");
    JsonNode row =
        checked(state, "EMAIL", "first_name", "email", "phone", "birthday").get("preview").get(0);
    assertThat(row.get("outcome").asString()).isEqualTo("new");
    assertThat(row.get("problem").asString()).contains("Phone takes").contains("Birthday takes");
    assertThat(row.get("cells").get(1).asString()).isEqualTo("bea@cell.example");
  }

  @Test
  public void whatIsLackingBecauseItCouldNotBeReadIsNamed() {
    JsonNode state = read("email,joined,plan\nbea@canoe.example,2020-12-25,Canoe\n");
    JsonNode row = checked(state, "EMAIL", "email", "joined_on", "plan").get("preview").get(0);
    assertThat(row.get("outcome").asString()).isEqualTo("bad");
    assertThat(row.get("problem").asString())
        .contains("Canoe")
        .endsWith("There is no plan, and a membership begins with its plan.");
  }

  @Test
  public void aNumberThatOnlyTheNeighboursCanCallIsNone() {
    JsonNode state = read("email,phone\nbea@local.example,12345\n");
    JsonNode row = checked(state, "EMAIL", "email", "phone").get("preview").get(0);
    assertThat(row.get("problem").asString()).contains("12345");
    assertThat(row.get("cells").get(1).asString()).isEmpty();
  }

  @Test
  public void cardsAreReadWhateverTheirLettersAreWrittenIn() {
    String card =
        "BEGIN:VCARD\r\nVERSION:3.0\r\nFN:Zoë Ångström\r\nEMAIL:zoe@cards.example\r\nEND:VCARD\r\n";
    for (Charset charset : List.of(StandardCharsets.UTF_8, Charset.forName("windows-1252"))) {
      assertThat(samples(read(card.getBytes(charset), ""), 1))
          .as("" + charset)
          .containsExactly("Zoë");
      assertThat(samples(read(card.getBytes(charset), ""), 2)).containsExactly("Ångström");
    }
  }

  @Test
  public void aLineFoldedWithinACharacterIsJoined() {
    byte[] card =
        "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Zoé\r\nNOTE:x\r\nEND:VCARD\r\n"
            .getBytes(StandardCharsets.UTF_8);
    int accent = 0;
    while (card[accent] >= 0) {
      accent++;
    }
    ByteArrayOutputStream folded = new ByteArrayOutputStream();
    folded.write(card, 0, accent + 1);
    folded.writeBytes("\r\n ".getBytes(StandardCharsets.US_ASCII));
    folded.write(card, accent + 1, card.length - accent - 1);
    assertThat(samples(read(folded.toByteArray(), ""), 1)).containsExactly("Zoé");
  }

  /** RFC 6350 section 5.3: the least number is preferred. */
  @Test
  public void thePreferredAddressIsTaken() {
    JsonNode state =
        read(
            """
            BEGIN:VCARD
            VERSION:4.0
            FN:Bea Okonjo
            EMAIL;PREF=2:second@cards.example
            EMAIL;PREF=1:first@cards.example
            EMAIL:third@cards.example
            END:VCARD
            """
                .replace("\n", "\r\n"));
    assertThat(samples(state, 3)).containsExactly("first@cards.example");
  }

  @Test
  public void whatIsNoTableIsRefusedWithASentence() throws Exception {
    ByteArrayOutputStream zipped = new ByteArrayOutputStream();
    try (GZIPOutputStream zip = new GZIPOutputStream(zipped)) {
      zip.write("email\nbea@okonjo.example\n".getBytes(StandardCharsets.UTF_8));
    }
    byte[] wide = "email\nbea@okonjo.example\n".getBytes(Charset.forName("UTF-32"));
    for (byte[] file : List.of(zipped.toByteArray(), wide, new byte[] {0, 1, 2, 3}, new byte[0])) {
      for (String path :
          List.of(
              "/api/imports?name=x", "/api/do-not-write/import", "/api/sending/days-off/import")) {
        assertThat(api.upload(path, file).status()).as(path).isBetween(200, 499);
      }
    }
  }

  /** What we write ourselves and read again says nothing new, also of people with one name. */
  @Test
  public void ourOwnFileChangesNobody() {
    sql.sql(
            "insert into person (kind, last_name, email, created_at) values ('contact', 'Lund', 'lund@one.example', now())")
        .update();
    JsonNode state = read("Name,E-mail\nLund,lund@one.example\n");
    assertThat(checked(state, "EMAIL", "name", "email").get("counts").get("same").asInt())
        .isEqualTo(1);
  }
}
