package app.jemble.release;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.standins.PostOffice.Delivered;
import jakarta.mail.BodyPart;
import jakarta.mail.Multipart;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.apache.james.mime4j.dom.Message;
import org.apache.james.mime4j.message.DefaultMessageBuilder;
import org.jsoup.Jsoup;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

public class ReleaseTest extends ServerTest {

  private static final String HOSTILE = "Zoë <b>O'Neil</b> {{last_name}}\r\nBcc: all@evil.example";

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private List<Delivered> delivered(String address) {
    return office.delivered().stream().filter(d -> d.to().equals(address)).toList();
  }

  private MimeMessage only(String address) {
    Eventually.holds(() -> assertThat(delivered(address)).hasSize(1));
    return delivered(address).get(0).message();
  }

  @Test
  public void aHostileNameBreaksNeitherHtmlNorHeadersNorTemplate() throws Exception {
    long person = addPerson(HOSTILE, "Quay", "zoe@oneil.example");
    long mailing =
        draft(
            List.of(person),
            "A word, {{first_name}}",
            "<p>Dear {{first_name}},</p><p><a href=\"https://quay.example/?n={{first_name}}\">See</a></p>");
    assertThat(release(mailing).status()).isEqualTo(200);
    MimeMessage mail = only("zoe@oneil.example");

    assertThat(mail.getHeader("Bcc")).isNull();
    assertThat(mail.getAllRecipients()).hasSize(1);
    assertThat(mail.getSubject())
        .isEqualTo("A word, Zoë <b>O'Neil</b> {{last_name}} Bcc: all@evil.example");
    String html = part(mail, "text/html");
    assertThat(Jsoup.parse(html).select("b")).isEmpty();
    assertThat(Jsoup.parse(html).text()).contains("Zoë <b>O'Neil</b> {{last_name}}");
    assertThat(part(mail, "text/plain")).contains("Zoë <b>O'Neil</b> {{last_name}}");

    // An independent reader (Apache James Mime4j) sees the same.
    ByteArrayOutputStream octets = new ByteArrayOutputStream();
    mail.writeTo(octets);
    Message read =
        new DefaultMessageBuilder().parseMessage(new ByteArrayInputStream(octets.toByteArray()));
    assertThat(read.getSubject()).isEqualTo(mail.getSubject());
    assertThat(read.getTo()).hasSize(1);
    assertThat(read.getBcc()).isNull();
    assertThat(octets.toString(java.nio.charset.StandardCharsets.ISO_8859_1).lines())
        .allMatch(line -> line.length() <= 998);
  }

  @Test
  public void whatWasFrozenAtReleaseIsWhatLeaves() {
    sql.sql("update workspace set hold_seconds = 600").update();
    long person = addPerson("Before", "Quay", "frozen@quay.example");
    long mailing = draft(List.of(person), "Hello {{first_name}}", "<p>Hello</p>");
    release(mailing);
    sql.sql("update workspace set hold_seconds = 0").update();
    sql.sql("update person set first_name = 'After' where id = ?").param(person).update();
    clock.advance(java.time.Duration.ofSeconds(601));
    MimeMessage mail = only("frozen@quay.example");
    Eventually.holds(() -> assertThat(mail.getSubject()).isEqualTo("Hello Before"));
  }

  @Test
  public void twoReleasesAtOnceSendOnce() {
    long person = addPerson("Once", "Quay", "once@quay.example");
    long mailing = draft(List.of(person), "Once", "<p>Once</p>");
    Api tomas = new Api("http://127.0.0.1:" + port);
    tomas.signIn("tomas", "lowen-quay");
    int version = api.get("/api/mailings/" + mailing).json().get("version").asInt();
    List<Integer> answers =
        Stream.of(api, tomas)
            .map(
                who ->
                    CompletableFuture.supplyAsync(
                        () ->
                            who.post(
                                    "/api/mailings/" + mailing + "/release",
                                    Map.of("version", version))
                                .status()))
            .toList()
            .stream()
            .map(CompletableFuture::join)
            .sorted()
            .toList();
    assertThat(answers).containsExactly(200, 409);
    awaitSettled(mailing);
    only("once@quay.example");
  }

  @Test
  public void oneAddressGetsOneMessageHoweverManyPeopleShareIt() {
    long first = addPerson("A", "Shared", "shared@quay.example");
    long second = addPerson("B", "Shared", "Shared@quay.example");
    long mailing = draft(List.of(first, second), "Shared", "<p>Shared</p>");
    JsonNode look = api.get("/api/mailings/" + mailing + "/check").json();
    assertThat(look.get("ready").asInt()).isEqualTo(1);
    assertThat(look.get("cannot").get(0).get("reach").asString()).isEqualTo("SAME_ADDRESS");
    release(mailing);
    awaitSettled(mailing);
    only("shared@quay.example");
  }

