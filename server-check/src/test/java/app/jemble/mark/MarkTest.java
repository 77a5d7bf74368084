package app.jemble.mark;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
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
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** What readers reach over HTTP: marks, links, the leaving page. */
public class MarkTest extends ServerTest {

  private static final String READER =
      "Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Gecko/20100101 Firefox/128.0";

  private final HttpClient http = HttpClient.newHttpClient();

  @Override
  protected int people() {
    return 10;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
  }

  /** A sent message with one link; answers its token. */
  private String send(String address) {
    return send(address, "<p><a href=\"https://ternquay.example/news?a=1&amp;b=2\">See</a></p>");
  }

  private String send(String address, String body) {
    long person = addPerson("Ann", "Other", address);
    long mailing = draft(List.of(person), "Hello", body);
    release(mailing);
    awaitSettled(mailing);
    return messageValue(mailing, person, "token");
  }

  @Test
  public void whatHasNotDepartedCannotBeOpened() {
    long person = addPerson("Not", "Yet", "not@yet.mark.test");
    long mailing = draft(List.of(person), "Hello", "<p>Hello</p>");
    sql.sql("update workspace set hold_seconds = 3600").update();
    release(mailing);
    sql.sql("update workspace set hold_seconds = 0").update();
    String token = messageValue(mailing, person, "token");
    String departed = send("has@departed.mark.test", "<p>Hello</p>");
    // One after the other, so that both are counted in one go.
    assertThat(ask("GET", "/o/" + token + ".gif", null).statusCode()).isEqualTo(200);
    ask("GET", "/o/" + departed + ".gif", null);
    Eventually.holds(() -> assertThat(kinds(departed)).isNotEmpty());
    assertThat(application.getBean(MarkJournal.class).holdsAny())
        .as("nothing waits that could never be counted")
        .isFalse();
    assertThat(kinds(token)).isEmpty();
  }

