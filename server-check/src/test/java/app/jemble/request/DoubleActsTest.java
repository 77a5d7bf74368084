package app.jemble.request;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.ServerTest;
import app.jemble.inbound.Arrival;
import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.sql.Timestamp;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.slf4j.LoggerFactory;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * The same act several times at one moment: by a double click, a lost answer, or two colleagues.
 */
public class DoubleActsTest extends ServerTest {

  private static final int AT_ONCE = 8;

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private static List<Api.Answer> atOnce(Callable<Api.Answer> act) throws Exception {
    ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE);
    CountDownLatch ready = new CountDownLatch(AT_ONCE);
    try {
      List<Future<Api.Answer>> going = new ArrayList<>();
      for (int i = 0; i < AT_ONCE; i++) {
        going.add(
            threads.submit(
                () -> {
                  ready.countDown();
                  ready.await();
                  return act.call();
                }));
      }
      List<Api.Answer> answers = new ArrayList<>();
      for (Future<Api.Answer> answer : going) {
        answers.add(answer.get());
      }
      return answers;
    } finally {
      threads.shutdownNow();
    }
  }

  @Test
  public void whatAKilledProcessBeganIsSaidToBeInDoubt() {
    sql.sql(
            """
            insert into idempotent_request (account_id, key, request, begun_at)
            select id, 'killed-at-it', 'POST /api/lists', ? from account where login = 'orla'
            """)
        .param(Timestamp.from(clock.instant()))
        .update();
    ListAppender<ILoggingEvent> log = new ListAppender<>();
    Logger root = (Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME);
    log.start();
    root.addAppender(log);
    Api.Answer answer = api.once("killed-at-it", "/api/lists", Map.of("name", "In doubt"));
    root.detachAppender(log);
    assertThat(answer.status()).isEqualTo(409);
    assertThat(answer.text()).contains("it is not known yet what came of it");
    assertThat(log.list).as("a refusal is no error of ours").noneMatch(DoubleActsTest::isTrouble);
    assertThat(api.once("asked-anew", "/api/lists", Map.of("name", "In doubt")).status())
        .isEqualTo(200);
  }

  private static boolean isTrouble(ILoggingEvent event) {
    return event.getLevel().isGreaterOrEqual(Level.WARN)
        && event.getThrowableProxy() != null
        && "Stream closed".equals(event.getThrowableProxy().getMessage());
  }

  private long repliedTo(String name) {
    long person = addPerson("Bea", name, name + "@private.example");
    long mailing = draft(List.of(person), "Hello", "<p>Hello</p>");
    release(mailing);
    awaitSettled(mailing);
    return Arrival.reply(application, name, messageValue(mailing, person, "token"));
  }

  private long answersTo(long mail) {
    return sql.sql("select count(*) from answer where mail_id = ?")
        .param(mail)
        .query(Long.class)
        .single();
  }

  @Test
  public void anActWithAKeyIsDoneOnceAndAnsweredTheSame() throws Exception {
    long mail = repliedTo("keyed");
    List<Api.Answer> answers =
        atOnce(
            () ->
                api.once("answer-key-1", "/api/mail/" + mail + "/answer", Map.of("text", "Yes.")));
    assertThat(answers).allMatch(a -> a.status() == 200, "each is told that it was done");
    assertThat(answers.stream().map(Api.Answer::text).distinct()).hasSize(1);
    assertThat(answersTo(mail)).isEqualTo(1);
    Api.Answer other = api.once("answer-key-1", "/api/lists", Map.of("name", "Another"));
    assertThat(other.status()).as("the key of another request").isEqualTo(422);
  }

  @Test
  public void theSameAnswerSeveralTimesIsOne() throws Exception {
    long mail = repliedTo("unkeyed");
    List<Api.Answer> answers =
        atOnce(() -> api.post("/api/mail/" + mail + "/answer", Map.of("text", "Yes.")));
    assertThat(answers.stream().filter(a -> a.status() == 200)).hasSize(1);
    assertThat(answers).allMatch(a -> a.status() == 200 || a.status() == 409);
    assertThat(answersTo(mail)).isEqualTo(1);
  }

  @Test
  public void filesAtOneMomentKeepWithinTheirLimit() throws Exception {
    long mailing = draft(List.of(1L), "Hello", "<p>Hello</p>");
    byte[] large = new byte[3 << 20];
    large[0] = 1;
    List<Api.Answer> answers =
        atOnce(() -> api.upload("/api/mailings/" + mailing + "/files?name=a.bin", large));
    assertThat(answers.stream().filter(a -> a.status() == 200)).hasSize(3);
    assertThat(answers).allMatch(a -> a.status() == 200 || a.status() == 422);
    long octets =
        sql.sql("select sum(size) from mailing_file where mailing_id = ?")
            .param(mailing)
            .query(Long.class)
            .single();
    assertThat(octets).isLessThanOrEqualTo(10 << 20);
  }

  @Test
  public void ofTwoWhoSaveTheSameVersionOneIsTold() throws Exception {
    Map<String, Object> template = new HashMap<>();
    template.putAll(Map.of("name", "Twice", "label", "", "startsFrom", "person", "private", false));
    template.putAll(Map.of("subject", "x", "body", "<p>x</p>", "topicId", 1, "promotional", false));
    template.put("letterheadId", null);
    template.put("version", 0);
    long id = api.post("/api/templates", template).json().get("id").asLong();
    List<Api.Answer> answers = atOnce(() -> api.put("/api/templates/" + id, template));
    assertThat(answers.stream().filter(a -> a.status() == 200)).hasSize(1);
    assertThat(answers).allMatch(a -> a.status() == 200 || a.status() == 409);
    List<Api.Answer> names = atOnce(() -> api.post("/api/lists", Map.of("name", "At once")));
    assertThat(names.stream().filter(a -> a.status() == 200)).hasSize(1);
    assertThat(names).allMatch(a -> a.status() == 200 || a.status() == 422 || a.status() == 409);
  }
}