  @Test
  public void blockersStopTheReleaseWithTheirSentence() {
    long person = addPerson("A", "Blank", "blank@quay.example");
    long blank = draft(List.of(person), "See you [day]", "<p>Hello</p>");
    Api.Answer refused = release(blank);
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.json().get("detail").asString()).contains("[day]");
    long empty = draft(List.of(person), "", "<p></p>");
    assertThat(release(empty).json().get("detail").asString()).isEqualTo("The subject is empty.");
    long broken = draft(List.of(person), "Hello", "<p>{{#plan}}open</p>");
    assertThat(release(broken).status()).isEqualTo(409);
    assertThat(delivered("blank@quay.example")).isEmpty();
  }

  @Test
  public void aSecondTabIsToldAndOverwritesNothing() {
    long person = addPerson("A", "Tab", "tab@quay.example");
    long mailing = draft(List.of(person), "First", "<p>First</p>");
    Map<String, Object> late = change(mailing, "Late", "<p>Late</p>");
    api.put("/api/mailings/" + mailing, change(mailing, "Second", "<p>Second</p>"));
    Api.Answer answer = api.put("/api/mailings/" + mailing, late);
    assertThat(answer.status()).isEqualTo(409);
    assertThat(answer.json().get("detail").asString()).contains("changed elsewhere");
    assertThat(api.get("/api/mailings/" + mailing).json().get("subject").asString())
        .isEqualTo("Second");
  }

  @Test
  public void whatWasChangedSinceItWasLookedAtIsNotReleased() {
    long person = addPerson("A", "Late", "late@quay.example");
    long mailing = draft(List.of(person), "Seen", "<p>Seen</p>");
    String path = "/api/mailings/" + mailing;
    int seen = api.get(path).json().get("version").asInt();
    api.put(path, change(mailing, "Not seen", "<p>Not seen</p>"));
    Api.Answer answer = api.post(path + "/release", Map.of("version", seen));
    assertThat(answer.status()).isEqualTo(409);
    assertThat(api.get(path).json().get("state").asString()).isEqualTo("DRAFT");
    assertThat(delivered("late@quay.example")).isEmpty();
  }

  @Test
  public void theListOfRecipientsIsMadeAnewAfterAReleaseWasTakenBack() throws Exception {
    long person = addPerson("Ada", "Listed", "listed@quay.example");
    long mailing = draft(List.of(person), "List", "<p>Hello</p>");
    String path = "/api/mailings/" + mailing;
    api.post(path + "/files/recipients", Map.of());
    sql.sql("update workspace set hold_seconds = 600").update();
    release(mailing);
    assertThat(sizeOfRecipients(mailing)).isPositive();
    assertThat(api.post(path + "/take-back", Map.of()).status()).isEqualTo(200);
    assertThat(sizeOfRecipients(mailing)).as("nobody is on it").isZero();
    sql.sql("update workspace set hold_seconds = 0").update();
    sql.sql("update person set last_name = 'Married' where id = ?").param(person).update();
    release(mailing);
    MimeMessage mail = only("listed@quay.example");
    Multipart parts = (Multipart) mail.getContent();
    String list = (String) parts.getBodyPart(parts.getCount() - 1).getContent();
    assertThat(list.strip()).isEqualTo("Ada Married");
  }

  private int sizeOfRecipients(long mailing) {
    return sql.sql("select size from mailing_file where mailing_id = ? and recipients")
        .param(mailing)
        .query(Integer.class)
        .single();
  }

  @Test
  public void aDiscardedDraftCanBeTakenBackAndNothingElseBeDoneWithIt() {
    long person = addPerson("D", "Discard", "discard@quay.example");
    long mailing = draft(List.of(person), "Hello", "<p>Hello</p>");
    String path = "/api/mailings/" + mailing;
    assertThat(api.delete(path).status()).isEqualTo(204);
    assertThat(api.get("/api/mailings").raw().body()).doesNotContain("\"id\":" + mailing + ",");
    assertThat(release(mailing).json().get("detail").asString()).contains("take it back first");
    assertThat(api.put(path, change(mailing, "X", "<p>x</p>")).status()).isEqualTo(409);
    assertThat(api.post(path + "/restore", Map.of()).status()).isEqualTo(204);
    assertThat(api.post(path + "/restore", Map.of()).status()).isEqualTo(409);
    assertThat(api.get(path).json().get("subject").asString()).isEqualTo("Hello");
    assertThat(release(mailing).status()).isEqualTo(200);
    assertThat(api.delete(path).status()).as("released").isEqualTo(409);
  }

  @Test
  public void aCopyToOneselfHasThatPersonsValuesAndCountsNothing() throws Exception {
    long person = addPerson("Copied", "Quay", "copied@quay.example");
    long mailing = draft(List.of(person), "For {{first_name}}", "<p>Hello</p>");
    api.post("/api/mailings/" + mailing + "/files/recipients", Map.of());
    Api.Answer sent = api.post("/api/mailings/" + mailing + "/copy", Map.of("personId", person));
    assertThat(sent.json().get("address").asString()).isEqualTo("orla@ternquay.example");
    Eventually.holds(
        () -> assertThat(office.mailbox("orla")).anyMatch(m -> subject(m).equals("For Copied")));
    MimeMessage copy =
        office.mailbox("orla").stream()
            .filter(m -> subject(m).equals("For Copied"))
            .findFirst()
            .orElseThrow();
    ByteArrayOutputStream octets = new ByteArrayOutputStream();
    copy.writeTo(octets);
    String raw = octets.toString(UTF_8).replace("=\r\n", "");
    assertThat(raw).contains("recipients.txt").contains("/leave/sample").doesNotContain("/o/");
    assertThat(raw).doesNotContain("/l/");
    String names = "Copied Quay\r\n";
    assertThat(raw)
        .contains(Base64.getEncoder().encodeToString(names.getBytes(UTF_8)).replace("=", ""));
    Api.Answer page = api.get("/leave/sample");
    assertThat(page.raw().body()).contains("This is a sample").doesNotContain("<form");
    assertThat(delivered("copied@quay.example")).isEmpty();
  }

  private static String subject(MimeMessage mail) {
    try {
      return String.valueOf(mail.getSubject());
    } catch (jakarta.mail.MessagingException e) {
      throw new IllegalStateException(e);
    }
  }

  private static String part(MimeMessage mail, String type) throws Exception {
    Multipart parts = (Multipart) mail.getContent();
    for (int i = 0; i < parts.getCount(); i++) {
      BodyPart part = parts.getBodyPart(i);
      if (part.isMimeType(type)) {
        return (String) part.getContent();
      }
    }
    throw new AssertionError("no part of type " + type);
  }
}
