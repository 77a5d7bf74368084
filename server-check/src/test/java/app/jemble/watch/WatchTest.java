package app.jemble.watch;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** What whoever watches over the process is told, and where. */
public class WatchTest extends ServerTest {

  /** A sample of the text format 0.0.4 of Prometheus, from memory: a name, labels, a number. */
  private static final Pattern SAMPLE =
      Pattern.compile(
          "([a-zA-Z_:][a-zA-Z0-9_:]*(?:\\{(?:[a-zA-Z_]\\w*=\"(?:[^\"\\\\\\n]|\\\\.)*\",?)*})?)"
              + " (NaN|[+-]Inf|[-+]?[0-9.]+(?:[eE][-+]?\\d+)?)(?: \\d+)?");

  private final HttpClient http = HttpClient.newHttpClient();
  private int management;

  @Override
  protected int people() {
    return 20;
  }

  @Override
  protected int managementPort() {
    return 0;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    management = application.getEnvironment().getProperty("local.management.port", Integer.class);
    api.signIn("orla", "lowen-quay");
  }

  private HttpResponse<String> get(int at, String path) throws IOException, InterruptedException {
    return http.send(
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + at + path)).build(),
        HttpResponse.BodyHandlers.ofString());
  }

  private Map<String, Double> numbers() throws IOException, InterruptedException {
    Map<String, Double> numbers = new TreeMap<>();
    for (String line : get(management, "/actuator/prometheus").body().split("\n")) {
      if (!line.startsWith("#")) {
        Matcher sample = SAMPLE.matcher(line);
        assertThat(sample.matches()).as(line).isTrue();
        numbers.put(sample.group(1), Double.valueOf(sample.group(2)));
      }
    }
    return numbers;
  }

  @Test
  public void itTellsWhetherItLivesAndIsReady() throws Exception {
    for (String what : List.of("", "/liveness", "/readiness")) {
      HttpResponse<String> answer = get(management, "/actuator/health" + what);
      assertThat(answer.statusCode()).as(what).isEqualTo(200);
      assertThat(answer.body()).contains("\"UP\"").doesNotContain("jdbc", "PostgreSQL");
    }
    assertThat(get(management, "/actuator/env").statusCode()).isIn(401, 403, 404);
    assertThat(get(management, "/api/people").statusCode()).isIn(401, 403, 404);
  }

  @Test
  public void theHousesOwnPortTellsNothing() throws Exception {
    for (String path : List.of("/actuator/health", "/actuator/prometheus", "/actuator")) {
      HttpResponse<String> answer = get(port, path);
      assertThat(answer.body()).as(path).doesNotContain("\"UP\"", "jemble_messages");
    }
  }

  @Test
  public void numbersAreThoseOfTheOutbox() throws Exception {
    clock.advance(Duration.ofMinutes(1));
    sql.sql("update workspace set hold_seconds = 3600").update();
    long bo = addPerson("Bo", "Late", "bo@ternquay.example");
    long mailing = draft(List.of(bo), "Soon", "<p>Hello.</p>");
    assertThat(release(mailing).status()).isEqualTo(200);
    Eventually.holds(() -> assertThat(messageValue(mailing, bo, "state")).isEqualTo("waiting"));
    // What was looked up is fresh for five seconds.
    Eventually.holds(() -> assertThat(told()).isEqualTo(inTheDatabase()));
    assertThat(told()).containsKey("jemble_messages{channel=\"email\",state=\"in_doubt\"}");
    assertThat(numbers()).containsEntry("jemble_carrier_trouble{channel=\"email\"}", 0.0);
    assertThat(numbers().get("jemble_outbox_late_seconds")).isNotNegative().isLessThan(60);
  }

  @Test(priority = 1, timeOut = 60_000)
  public void whileTheDatabaseIsAwayItLivesAndIsNotReady() throws Exception {
    letDatabaseBeThere(false);
    try {
      assertThat(get(management, "/actuator/health/readiness").statusCode()).isEqualTo(503);
      assertThat(get(management, "/actuator/health/liveness").statusCode()).isEqualTo(200);
      Eventually.holds(() -> assertThat(told().values()).isNotEmpty().containsOnly(Double.NaN));
    } finally {
      letDatabaseBeThere(true);
    }
    Eventually.holds(() -> assertThat(statusOf("/actuator/health/readiness")).isEqualTo(200));
  }

  private int statusOf(String path) {
    try {
      return get(management, path).statusCode();
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** All that are not 0. */
  private Map<String, Double> told() {
    Map<String, Double> told = new TreeMap<>();
    try {
      numbers()
          .forEach(
              (name, number) -> {
                if (name.startsWith("jemble_messages{") && number != 0) {
                  told.put(name, number);
                }
              });
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
    return told;
  }

  private Map<String, Double> inTheDatabase() {
    Map<String, Double> counted = new TreeMap<>();
    sql.sql(
            """
            select lower(channel) as channel, state, count(*) as n
            from message where state <> 'sent' group by 1, 2
            """)
        .query(
            (row, n) ->
                counted.put(
                    "jemble_messages{channel=\""
                        + row.getString("channel")
                        + "\",state=\""
                        + row.getString("state")
                        + "\"}",
                    row.getDouble("n")))
        .list();
    return counted;
  }
}
