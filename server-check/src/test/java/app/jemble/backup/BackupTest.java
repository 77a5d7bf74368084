package app.jemble.backup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.TestDatabase;
import app.jemble.standins.PostOffice.Delivered;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * A house is kept in a file, goes on, and is made of the file again elsewhere, as after a fire:
 * what the first sent since is not sent by the second. Who is to decide what may have left is a
 * person.
 */
public class BackupTest extends ServerTest {

  private Path folder;
  private Path file;
  private String second;
  private Api wilma;
  private long mailing;
  private final Map<String, Long> readers = new HashMap<>();

  @Override
  protected int people() {
    return 30;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void make() throws IOException {
    folder = Files.createTempDirectory("jemble-backup");
    file = folder.resolve("house.backup");
    api = signedIn("wilma");
    for (String name : List.of("early", "late", "next")) {
      readers.put(name, addPerson(name, "Reader", name + "@readers.test"));
    }
  }

  private String say(String word, String database, Path key) {
    return say(word, database, Map.of("JEMBLE_KEY_FILE", key.toString()));
  }

  private String say(String word, String database, Map<String, String> more) {
    Map<String, String> settings = new HashMap<>(more);
    settings.put("JEMBLE_DB_URL", database);
    ByteArrayOutputStream said = new ByteArrayOutputStream();
    int status =
        BackupCommand.run(
            List.of(word, file.toString()),
            settings,
            new PrintStream(said, true, StandardCharsets.UTF_8));
    return status + " " + said.toString(StandardCharsets.UTF_8).strip();
  }

  private void due(String reader, Instant at) {
    sql.sql("update message set due_at = ?, planned_at = ? where cause_id = ? and person_id = ?")
        .params(List.of(Timestamp.from(at), Timestamp.from(at), mailing, readers.get(reader)))
        .update();
  }

  /** One has left before, two wait: one of them leaves after the backup was made. */
  @Test
  public void aHouseIsKeptWhileItRuns() throws IOException {
    mailing = draft(List.copyOf(readers.values()), "Tides", "<p>Dear {{first_name}}</p>");
    sql.sql("update sending_rules set hours = null").update();
    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    // In one act: the outbox takes up at once what is due.
    Timestamp tomorrow = Timestamp.from(clock.instant().plus(Duration.ofDays(1)));
    sql.sql(
            """
            update message
            set state = 'waiting', sent_at = null, tries = 0, due_at = ?, planned_at = ?
            where cause_id = ?
            """)
        .params(List.of(tomorrow, tomorrow, mailing))
        .update();
    due("next", clock.instant().plus(Duration.ofDays(2)));
    int before = sentTo("early");
    assertThat(say("backup", database(), Map.of("JEMBLE_KEY", KEY))).startsWith("0 ");
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
        .isEqualTo("rw-------");
    assertThat(say("backup", database(), Map.of("JEMBLE_KEY", KEY)))
        .startsWith("1 ")
        .contains("already");
    try (var left = Files.list(folder)) {
      assertThat(left).as("nothing is left lying about").hasSize(1);
    }
    due("early", clock.instant());
    Eventually.holds(() -> assertThat(sentTo("early")).isEqualTo(before + 1));
  }

  private int sentTo(String reader) {
    return (int)
        office.delivered().stream()
            .map(Delivered::to)
            .filter(address -> address.startsWith(reader + "@"))
            .count();
  }

  @Test(dependsOnMethods = "aHouseIsKeptWhileItRuns")
  public void itIsMadeAgainInAnEmptyDatabaseAlone() throws IOException {
    assertThat(say("restore", database(), folder.resolve("none")))
        .startsWith("1 ")
        .contains("empty one");
    Path anothers = folder.resolve("anothers-key");
    Files.writeString(anothers, KEY.replace('A', 'B') + "x");
    second = TestDatabase.empty();
    assertThat(say("restore", second, anothers)).startsWith("1 ").contains("another");
    Path key = folder.resolve("keys/key");
    assertThat(say("restore", second, key)).startsWith("0 ").contains("Nothing leaves it");
    assertThat(Files.readString(key)).isEqualTo(KEY);
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(key)))
        .isEqualTo("rw-------");
  }

  @Test(dependsOnMethods = "itIsMadeAgainInAnEmptyDatabaseAlone")
  public void whatIsNoBackupIsSaidToBeNone() throws IOException {
    Path kept = file;
    file = folder.resolve("letter.txt");
    Files.writeString(file, "Dear all");
    assertThat(say("restore", second, folder.resolve("none")))
        .startsWith("1 ")
        .contains("no backup");
    file = folder.resolve("nowhere");
    assertThat(say("restore", second, folder.resolve("none"))).startsWith("1 ").contains("no file");
    file = kept;
    assertThat(say("backup", "jdbc:postgresql://127.0.0.1:1/none", folder.resolve("none")))
        .startsWith("1 ");
  }

  /** The first house is no more; a day and an hour have gone. */
  @Test(dependsOnMethods = "whatIsNoBackupIsSaidToBeNone")
  public void nothingLeavesBeforeSomebodySaysThatItGoesOn() throws Exception {
    clock.advance(Duration.ofHours(25));
    moveTo(second);
    wilma = signedIn("wilma");
    int early = sentTo("early");
    int late = sentTo("late");
    Eventually.holds(
        () -> assertThat(wilma.get("/api/restored").json().get("goesOnAt").isNull()).isFalse());
    assertThat(wilma.post("/api/restored/go-on", Map.of()).status()).isEqualTo(409);
    assertThat(signedIn("orla").post("/api/restored/go-on", Map.of()).status()).isEqualTo(403);
    Thread.sleep(1_500);
    assertThat(sentTo("early")).isEqualTo(early);
    assertThat(sentTo("late")).isEqualTo(late);
    clock.advance(Duration.ofMinutes(2));
    Api.Answer went = wilma.post("/api/restored/go-on", Map.of());
    assertThat(went.status()).as(went.text()).isEqualTo(200);
    assertThat(went.json().get("inDoubt").asInt()).isGreaterThanOrEqualTo(2);
    assertThat(wilma.post("/api/restored/go-on", Map.of()).status()).isEqualTo(409);
    assertThat(wilma.get("/api/restored").json().get("held").asBoolean()).isFalse();
    assertThat(states()).containsExactly("in_doubt", "in_doubt", "waiting");
    clock.advance(Duration.ofHours(24));
    Eventually.within(
        Duration.ofSeconds(30),
        () -> assertThat(states()).containsExactly("in_doubt", "in_doubt", "sent"));
    assertThat(sentTo("early")).as("not once more").isEqualTo(early);
    assertThat(sentTo("late")).isEqualTo(late);
  }

  private List<String> states() {
    List<String> states = new ArrayList<>();
    for (String reader : List.of("early", "late", "next")) {
      states.add(messageValue(mailing, readers.get(reader), "state"));
    }
    return states;
  }

  @Test(dependsOnMethods = "nothingLeavesBeforeSomebodySaysThatItGoesOn")
  public void theHistoryTells() {
    assertThat(wilma.get("/api/history").text())
        .contains("Let the house go on after it was restored", "messages in doubt");
  }
}
