package app.jemble.outside;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.settings.JembleSettings;
import app.jemble.standins.NameServer;
import app.jemble.standins.PostOffice;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A house of which nothing is set outside is given its services on its screens. */
public class ServicesTest extends ServerTest {

  private static final String SECRET = "a-password-of-the-post";

  private Api wilma;
  private PostOffice far;
  private NameServer names;

  @Override
  protected int people() {
    return 40;
  }

  @Override
  protected List<String> mailSettings() {
    return List.of();
  }

  @Override
  protected List<String> moreSettings() {
    names = new NameServer(0);
    return List.of("--jemble.name-servers=127.0.0.1:" + names.port());
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    wilma = signedIn("wilma");
    api = signedIn("orla");
    far = new PostOffice(0, 0, "ternquay.example", Duration.ofDays(1), 7);
    sql.sql("update workspace set return_domain = 'ternquay.example', house_email = null").update();
  }

  @AfterClass(alwaysRun = true)
  public void close() {
    if (far != null) {
      far.close();
    }
    names.close();
  }

  private ObjectNode service(int place) {
    return (ObjectNode) wilma.get("/api/services").json().get(place);
  }

  private static ObjectNode draft(ObjectNode shown) {
    shown.remove(List.of("kind", "setOutside", "isSet", "hasPassword"));
    shown.putNull("password");
    return shown;
  }

  private Api.Answer keep(String kind, ObjectNode draft) {
    return wilma.put("/api/services/" + kind, draft);
  }

  private ObjectNode mailServer(int port) {
    ObjectNode draft = draft(service(0));
    return draft.put("host", "127.0.0.1").put("port", port).put("protection", "NONE");
  }

  @Test
  public void nothingIsSetAtFirst() {
    JsonNode services = wilma.get("/api/services").json();
    assertThat(services.findValuesAsString("kind"))
        .containsExactly("MAIL_SERVER", "MAILBOX", "TEXT_SERVICE");
    services.forEach(
        service -> {
          assertThat(service.get("isSet").asBoolean()).isFalse();
          assertThat(service.get("setOutside").isNull()).isTrue();
        });
    assertThat(wilma.post("/api/mailbox/try", Map.of()).json().get("failed").asString())
        .isEqualTo("SET");
    assertThat(api.get("/api/ways").text()).doesNotContain("TEXT");
  }

  /** The outbox goes on through another server without being started anew. */
  @Test(dependsOnMethods = "nothingIsSetAtFirst")
  public void theOutboxFollows() {
    assertThat(keep("MAIL_SERVER", mailServer(office.smtpPort())).status()).isEqualTo(200);
    assertThat(tried("/api/mail-server/try")).isEmpty();
    long one = addPerson("Ada", "Reis", "ada@readers.test");
    long first = draft(List.of(one), "One", "<p>Dear {{first_name}}</p>");
    assertThat(release(first).status()).isEqualTo(200);
    Eventually.holds(() -> assertThat(messageValue(first, one, "state")).isEqualTo("sent"));
    assertThat(keep("MAIL_SERVER", mailServer(far.smtpPort())).status()).isEqualTo(200);
    long two = addPerson("Ben", "Sol", "ben@readers.test");
    long second = draft(List.of(two), "Two", "<p>Dear {{first_name}}</p>");
    assertThat(release(second).status()).isEqualTo(200);
    Eventually.within(Duration.ofSeconds(20), () -> assertThat(far.delivered()).hasSize(1));
    assertThat(office.delivered()).hasSize(1);
  }

  private String tried(String path) {
    JsonNode tried = wilma.post(path, Map.of()).json();
    return tried.get("failed").isNull() ? "" : tried.get("failed").asString();
  }

  @Test(dependsOnMethods = "theOutboxFollows")
  public void whatIsSentToOneselfComesBack() {
    ObjectNode mailbox = draft(service(1));
    mailbox.put("host", "127.0.0.1").put("port", far.imapPort()).put("protection", "NONE");
    mailbox.put("user", PostOffice.COMMON_MAILBOX).put("password", "wrong");
    assertThat(keep("MAILBOX", mailbox).status()).isEqualTo(200);
    assertThat(tried("/api/mailbox/try")).isEqualTo("SIGN_IN");
    mailbox = draft(service(1)).put("password", PostOffice.COMMON_PASSWORD);
    assertThat(keep("MAILBOX", mailbox).status()).isEqualTo(200);
    assertThat(tried("/api/mailbox/try")).isEmpty();
    JsonNode begun = wilma.post("/api/mail-trials", Map.of()).json();
    assertThat(begun.get("refused").asString()).isEmpty();
    assertThat(begun.get("to").asString()).startsWith("return+").endsWith("@ternquay.example");
    String trial = "/api/mail-trials/" + begun.get("id").asLong();
    Eventually.within(
        Duration.ofSeconds(30),
        () -> assertThat(wilma.get(trial).json().get("cameAt").isNull()).isFalse());
    assertThat(wilma.get("/api/unplaced").text()).doesNotContain("A trial of Jemble");
    assertThat(wilma.get("/api/mail-trials/999999").status()).isEqualTo(404);
    assertThat(api.post("/api/mail-trials", Map.of()).status()).isEqualTo(403);
  }

