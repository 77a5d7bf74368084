package app.jemble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Drafts;
import app.jemble.Eventually;
import app.jemble.TestDatabase;
import app.jemble.standins.PostOffice;
import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.testng.SkipException;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * The jar on an empty database, set up by the variables of docs/operations.md alone: no demo, no
 * word of it. Three people get a mailing, one replies, and the reply is read.
 */
public class EmptyHouseTest {

  private static final Path JAR = Path.of("../server/target/jemble-server-0.1.0-exec.jar");
  private static final String DOMAIN = "harbour.example";

  private final Map<String, String> settings = new HashMap<>();
  private PostOffice office;
  private Process jemble;
  private Api api;

  @BeforeClass
  public void start() throws IOException {
    if (!Files.exists(JAR)) {
      throw new SkipException("./jemble test builds the jar before it comes here.");
    }
    office = new PostOffice(0, 0, DOMAIN, Duration.ofDays(1), 7);
    int port;
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    settings.put("JEMBLE_DB_URL", TestDatabase.empty());
    settings.put("JEMBLE_DB_USER", "jemble");
    settings.put("JEMBLE_PORT", Integer.toString(port));
    settings.put("JEMBLE_MANAGEMENT_PORT", "-1");
    settings.put("JEMBLE_SMTP_HOST", "127.0.0.1");
    settings.put("JEMBLE_SMTP_PORT", Integer.toString(office.smtpPort()));
    settings.put("JEMBLE_IMAP_HOST", "127.0.0.1");
    settings.put("JEMBLE_IMAP_PORT", Integer.toString(office.imapPort()));
    settings.put("JEMBLE_IMAP_USER", PostOffice.COMMON_MAILBOX);
    settings.put("JEMBLE_IMAP_PASSWORD", PostOffice.COMMON_PASSWORD);
    settings.put("JEMBLE_IMAP_EVERY", "1s");
    settings.put("JEMBLE_ADMIN_LOGIN", "Root");
    settings.put("JEMBLE_ADMIN_EMAIL", "root@" + DOMAIN);
    settings.put("JEMBLE_ADMIN_PASSWORD", "a long enough word");
    settings.put("JEMBLE_HOUSE_NAME", "Harbour Choir");
    settings.put("JEMBLE_HOUSE_ADDRESS", "2 Mole Street, Lowen Quay");
    settings.put("JEMBLE_HOUSE_ZONE", "Europe/Lisbon");
    settings.put("JEMBLE_MAIL_DOMAIN", DOMAIN);
    settings.put("JEMBLE_HOLD_SECONDS", "0");
    settings.put("JEMBLE_PLANS", "Voice, Friend");
    ProcessBuilder process =
        new ProcessBuilder("java", "-Xmx1g", "-jar", JAR.toString())
            .redirectErrorStream(true)
            .redirectOutput(new File("target/empty-house.log"));
    process.environment().keySet().removeIf(name -> name.startsWith("JEMBLE_"));
    process.environment().putAll(settings);
    jemble = process.start();
    api = new Api("http://127.0.0.1:" + port);
    Eventually.within(
        Duration.ofMinutes(2), () -> assertThat(status("/api/session")).isEqualTo(200));
  }

  private int status(String path) {
    assertThat(jemble.isAlive()).as("target/empty-house.log says why").isTrue();
    try {
      return api.get(path).status();
    } catch (IllegalStateException notYet) {
      return 0;
    }
  }

  @AfterClass(alwaysRun = true)
  public void stop() throws InterruptedException {
    if (jemble != null) {
      long begun = System.nanoTime();
      jemble.destroy();
      assertThat(jemble.waitFor(20, TimeUnit.SECONDS)).as("SIGTERM ends it").isTrue();
      assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Duration.ofSeconds(20));
    }
    if (office != null) {
      office.close();
    }
  }

  @Test
  public void everythingThatWasSetStandsInTheDocs() throws IOException {
    String docs = Files.readString(Path.of("../docs/operations.md"));
    for (String name : settings.keySet()) {
      String end = name.replaceFirst("JEMBLE_[A-Z]+", "");
      assertThat(docs.contains("`" + name + "`") || docs.contains("`" + end + "`"))
          .as(name)
          .isTrue();
    }
  }

  private long person(String first, String last) {
    Map<String, Object> values = new HashMap<>();
    values.put("first_name", first);
    values.put("last_name", last);
    values.put("email", first.toLowerCase(java.util.Locale.ROOT) + "@readers.test");
    values.put("plan", "Voice");
    Api.Answer added = api.post("/api/people", Map.of("values", values));
    assertThat(added.status()).as(added.text()).isEqualTo(200);
    return added.json().get("id").asLong();
  }

  @Test
  public void aMailingArrivesAndItsReplyIsRead() throws Exception {
    assertThat(api.signIn("root", "a long enough word").status()).isEqualTo(200);
    assertThat(api.get("/api/session").json().get("colleague").get("house").asString())
        .isEqualTo("Harbour Choir");
    List<Long> people = List.of(person("Ada", "Reis"), person("Ben", "Sol"), person("Cai", "Tide"));
    Map<String, Object> begin = new HashMap<>();
    begin.putAll(Map.of("parts", List.of(), "picks", people, "leftOut", List.of()));
    Api.Answer begun = api.post("/api/mailings", begin);
    assertThat(begun.status()).as(begun.text()).isEqualTo(200);
    long mailing = begun.json().get("id").asLong();
    String path = "/api/mailings/" + mailing;
    Map<String, Object> change =
        Drafts.change(
            api,
            mailing,
            "Rehearsal, {{first_name}}",
            "<p>Dear {{first_name}}, we sing on Friday.</p>");
    Api.Answer written = api.put(path, change);
    assertThat(written.status()).as(written.text()).isEqualTo(200);
    Api.Answer released =
        api.post(path + "/release", Map.of("version", written.json().get("version").asInt()));
    assertThat(released.status()).as(released.text()).isEqualTo(200);
    Eventually.holds(() -> assertThat(office.delivered()).hasSize(3));
    PostOffice.Delivered ada =
        office.delivered().stream()
            .filter(d -> d.to().startsWith("ada@"))
            .findFirst()
            .orElseThrow();
    assertThat(ada.message().getSubject()).isEqualTo("Rehearsal, Ada");
    assertThat(ada.from()).endsWith("@" + DOMAIN);
    ReaderReply.to(ada, office.smtpPort(), "root@" + DOMAIN, "I shall be there.");
    Eventually.holds(
        () ->
            assertThat(kinds(api.get("/api/responses/latest?limit=20").json()))
                .contains("REPLIED"));
  }

  private static List<String> kinds(JsonNode latest) {
    List<String> kinds = new ArrayList<>();
    latest.forEach(response -> kinds.add(response.get("kind").asString()));
    return kinds;
  }
}
