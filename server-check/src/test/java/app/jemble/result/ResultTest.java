package app.jemble.result;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jemble.Api;
import app.jemble.ServerTest;
import app.jemble.inbound.Arrivals;
import app.jemble.response.ResponseService;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.sql.Timestamp;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What came of a mailing from several sides; each number opens the people that it counts. */
public class ResultTest extends ServerTest {

  private static final String PAGE = "https://ternquay.example/haul-out";
  private static final String AGENT = "Mozilla/5.0 (X11) Mail/128";

  private final Map<String, Long> who = new HashMap<>();
  private long mailing;

  @Override
  protected int people() {
    return 3;
  }

  @Override
  protected Duration readersDay() {
    return Duration.ofDays(30);
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void aMailingThatWasRead() {
    api.signIn("orla", "lowen-quay");
    for (String name : List.of("ann", "bob", "cat", "dan")) {
      who.put(name, addPerson(name, "Result", name + "@result.test"));
    }
    sql.sql(
            """
            insert into membership (person_id, plan, status, joined_on)
            values (?, 'Sail', 'active', '2020-01-01'), (?, 'Sail', 'active', '2020-01-01')
            """)
        .params(who.get("ann"), who.get("bob"))
        .update();
    sql.sql("update person set tags = '{crew,\"=1+1\"}', time_zone = 'Asia/Tokyo' where id = ?")
        .param(who.get("ann"))
        .update();
    mailing =
        draft(
            List.copyOf(who.values()),
            "Results",
            "<p><a href=\""
                + PAGE
                + "\">Times</a> <a href=\"https://other.example/\">Other</a></p>");
    release(mailing);
    awaitSettled(mailing);
    clock.advance(Duration.ofHours(1));
    ResponseService responses = application.getBean(ResponseService.class);
    new Arrivals(application).opened(token("ann"));
    clock.advance(Duration.ofHours(2));
    responses.clicked(token("ann"), 0, AGENT, "192.0.2.1");
    responses.clicked(token("ann"), 0, AGENT, "192.0.2.1");
    responses.clicked(token("bob"), 0, "curl/8", "192.0.2.1");
    new Arrivals(application).reply("cat@result.test", token("cat"), "Gladly");
    new Arrivals(application).returned("dan@result.test", token("dan"));
  }

  private String token(String name) {
    return messageValue(mailing, who.get(name), "token");
  }

  private JsonNode get(String rest) {
    Api.Answer answer = api.get("/api/responses/" + mailing + rest);
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    return answer.json();
  }

  private List<String> names(String query) {
    List<String> names = new ArrayList<>();
    get("/messages?" + query).forEach(m -> names.add(m.get("name").asString()));
    return names;
  }

  @Test
  public void theCourseAddsUpToTheTally() {
    JsonNode course = get("/course");
    assertThat(course.get("step").asString()).isEqualTo("HOURS");
    JsonNode points = course.get("points");
    assertThat(points.size()).isEqualTo(4);
    assertThat(points.get(0).get("read").asLong()).isZero();
    assertThat(points.get(1).get("read").asLong()).as("after an hour").isEqualTo(1);
    JsonNode last = points.get(3);
    assertThat(last.get("read").asLong()).isEqualTo(2);
    assertThat(last.get("clicked").asLong()).isEqualTo(1);
    assertThat(last.get("replied").asLong()).isEqualTo(1);
  }

  @Test
  public void linksCountPeopleClicksAndSoftwareApart() {
    JsonNode links = get("/links");
    assertThat(links.size()).isEqualTo(2);
    assertThat(links.get(0).get("target").asString()).isEqualTo(PAGE);
    assertThat(links.get(0).get("people").asLong()).isEqualTo(1);
    assertThat(links.get(0).get("clicks").asLong()).isEqualTo(2);
    assertThat(links.get(0).get("machines").asLong()).isEqualTo(1);
    assertThat(links.get(1).get("people").asLong()).isZero();
    assertThat(names("link=" + URLEncoder.encode(PAGE, StandardCharsets.UTF_8)))
        .containsExactly("ann Result");
  }

  @Test
  public void groupsAddUpAndOpenTheirPeople() {
    JsonNode plans = get("/groups?by=PLAN");
    assertThat(plans.size()).isEqualTo(2);
    JsonNode none = plans.get(plans.get(0).get("value").asString().isEmpty() ? 0 : 1);
    JsonNode sail = plans.get(plans.get(0).get("value").asString().isEmpty() ? 1 : 0);
    assertThat(sail.get("label").asString()).isEqualTo("Sail");
    assertThat(sail.get("sent").asLong()).isEqualTo(2);
    assertThat(sail.get("readShare").get("share").asDouble()).isCloseTo(0.5, within(1e-9));
    assertThat(none.get("delivered").asLong()).as("one of two was returned").isEqualTo(1);
    assertThat(names("by=PLAN&value=Sail")).containsExactly("ann Result", "bob Result");
    assertThat(names("by=PLAN&value=")).containsExactly("cat Result", "dan Result");
    assertThat(names("by=TAG&value=crew")).containsExactly("ann Result");
    assertThat(names("by=ZONE&value=Asia/Tokyo")).containsExactly("ann Result");
    assertThat(names("by=ZONE&value=&standings=REPLIED")).containsExactly("cat Result");
    assertThat(names("by=OWNER&value=")).hasSize(4);
    assertThat(get("/groups?by=OWNER").get(0).get("label").asString()).isEqualTo("no owner");
    assertThat(get("/groups?by=TAG").size()).isEqualTo(2);
  }

  @Test
  public void anEarlierMailingStandsBeside() {
    long second = draft(List.of(who.get("ann")), "Later", "<p>Later</p>");
    release(second);
    awaitSettled(second);
    sql.sql("update message set sent_at = sent_at - interval '1 day' where cause_id = ?")
        .param(second)
        .update();
    JsonNode earlier = api.get("/api/responses/" + second + "/earlier").json();
    assertThat(earlier.get(0).get("id").asLong()).isEqualTo(mailing);
    assertThat(earlier.get(0).get("delivered").asLong()).isEqualTo(3);
    assertThat(earlier.get(0).get("readShare").get("share").asDouble())
        .isCloseTo(2.0 / 3, within(1e-9));
    sql.sql(
            """
            insert into response (message_id, cause_id, person_id, kind, at, detail)
            select id, cause_id, person_id, 'REPLIED', sent_at + interval '3 days', ''
            from message where cause_id = ?
            """)
        .param(mailing)
        .update();
    JsonNode same = api.get("/api/responses/" + second + "/earlier").json();
    sql.sql("delete from response where cause_id = ? and at > ?")
        .params(mailing, Timestamp.from(clock.instant().plus(Duration.ofDays(1))))
        .update();
    assertThat(same).as("what came later than this one is old").isEqualTo(earlier);
  }

  @Test
  public void allOfItGoesIntoAFile() {
    Api.Answer file = api.get("/api/responses/" + mailing + "/export");
    assertThat(file.status()).isEqualTo(200);
    assertThat(file.raw().headers().firstValue("Content-Disposition").orElse(""))
        .contains("attachment");
    List<String> rows = file.text().lines().toList();
    assertThat(rows).hasSize(5);
    assertThat(rows.get(0)).contains("Name,Address,State,Stands,Sent");
    assertThat(rows.get(1)).startsWith("ann Result,ann@result.test,sent,\"clicked, no reply\",20");
    assertThat(rows.get(4)).contains("returned").contains("5.1.1");
    Api reader = new Api("http://127.0.0.1:" + port);
    reader.signIn("reed", "lowen-quay");
    assertThat(reader.get("/api/responses/" + mailing + "/export").status()).isEqualTo(403);
  }

  @Test
  public void whatIsPrivateIsTheSendersAlone() {
    sql.sql("update cause set private = true where id = ?").param(mailing).update();
    Api other = new Api("http://127.0.0.1:" + port);
    other.signIn("tomas", "lowen-quay");
    for (String rest :
        List.of("", "/course", "/links", "/groups?by=TAG", "/earlier", "/messages", "/export")) {
      assertThat(other.get("/api/responses/" + mailing + rest).status()).as(rest).isEqualTo(404);
    }
    assertThat(other.get("/api/responses").text()).doesNotContain("\"id\":" + mailing + ",");
    assertThat(other.get("/api/responses/latest?mailingId=" + mailing).json().size()).isZero();
    String between = "/api/people/" + who.get("ann") + "/between";
    assertThat(other.get(between).text()).doesNotContain("Results");
    assertThat(api.get(between).text()).contains("Results");
    String copy = "/api/messages/" + messageValue(mailing, who.get("ann"), "id") + "/eml";
    assertThat(other.get(copy).status()).isEqualTo(404);
    assertThat(api.get(copy).status()).isEqualTo(200);
    String desk = "\"id\":" + mailing + ",";
    assertThat(other.get("/api/desk").json().get("underWay").toString()).doesNotContain(desk);
    assertThat(api.get("/api/desk").json().get("underWay").toString()).contains(desk);
    assertThat(other.get("/api/desk").json().get("decisions").toString())
        .doesNotContain("\"mailingId\":" + mailing + ",");
    sql.sql("update cause set private = false where id = ?").param(mailing).update();
  }

  @Test
  public void whatOfAPrivateMailingCouldNotLeaveIsTheSendersAlone() {
    long waiting = draft(List.of(who.get("bob")), "Between us", "<p>Soon</p>");
    release(waiting);
    awaitSettled(waiting);
    sql.sql("update cause set private = true where id = ?").param(waiting).update();
    sql.sql("update message set state = 'refused', sent_at = null where cause_id = ?")
        .param(waiting)
        .update();
    Api other = new Api("http://127.0.0.1:" + port);
    other.signIn("tomas", "lowen-quay");
    String only = "?mailingId=" + waiting;
    assertThat(api.get("/api/outbox" + only).json().size()).isEqualTo(1);
    assertThat(other.get("/api/outbox" + only).json().size()).isZero();
    assertThat(other.get("/api/outbox/tally" + only).json().get("parts").size()).isZero();
    long message = Long.parseLong(messageValue(waiting, who.get("bob"), "id"));
    for (String act : List.of("withdraw", "try-again", "settle")) {
      assertThat(other.post("/api/outbox/" + message + "/" + act, Map.of("arrived", true)).status())
          .as(act)
          .isEqualTo(404);
    }
    assertThat(api.post("/api/outbox/" + message + "/withdraw", Map.of()).status()).isEqualTo(204);
  }
}