  @Test(dependsOnMethods = "whatIsSentToOneselfComesBack")
  public void aPasswordIsSealedAndNeverTold() {
    ObjectNode draft = mailServer(far.smtpPort()).put("user", "lowen").put("password", SECRET);
    Api.Answer kept = keep("MAIL_SERVER", draft);
    assertThat(kept.status()).as(kept.text()).isEqualTo(200);
    assertThat(kept.text()).doesNotContain(SECRET);
    assertThat(kept.json().get("hasPassword").asBoolean()).isTrue();
    assertThat(wilma.get("/api/services").text()).doesNotContain(SECRET);
    assertThat(wilma.get("/api/history").text()).contains("Mail server").doesNotContain(SECRET);
    byte[] stored =
        sql.sql("select password from outside_service where kind = 'MAIL_SERVER'")
            .query(byte[].class)
            .single();
    assertThat(new String(stored, StandardCharsets.ISO_8859_1)).doesNotContain(SECRET);
    OutsideServices services = application.getBean(OutsideServices.class);
    assertThat(services.mailServer().password()).isEqualTo(SECRET);
    ObjectNode again = draft(service(0)).put("lines", 3);
    assertThat(keep("MAIL_SERVER", again).status()).isEqualTo(200);
    assertThat(services.mailServer().password()).as("it stays unless typed").isEqualTo(SECRET);
    Api.Answer elsewhere = keep("MAIL_SERVER", draft(service(0)).put("host", "thief.example"));
    assertThat(elsewhere.status()).isEqualTo(422);
    assertThat(elsewhere.text()).contains("once more");
    Api.Answer none =
        keep("MAIL_SERVER", mailServer(far.smtpPort()).put("user", "").put("password", ""));
    assertThat(none.json().get("hasPassword").asBoolean()).isFalse();
  }

  @Test(dependsOnMethods = "aPasswordIsSealedAndNeverTold")
  public void whatCannotBeIsSaidAtItsField() {
    assertThat(keep("MAIL_SERVER", mailServer(70_000)).text()).contains("65535");
    ObjectNode noCertificate = mailServer(far.smtpPort()).put("authority", "a line of mine");
    assertThat(keep("MAIL_SERVER", noCertificate).text()).contains("PEM");
    assertThat(api.put("/api/services/MAIL_SERVER", mailServer(25)).status()).isEqualTo(403);
    assertThat(wilma.put("/api/services/CELLAR", mailServer(25)).status()).isBetween(400, 404);
  }

  @Test(dependsOnMethods = "whatCannotBeIsSaidAtItsField")
  public void ofTwoAtOnceTheSecondIsTold() throws Exception {
    ObjectNode seen = mailServer(far.smtpPort());
    ExecutorService both = Executors.newFixedThreadPool(2);
    try {
      List<Future<Integer>> answers =
          both.invokeAll(
              List.of(
                  () -> keep("MAIL_SERVER", seen.deepCopy().put("lines", 4)).status(),
                  () -> keep("MAIL_SERVER", seen.deepCopy().put("lines", 5)).status()));
      assertThat(List.of(answers.get(0).get(), answers.get(1).get()))
          .containsExactlyInAnyOrder(200, 409);
    } finally {
      both.shutdownNow();
    }
  }

  /** RFC 1035 records of our own name server; a text of more than 255 octets comes in pieces. */
  @Test(dependsOnMethods = "ofTwoAtOnceTheSecondIsTold")
  public void theRecordsOfTheDomainAreLookedUp() {
    assertThat(recordStates()).containsExactly("MISSING", "MISSING", "MISSING", "MISSING");
    String many = " ip4:192.0.2.1".repeat(25);
    names.say("ternquay.example", "site-proof=abc", "v=spf1" + many + " a:mail.quay.example -all");
    names.say("_dmarc.ternquay.example", "v=DMARC1; p=perhaps");
    names.say("mail26._domainkey.ternquay.example", "v=DKIM1; k=rsa; p=" + "MIGf".repeat(90));
    names.sendMailTo("ternquay.example", "mail.quay.example");
    assertThat(recordStates()).containsExactly("RIGHT", "RIGHT", "MISSING", "WRONG");
    Api.Answer named = wilma.put("/api/mail-domain", Map.of("selector", "Mail26"));
    assertThat(named.json().get("selector").asString()).isEqualTo("mail26");
    assertThat(recordStates()).containsExactly("RIGHT", "RIGHT", "RIGHT", "WRONG");
    assertThat(wilma.put("/api/mail-domain", Map.of("selector", "two words")).status())
        .isEqualTo(422);
    assertThat(api.get("/api/mail-domain").status()).isEqualTo(403);
  }

  private List<String> recordStates() {
    return wilma.get("/api/mail-domain").json().get("records").findValuesAsString("state");
  }

  /** Nobody to ask is not the same as nothing to find. */
  @Test(dependsOnMethods = "theRecordsOfTheDomainAreLookedUp")
  public void whereNobodyAnswersThatIsSaid() {
    names.close();
    assertThat(recordStates())
        .containsExactly("NOT_REACHED", "NOT_REACHED", "NOT_REACHED", "NOT_REACHED");
  }

  /** Ways open and close without a new start. */
  @Test(dependsOnMethods = "ofTwoAtOnceTheSecondIsTold")
  public void aTextServiceBeginsWhereThereWasNone() {
    ObjectNode text = draft(service(2)).put("host", "127.0.0.1").put("port", 1);
    text.put("user", "lowen").put("sender", "Lowen Quay").put("password", "quay-txt");
    assertThat(keep("TEXT_SERVICE", text).status()).isEqualTo(200);
    assertThat(api.get("/api/ways").text()).contains("TEXT");
    assertThat(tried("/api/text-service/try")).isEqualTo("REACH");
    assertThat(keep("TEXT_SERVICE", draft(service(2)).put("host", "").put("password", "")).status())
        .isEqualTo(200);
    assertThat(api.get("/api/ways").text()).doesNotContain("TEXT");
    assertThat(application.getBean(JembleSettings.class).smtp().isSet()).isFalse();
  }
}
