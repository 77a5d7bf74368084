package app.jemble.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.carrier.mail.RudeMailServer;
import java.io.IOException;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import org.springframework.context.ConfigurableApplicationContext;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Against a mail server that misbehaves: nothing is lost and nothing goes twice. */
public class OutboxTest extends ServerTest {

  private RudeMailServer server;

  @Override
  protected int people() {
    return 10;
  }

  @Override
  protected int smtpPort() {
    return server.port();
  }

  @BeforeClass
  @Override
  public void startAll() {
    try {
      server = new RudeMailServer();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    super.startAll();
    sql.sql("update message set state = 'withdrawn' where state = 'waiting'").update();
    api.signIn("orla", "lowen-quay");
  }

  @AfterClass(alwaysRun = true)
  @Override
  public void stopAll() {
    super.stopAll();
    try {
      server.close();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private long send(Map<String, Long> people, String... addresses) {
    for (String address : addresses) {
      people.put(address, addPerson("Ann", "Other", address));
    }
    long mailing = draft(List.copyOf(people.values()), "Hello", "<p>Dear {{first_name}}</p>");
    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    return mailing;
  }

  @Test
  public void eachAnswerOfTheMailServerHasItsState() {
    Map<String, Long> people = new HashMap<>();
    long mailing =
        send(people, "fine@a.example", "defer@b.example", "refuse@c.example", "spurn@d.example");
    assertThat(messageValue(mailing, people.get("fine@a.example"), "state")).isEqualTo("sent");
    assertThat(messageValue(mailing, people.get("defer@b.example"), "state")).isEqualTo("deferred");
    assertThat(messageValue(mailing, people.get("defer@b.example"), "reason")).contains("451");
    assertThat(messageValue(mailing, people.get("refuse@c.example"), "state")).isEqualTo("refused");
    assertThat(messageValue(mailing, people.get("spurn@d.example"), "state")).isEqualTo("refused");
    assertThat(messageValue(mailing, people.get("spurn@d.example"), "reason")).contains("554");
    assertThat(server.taken()).filteredOn(a -> a.endsWith("a.example")).hasSize(1);
    // As a report of the same would: the address is gone; policy is not its fault.
    assertThat(doNotWrite("refuse@c.example")).isEqualTo("hard return");
    assertThat(doNotWrite("spurn@d.example")).isNull();
  }

  private String doNotWrite(String address) {
    return sql.sql("select reason from do_not_write where address_key = ?")
        .param(address)
        .query(String.class)
        .optional()
        .orElse(null);
  }

  @Test
  public void aLostAnswerIsADoubtThatIsNeverSentAgainUnasked() {
    Map<String, Long> people = new HashMap<>();
    long mailing = send(people, "mute@e.example");
    long person = people.get("mute@e.example");
    assertThat(messageValue(mailing, person, "state")).isEqualTo("in_doubt");
    clock.advance(Duration.ofDays(3));
    Map<String, Long> another = new HashMap<>();
    send(another, "fine2@e.example");
    assertThat(messageValue(mailing, person, "state")).isEqualTo("in_doubt");
    assertThat(server.taken()).filteredOn("mute@e.example"::equals).hasSize(1);

    long message = Long.parseLong(messageValue(mailing, person, "id"));
    assertThat(settle(message, true)).isEqualTo(204);
    assertThat(messageValue(mailing, person, "state")).isEqualTo("sent");
    assertThat(settle(message, false)).as("settled already").isEqualTo(409);
  }

  private int settle(long message, boolean arrived) {
    return api.post("/api/outbox/" + message + "/settle", Map.of("arrived", arrived)).status();
  }

  @Test
  public void whatWasPutOffLeavesLaterByItself() {
    Map<String, Long> people = new HashMap<>();
    long mailing = send(people, "defer@f.example");
    long person = people.get("defer@f.example");
    assertThat(messageValue(mailing, person, "tries")).isEqualTo("1");
    server.mendManners("f.example");
    clock.advance(Duration.ofMinutes(2));
    Eventually.holds(() -> assertThat(messageValue(mailing, person, "state")).isEqualTo("sent"));
    assertThat(server.taken()).filteredOn("defer@f.example"::equals).hasSize(1);
  }

  @Test
  public void aServerThatBreaksOffBeforeTheTextIsTriedAgain() {
    Map<String, Long> people = new HashMap<>();
    people.put("vanish@g.example", addPerson("Ann", "Other", "vanish@g.example"));
    long mailing = draft(List.copyOf(people.values()), "Hello", "<p>Hello</p>");
    release(mailing);
    long person = people.get("vanish@g.example");
    Eventually.holds(
        () -> assertThat(messageValue(mailing, person, "reason")).contains("broke off"));
    assertThat(messageValue(mailing, person, "tries")).isEqualTo("0");
    server.mendManners("g.example");
    clock.advance(Duration.ofMinutes(1));
    Eventually.holds(() -> assertThat(messageValue(mailing, person, "state")).isEqualTo("sent"));
  }

  @Test
  public void twoProcessesShareOneOutboxAndNobodyGetsTwo() {
    long[] ids =
        LongStream.range(0, 300).map(i -> addPerson("P", "Q", "p" + i + "@pair.example")).toArray();
    long mailing = draft(LongStream.of(ids).boxed().toList(), "Hello", "<p>Hello</p>");
    ConfigurableApplicationContext second = start();
    try {
      release(mailing);
      awaitSettled(mailing);
    } finally {
      second.close();
    }
    List<String> taken = server.taken().stream().filter(a -> a.endsWith("@pair.example")).toList();
    assertThat(taken).hasSize(300).doesNotHaveDuplicates();
  }

  @Test
  public void aHandOverWhoseProcessDiedIsInDoubt() {
    long person = addPerson("Ann", "Other", "died@h.example");
    long mailing = draft(List.of(person), "Hello", "<p>Hello</p>");
    sql.sql("update workspace set hold_seconds = 3600").update();
    release(mailing);
    sql.sql("update workspace set hold_seconds = 0").update();
    sql.sql(
            """
            with taken as (
              update message
              set in_hands_of = 'gone', tries = 1, first_try_at = now() - interval '4 minutes'
              where cause_id = ?
              returning id
            )
            insert into handover (worker, message_ids, until)
            select 'gone', array_agg(id), now() - interval '1 minute' from taken
            """)
        .param(mailing)
        .update();
    assertThat(messageValue(mailing, person, "shown_state")).isIn("sending", "in_doubt");
    Eventually.holds(
        () -> assertThat(messageValue(mailing, person, "state")).isEqualTo("in_doubt"));
    assertThat(messageValue(mailing, person, "reason")).contains("process stopped");
  }

  @Test
  public void aHeldMailingCanBeTakenBackAndWithdrawn() {
    sql.sql("update workspace set hold_seconds = 600").update();
    long person = addPerson("Ann", "Other", "held@i.example");
    long mailing = draft(List.of(person), "Hello", "<p>Hello</p>");
    release(mailing);
    assertThat(messageValue(mailing, person, "state")).isEqualTo("waiting");
    assertThat(api.post("/api/mailings/" + mailing + "/take-back", Map.of()).status())
        .isEqualTo(200);
    assertThat(messageValue(mailing, person, "state")).isNull();
    release(mailing);
    api.post("/api/mailings/" + mailing + "/withdraw", Map.of());
    assertThat(messageValue(mailing, person, "state")).isEqualTo("withdrawn");
    sql.sql("update workspace set hold_seconds = 0").update();
    assertThat(server.taken()).doesNotContain("held@i.example");
  }
}