  private HttpResponse<String> ask(String method, String path, String agent) {
    try {
      HttpRequest.Builder request =
          HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
              .method(method, HttpRequest.BodyPublishers.noBody());
      if (agent != null) {
        request.header("User-Agent", agent);
      }
      return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private List<String> kinds(String token) {
    return sql.sql(
            """
            select r.kind from response r
            join message s on s.id = r.message_id
            where s.token = ? order by r.id
            """)
        .param(token)
        .query(String.class)
        .list();
  }

  @Test
  public void aScannerWithinSecondsOpensClicksAndLeavesNothing() {
    String token = send("scanned@mark.test");
    ask("GET", "/o/" + token + ".gif", READER);
    ask("GET", "/l/" + token + "/0", READER);
    ask("GET", "/leave/" + token, READER);
    assertThat(kinds(token)).containsExactly("MACHINE_OPENED", "MACHINE_CLICKED");
  }

  /** A scanner that comes later is known by what it does. */
  @Test
  public void whoFollowsEveryLinkWithinSecondsIsAScannerWheneverItComes() {
    String token = send("late-scan@mark.test", "<p>" + link("a") + link("b") + link("c") + "</p>");
    clock.advance(Duration.ofMinutes(20));
    ask("GET", "/o/" + token + ".gif", READER);
    ask("GET", "/l/" + token + "/0", READER);
    ask("GET", "/l/" + token + "/1", READER);
    assertThat(kinds(token)).containsExactly("OPENED", "CLICKED", "CLICKED");
    ask("GET", "/l/" + token + "/2", READER);
    assertThat(kinds(token))
        .containsExactly("MACHINE_OPENED", "MACHINE_CLICKED", "MACHINE_CLICKED", "MACHINE_CLICKED");
    assertThat(messageOf(token)).containsEntry("standing", "MACHINE_OPENED");
    assertThat(messageOf(token)).containsEntry("opened", false).containsEntry("clicked", false);

    // One that begins while the message is being delivered, and ends a moment later.
    String across = send("across@mark.test", "<p>" + link("a") + link("b") + link("c") + "</p>");
    clock.advance(Duration.ofSeconds(2));
    ask("GET", "/l/" + across + "/0", READER);
    clock.advance(Duration.ofSeconds(4));
    ask("GET", "/l/" + across + "/1", READER);
    ask("GET", "/l/" + across + "/2", READER);
    assertThat(kinds(across)).containsOnly("MACHINE_CLICKED");

    // A reader who takes their time, or comes back, is a reader.
    clock.advance(Duration.ofMinutes(1));
    ask("GET", "/l/" + token + "/0", READER);
    clock.advance(Duration.ofSeconds(6));
    ask("GET", "/l/" + token + "/1", READER);
    ask("GET", "/l/" + token + "/2", READER);
    assertThat(kinds(token)).endsWith("CLICKED", "CLICKED", "CLICKED");
    assertThat(messageOf(token)).containsEntry("standing", "CLICKED");
  }

  private static String link(String page) {
    return "<a href=\"https://ternquay.example/" + page + "\">" + page + "</a> ";
  }

  private Map<String, Object> messageOf(String token) {
    return sql.sql("select standing, opened, clicked from message where token = ?")
        .param(token)
        .query()
        .singleRow();
  }

  @Test
  public void aReaderLaterOpensAndFollowsTheLinkToWhereItLed() {
    String token = send("read@mark.test");
    clock.advance(Duration.ofMinutes(5));
    HttpResponse<String> mark = ask("GET", "/o/" + token + ".gif", READER);
    assertThat(mark.headers().firstValue("Content-Type")).contains("image/gif");
    assertThat(mark.headers().firstValue("Cache-Control")).contains("no-store");
    HttpResponse<String> link = ask("GET", "/l/" + token + "/0", READER);
    assertThat(link.statusCode()).isEqualTo(302);
    assertThat(link.headers().firstValue("Location"))
        .contains("https://ternquay.example/news?a=1&b=2");
    assertThat(kinds(token)).containsExactly("OPENED", "CLICKED");
  }

  private static Map<String, Object> counting(
      int within, int burst, List<String> agents, List<String> ranges) {
    return Map.of(
        "withinSeconds", within, "burstSeconds", burst, "agents", agents, "ranges", ranges);
  }

  @Test
  public void administratorsTuneWhatIsTakenForSoftware() {
    Api wilma = new Api("http://127.0.0.1:" + port);
    wilma.signIn("wilma", "lowen-quay");
    Map<String, Object> rules = counting(600, 5, List.of("bot"), List.of());
    assertThat(api.put("/api/counting", rules).status()).as("not an administrator").isEqualTo(403);
    assertThat(wilma.put("/api/counting", rules).status()).isEqualTo(200);
    String slow = send("slow@mark.test");
    clock.advance(Duration.ofMinutes(9));
    ask("GET", "/o/" + slow + ".gif", READER);
    clock.advance(Duration.ofMinutes(2));
    ask("GET", "/l/" + slow + "/0", READER);
    assertThat(kinds(slow)).containsExactly("MACHINE_OPENED", "CLICKED");

    wilma.put("/api/counting", counting(0, 5, List.of(), List.of("127.0.0.0/8")));
    String near = send("near@mark.test");
    clock.advance(Duration.ofMinutes(5));
    ask("GET", "/o/" + near + ".gif", READER);
    assertThat(kinds(near)).containsExactly("MACHINE_OPENED");

    Map<String, Object> wrong = counting(5, 5, List.of(), List.of("mail.example"));
    assertThat(wilma.put("/api/counting", wrong).status()).isEqualTo(422);
    Map<String, Object> endless = counting(5, 61, List.of(), List.of());
    assertThat(wilma.put("/api/counting", endless).status()).isEqualTo(422);
    wilma.put("/api/counting", counting(5, 5, List.of("bot"), List.of(" ")));
    assertThat(api.get("/api/counting").json().get("ranges").isEmpty()).isTrue();
  }

  @Test
  public void noAddressLeadsAnywhereThatWasNotInTheMessage() {
    String token = send("redirect@mark.test");
    for (String path :
        List.of(
            "/l/" + token + "/1",
            "/l/" + token + "/-1",
            "/l/" + token + "/999999",
            "/l/AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA/0",
            "/leave/AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA")) {
      assertThat(ask("GET", path, READER).statusCode()).as(path).isEqualTo(404);
    }
    assertThat(ask("GET", "/l/" + token + "/https://evil.example", READER).statusCode())
        .isGreaterThanOrEqualTo(400);
  }

  @Test
  public void aForgedMarkCountsNothingAndTellsNothing() {
    String token = send("forged@mark.test");
    String forged = (token.charAt(0) == 'A' ? 'B' : 'A') + token.substring(1);
    HttpResponse<String> genuine = ask("GET", "/o/" + token + ".gif", READER);
    HttpResponse<String> other = ask("GET", "/o/" + forged + ".gif", READER);
    assertThat(other.statusCode()).isEqualTo(genuine.statusCode());
    assertThat(other.body()).isEqualTo(genuine.body());
    assertThat(kinds(token)).hasSize(1);
  }

  @Test
  public void fetchingTheLeavingPageChangesNothingAndOneClickLeaves() {
    String token = send("leaves@mark.test");
    clock.advance(Duration.ofMinutes(5));
    HttpResponse<String> page = ask("GET", "/leave/" + token, READER);
    assertThat(page.body())
        .contains("What would you like to hear about?")
        .contains("Tern Quay Boatyard");
    assertThat(kinds(token)).isEmpty();
    assertThat(ask("POST", "/leave/" + token, READER).body()).contains("You have left the list");
    ask("POST", "/leave/" + token, READER);
    assertThat(kinds(token)).containsExactly("LEFT");
    assertThat(
            sql.sql(
                    """
                    select count(*) from topic_left t
                    join message s on s.person_id = t.person_id where s.token = ?
                    """)
                .param(token)
                .query(Long.class)
                .single())
        .isEqualTo(1);
  }

  @Test
  public void nobodyTakesAReadersOwnChoiceBack() {
    String token = send("own@choice.mark.test");
    form(token, "choice=nothing");
    long act =
        sql.sql("select max(id) from change_batch where by_id is null").query(Long.class).single();
    Api.Answer refused = api.post("/api/changes/" + act + "/undo", Map.of());
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.json().get("detail").asString()).contains("the person's own choice");
  }

  private String form(String token, String body) {
    try {
      return http.send(
              HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/leave/" + token))
                  .header("Content-Type", "application/x-www-form-urlencoded")
                  .POST(HttpRequest.BodyPublishers.ofString(body))
                  .build(),
              HttpResponse.BodyHandlers.ofString())
          .body();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private List<Long> left(String address) {
    return sql.sql(
            """
            select t.topic_id from topic_left t
            join person p on p.id = t.person_id where p.email = ? order by 1
            """)
        .param(address)
        .query(Long.class)
        .list();
  }

  @Test
  public void topicsAreChosenAndOnlyTheReaderComesBack() {
    String token = send("topics@mark.test");
    List<Long> topics = sql.sql("select id from topic order by id").query(Long.class).list();
    String first = "get=" + topics.get(0);
    String page = form(token, "choice=topics&get=" + topics.get(1));
    assertThat(page).contains("Your choice is saved");
    assertThat(left("topics@mark.test")).containsExactly(topics.get(0), topics.get(2));
    assertThat(kinds(token)).as("the topic of the message").containsExactly("LEFT");

    assertThat(form(token, "choice=nothing")).contains("You have asked for no mail at all");
    assertThat(reach("topics@mark.test")).isEqualTo("ASKED_NOT");
    assertThat(
            sql.sql("select words from change_batch order by id desc limit 1")
                .query(String.class)
                .single())
        .isEqualTo("Asked for no mail at all");
    long own =
        sql.sql("select max(id) from change_batch where by_id is null").query(Long.class).single();
    Api administrator = new Api("http://127.0.0.1:" + port);
    administrator.signIn("wilma", "lowen-quay");
    Api.Answer undone = administrator.post("/api/changes/" + own + "/undo", Map.of());
    assertThat(undone.status()).isEqualTo(409);
    assertThat(undone.text()).contains("the person's own choice");
    assertThat(reach("topics@mark.test")).isEqualTo("ASKED_NOT");

    form(token, "choice=topics&" + first);
    assertThat(reach("topics@mark.test")).isEqualTo("READY");
    assertThat(left("topics@mark.test")).containsExactly(topics.get(1), topics.get(2));
    // What is made up changes nothing.
    assertThat(form(token, "choice=topics&" + first + "&get=999999")).contains("saved");
    assertThat(form("AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA", "choice=nothing"))
        .isEqualTo("There is nothing here.");
  }

  private String reach(String address) {
    return sql.sql("select reach from person where email = ?")
        .param(address)
        .query(String.class)
        .single();
  }

  /** The one click of mail readers (RFC 8058 section 3.2), as they send it. */
  @Test
  public void theOneClickOfAMailReaderLeavesTheTopicOfTheMessage() {
    String token = send("oneclick@mark.test");
    assertThat(form(token, "List-Unsubscribe=One-Click")).contains("You have left the list");
    assertThat(left("oneclick@mark.test")).hasSize(1);
  }
}
