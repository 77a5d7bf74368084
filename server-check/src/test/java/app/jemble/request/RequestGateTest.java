package app.jemble.request;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * What anybody may take of the house, what every answer says, and what holds when things are away.
 */
public class RequestGateTest extends ServerTest {

  private final HttpClient http = HttpClient.newHttpClient();

  @Override
  protected int people() {
    return 10;
  }

  @Override
  protected List<String> moreSettings() {
    return List.of("--jemble.trusted-proxies=127.0.0.1, 10.0.0.0/8");
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  private HttpResponse<String> get(String path, String... headers) throws Exception {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path));
    if (headers.length > 0) {
      request.headers(headers);
    }
    return http.send(request.GET().build(), HttpResponse.BodyHandlers.ofString());
  }

  private int leave(String token) throws Exception {
    URI page = URI.create("http://127.0.0.1:" + port + "/leave/" + token);
    return http.send(
            HttpRequest.newBuilder(page).POST(HttpRequest.BodyPublishers.noBody()).build(),
            HttpResponse.BodyHandlers.discarding())
        .statusCode();
  }

  private static String header(HttpResponse<?> answer, String name) {
    return answer.headers().firstValue(name).orElse("");
  }

  @Test(timeOut = 90_000)
  public void bodiesThatCreepKeepNobodyWaiting() throws Exception {
    List<Socket> slow = new ArrayList<>();
    try {
      for (int i = 0; i < 250; i++) {
        Socket socket = new Socket("127.0.0.1", port);
        socket
            .getOutputStream()
            .write(
                ("POST /api/session HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\n"
                        + "Content-Length: 5000\r\n\r\n{")
                    .getBytes(StandardCharsets.US_ASCII));
        slow.add(socket);
      }
      Api honest = new Api("http://127.0.0.1:" + port);
      long begun = System.nanoTime();
      assertThat(honest.get("/api/session").status()).isEqualTo(200);
      assertThat((System.nanoTime() - begun) / 1_000_000).isLessThan(3_000);
    } finally {
      for (Socket socket : slow) {
        socket.close();
      }
    }
  }

  @Test
  public void aBodyIsBoundedInLengthAndInDepth() throws IOException {
    Map<String, Object> filter = new HashMap<>();
    filter.put("subject", "people");
    filter.put("name", "x".repeat(1_200_000));
    assertThat(api.post("/api/filters", filter).status()).isIn(400, 422);
    assertThat(api.raw("POST", "/api/filters", "[".repeat(200_000)).status()).isEqualTo(400);
    assertThat(api.raw("POST", "/api/filters", " ".repeat(9 << 20) + "{}").status()).isEqualTo(413);
  }

  @Test
  public void whatCannotBeReadIsNamed() {
    Api.Answer nul = api.raw("POST", "/api/lists", "{\"name\": \"a\\u0000b\"}");
    assertThat(nul.status()).isEqualTo(422);
    assertThat(nul.json().get("field").asString()).isEqualTo("name");
    assertThat(nul.json().get("detail").asString()).contains("NUL");
    Api.Answer unknown = api.raw("POST", "/api/lists", "{\"name\": \"a\", \"colour\": \"red\"}");
    assertThat(unknown.status()).isEqualTo(422);
    assertThat(unknown.json().get("detail").asString())
        .isEqualTo("“colour” is not known; leave it out.");
    Api.Answer half = api.raw("POST", "/api/lists", "{\"name\": \"a\\ud83d\"}");
    assertThat(half.json().get("detail").asString()).contains("half of a character");
    assertThat(api.get("/api/outbox?who=%00").status()).isEqualTo(422);
    assertThat(api.get("/api/outbox?afterDue=%2B999999999-12-31T23:59:59Z&afterId=1").status())
        .isEqualTo(400);
    Api.Answer missing =
        api.raw("POST", "/api/people/page", "{\"columns\": [], \"descending\": false}");
    assertThat(missing.status()).isEqualTo(422);
    assertThat(missing.json().get("field").asString()).isEqualTo("who");
    Api.Answer nothing =
        api.raw("POST", "/api/mailings", "{\"parts\": [null], \"picks\": [1], \"leftOut\": []}");
    assertThat(nothing.status()).isEqualTo(422);
    assertThat(nothing.json().get("field").asString()).contains("parts");
  }

  @Test
  public void everyAnswerTellsTheBrowserWhatItMayDo() throws Exception {
    for (String path : List.of("/", "/api/session", "/o/x.gif", "/l/x/0", "/leave/x")) {
      HttpResponse<String> answer = get(path);
      assertThat(header(answer, "X-Content-Type-Options")).as(path).isEqualTo("nosniff");
      assertThat(header(answer, "Referrer-Policy")).as(path).isEqualTo("no-referrer");
      assertThat(header(answer, "Permissions-Policy")).as(path).contains("camera=()");
      assertThat(header(answer, "Content-Security-Policy")).as(path).contains("form-action 'self'");
      assertThat(header(answer, "Strict-Transport-Security")).as(path).isEmpty();
    }
  }

  /** RFC 6797: said over https alone, which only a proxy that is trusted can tell. */
  @Test
  public void behindAProxyThatIsTrustedTheReadersAddressAndSchemeAreBelieved() throws Exception {
    HttpResponse<String> secure = get("/", "X-Forwarded-Proto", "https");
    assertThat(header(secure, "Strict-Transport-Security")).contains("max-age=31536000");
    assertThat(get("/v3/api-docs").statusCode()).isEqualTo(401);
    assertThat(get("/v3/api-docs.yaml").statusCode()).isIn(401, 404);
  }

  /** Of 25 screens the first five end by themselves; the others hear of what changes. */
  @Test(timeOut = 60_000)
  public void oneColleaguesManyScreensDoNotGrowWithoutEnd() {
    Api reed = new Api("http://127.0.0.1:" + port);
    reed.signIn("reed", "lowen-quay");
    List<Stream<String>> open = new ArrayList<>();
    List<CompletableFuture<Void>> ends = new ArrayList<>();
    Set<Integer> hearing = ConcurrentHashMap.newKeySet();
    ExecutorService listening = Executors.newFixedThreadPool(25);
    for (int i = 0; i < 25; i++) {
      int screen = i;
      Stream<String> lines = reed.stream("/api/live").filter(line -> line.contains("mailings"));
      open.add(lines);
      ends.add(
          CompletableFuture.runAsync(() -> lines.forEach(line -> hearing.add(screen)), listening));
    }
    Eventually.holds(() -> assertThat(ends.subList(0, 5)).allMatch(CompletableFuture::isDone));
    long person = addPerson("Ann", "Screen", "ann@screen.example");
    // A change is told once a look before it has been made.
    Eventually.holds(
        () -> {
          draft(List.of(person), "Hello", "<p>Hello</p>");
          assertThat(hearing).containsAll(IntStream.range(5, 25).boxed().toList());
        });
    assertThat(ends.subList(5, 25)).noneMatch(CompletableFuture::isDone);
    open.forEach(Stream::close);
    listening.shutdownNow();
  }

  @Test
  public void aSessionOfNobodyEndsSoon() throws Exception {
    get("/api/session");
    assertThat(
            sql.sql(
                    "select max(max_inactive_interval) from spring_session where principal_name is null")
                .query(Integer.class)
                .single())
        .isLessThanOrEqualTo(900);
  }

  /** An open that comes meanwhile is counted afterwards. */
  @Test(timeOut = 120_000, priority = 1)
  public void whileTheDatabaseIsAwayReadersAreToldSoonAndNoMarkIsLost() throws Exception {
    long person = addPerson("Ann", "Away", "ann@away.example");
    long mailing =
        draft(List.of(person), "Hello", "<p><a href=\"https://quay.example/x\">Look</a></p>");
    release(mailing);
    awaitSettled(mailing);
    String token = messageValue(mailing, person, "token");
    clock.advance(Duration.ofMinutes(5));
    letDatabaseBeThere(false);
    try {
      long begun = System.nanoTime();
      HttpResponse<String> link = get("/l/" + token + "/0");
      assertThat(link.statusCode()).isEqualTo(503);
      assertThat(header(link, "Retry-After")).isNotEmpty();
      assertThat((System.nanoTime() - begun) / 1_000_000).as("ms").isLessThan(5_000);
      assertThat(get("/leave/" + token).statusCode()).isEqualTo(503);
      assertThat(leave(token)).isEqualTo(503);
      String forged = (token.charAt(0) == 'A' ? 'B' : 'A') + token.substring(1);
      assertThat(leave(forged)).as("a forged one is refused without asking").isEqualTo(404);
      assertThat(
              get("/o/" + token + ".gif", "User-Agent", "Mozilla/5.0 (X11) Mail/128").statusCode())
          .isEqualTo(200);
      assertThat(api.get("/api/lists").status()).isEqualTo(503);
    } finally {
      letDatabaseBeThere(true);
    }
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql(
                            "select count(*) from response where cause_id = ? and kind like '%OPENED'")
                        .param(mailing)
                        .query(Long.class)
                        .single())
                .isEqualTo(1));
    assertThat(get("/l/" + token + "/0").statusCode()).isEqualTo(302);
  }
}
