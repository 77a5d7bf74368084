package app.jemble.followup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.response.Arrivals;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Rules of a mailing: written before release, acted on when waits are over, changed, stopped. */
public class FollowRulesTest extends ServerTest {

  private static final ZoneId HOUSE = ZoneId.of("Europe/London");

  private Arrivals arrivals;

  @Override
  protected int people() {
    return 3;
  }

  @Override
  protected Duration readersDay() {
    return Duration.ofDays(30);
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void signIn() {
    api.signIn("orla", "lowen-quay");
    arrivals = new Arrivals(application);
  }

  static Map<String, Object> waiting(String whom, int count, String unit, Map<String, Object> act) {
    Map<String, Object> rule = new HashMap<>();
    rule.put("whom", whom);
    rule.put("waitCount", count);
    rule.put("waitUnit", unit);
    rule.put("except", List.of());
    rule.put("act", act);
    rule.put("body", "<p>Dear {{first_name}}, once more.</p>");
    return rule;
  }

  static Map<String, Object> with(Map<String, Object> rule, String key, Object value) {
    Map<String, Object> changed = new HashMap<>(rule);
    changed.put(key, value);
    return changed;
  }

  static Map<String, Object> tagged(String tag) {
    return Map.of(
        "match",
        "ALL",
        "conditions",
        List.of(Map.of("field", "tags", "operator", "HAS_ANY", "values", List.of(tag))),
        "groups",
        List.of());
  }

  private static final Map<String, Object> SEND = Map.of("kind", "SEND");

  private static Map<String, Object> task(String title) {
    return Map.of("kind", "TASK", "taskKind", "call", "title", title, "dueDays", 1);
  }

  private Api.Answer save(long mailing, List<Map<String, Object>> rules) {
    return api.put("/api/mailings/" + mailing + "/rules", rules);
  }

  /** A mailing with a rule that has left. */
  private long out(long person, String subject, Map<String, Object> rule) {
    long mailing = draft(List.of(person), subject, "<p>First</p>");
    save(mailing, List.of(rule));
    release(mailing);
    awaitSettled(mailing);
    return mailing;
  }

  private JsonNode rules(long mailing) {
    return api.get("/api/mailings/" + mailing + "/rules").json();
  }

  private List<String> people(long mailing, JsonNode rule, String which) {
    List<String> people = new ArrayList<>();
    api.get(
            "/api/mailings/%d/rules/%d/people?which=%s"
                .formatted(mailing, rule.get("id").asLong(), which))
        .json()
        .forEach(p -> people.add(p.get("name").asString() + ": " + p.get("words").asString()));
    return people;
  }

  private void look(long mailing) {
    FollowActs acts = application.getBean(FollowActs.class);
    sql.sql("update follow_rule set look_at = null where mailing_id = ?").param(mailing).update();
    sql.sql("select id from follow_rule where mailing_id = ? and whom is not null order by place")
        .param(mailing)
        .query(Long.class)
        .list()
        .forEach(acts::lookAt);
  }

  private List<String> inThread(String address) {
    return office.delivered().stream()
        .filter(d -> d.to().equals(address))
        .map(d -> header(d.message(), "In-Reply-To"))
        .toList();
  }

  private static String header(jakarta.mail.internet.MimeMessage mail, String name) {
    try {
      String[] values = mail.getHeader(name);
      return values == null ? "" : values[0];
    } catch (jakarta.mail.MessagingException e) {
      throw new IllegalStateException(e);
    }
  }

  /** To the first Monday, eleven in the morning. */
  private Instant toMonday() {
    Instant now = clock.instant();
    LocalDate day = LocalDate.ofInstant(now, HOUSE).plusDays(1);
    while (day.getDayOfWeek() != DayOfWeek.MONDAY) {
      day = day.plusDays(1);
    }
    Instant monday = day.atTime(11, 0).atZone(HOUSE).toInstant();
    clock.advance(Duration.between(now, monday));
    return monday;
  }

  @Test
  public void theQuietAreFollowedUpInTheirThreadAndTheOthersAreNot() throws Exception {
    toMonday();
    Map<String, Long> who = new HashMap<>();
    for (String name : List.of("quiet", "replier", "reader", "member", "leaver", "returned")) {
      who.put(name, addPerson("Q" + name, "Rules", name + "@rules.test"));
    }
    sql.sql("update person set tags = '{committee}' where id = ?")
        .param(who.get("member"))
        .update();
    long mailing = draft(List.copyOf(who.values()), "Slipway", "<p>First</p>");
    api.get("/api/mailings/" + mailing + "/look");
    Api.Answer saved =
        save(
            mailing,
            List.of(
                with(
                    waiting("NO_REPLY", 4, "WORKING_DAYS", SEND),
                    "except",
                    List.of(Map.of("name", "Committee", "filter", tagged("committee")))),
                with(waiting("NO_REPLY", 2, "DAYS", task("Call them")), "after", 1),
                Map.of(
                    "on",
                    "REPLIED",
                    "except",
                    List.of(),
                    "act",
                    Map.of("kind", "TAG", "tag", "answered"))));
    assertThat(saved.status()).as(saved.text()).isEqualTo(200);
    assertThat(saved.json().get(0).get("words").asString())
        .isEqualTo("No reply in 4 working days → another message in the thread");
    assertThat(saved.json().get(1).get("words").asString())
        .isEqualTo("No reply in 2 days after 1. → task “Call them” (call)");

    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    // A day off in that week: the wait is over a day later, on the Monday after it.
    Instant left = clock.instant();
    sql.sql("insert into day_off (day, name) values (?, 'Regatta')")
        .param(LocalDate.ofInstant(left, HOUSE).plusDays(2))
        .update();
    arrivals.reply("replier@rules.test", messageValue(mailing, who.get("replier"), "token"), "Yes");
    arrivals.opened(messageValue(mailing, who.get("reader"), "token"));
    arrivals.left(messageValue(mailing, who.get("leaver"), "token"));
    arrivals.returned("returned@rules.test", messageValue(mailing, who.get("returned"), "token"));

    JsonNode now = rules(mailing);
    assertThat(now.get(0).get("will").asLong()).isEqualTo(2);
    assertThat(now.get(1).get("will").asLong()).isEqualTo(2);
    assertThat(people(mailing, now.get(0), "WILL"))
        .containsExactly("Qquiet Rules: ", "Qreader Rules: ");

    clock.advance(Duration.ofDays(4));
    look(mailing);
    assertThat(rules(mailing).get(0).get("done").asLong()).as("on the Friday").isZero();

    clock.advance(Duration.ofDays(3).plusMinutes(1));
    look(mailing);
    now = rules(mailing);
    assertThat(people(mailing, now.get(0), "DONE"))
        .containsExactlyInAnyOrder(
            "Qquiet Rules: another message", "Qreader Rules: another message");
    assertThat(people(mailing, now.get(0), "NOT"))
        .containsExactlyInAnyOrder(
            "Qreplier Rules: replied in the meantime",
            "Qleaver Rules: left the list in the meantime",
            "Qreturned Rules: the first message came back",
            "Qmember Rules: is among those left out");
    String first = "<" + messageValue(mailing, who.get("quiet"), "token") + "@ternquay.example>";
    Eventually.holds(() -> assertThat(inThread("quiet@rules.test")).containsExactly("", first));
    assertThat(inThread("replier@rules.test")).hasSize(1);

    // The wait of the second rule counts from what the first one sent.
    clock.advance(Duration.ofDays(2).minusMinutes(10));
    look(mailing);
    assertThat(rules(mailing).get(1).get("done").asLong()).isZero();
    String second =
        sql.sql(
                """
                select token from message
                where thread_id is not null and person_id = ?
                """)
            .param(who.get("reader"))
            .query(String.class)
            .single();
    arrivals.reply("reader@rules.test", second, "To the second one");
    clock.advance(Duration.ofMinutes(11));
    look(mailing);
    assertThat(people(mailing, rules(mailing).get(1), "DONE"))
        .containsExactly("Qquiet Rules: the task “Call them”");
    assertThat(
            sql.sql("select person_id from task where title = 'Call them'")
                .query(Long.class)
                .list())
        .containsExactly(who.get("quiet"));
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql("select id from person where tags @> '{answered}'")
                        .query(Long.class)
                        .list())
                .containsExactlyInAnyOrder(who.get("replier"), who.get("reader")));
  }

  @Test
  public void whatIsStoppedDoesNotLeaveAndWhatIsChangedHoldsForTheRest() {
    Instant monday = toMonday();
    long one = addPerson("One", "Stopped", "one@stopped.test");
    long two = addPerson("Two", "Stopped", "two@stopped.test");
    long mailing = draft(List.of(one, two), "Stopped", "<p>First</p>");
    JsonNode saved = save(mailing, List.of(waiting("NOT_OPENED", 3, "HOURS", SEND))).json();
    release(mailing);
    awaitSettled(mailing);
    String stop = "/api/mailings/%d/rules/%d/".formatted(mailing, saved.get(0).get("id").asLong());
    assertThat(api.post(stop + "stop", Map.of()).status()).isEqualTo(200);
    clock.advance(Duration.ofHours(4));
    look(mailing);
    assertThat(rules(mailing).get(0).get("done").asLong()).isZero();
    assertThat(rules(mailing).get(0).get("stopped").asBoolean()).isTrue();

    assertThat(api.post(stop + "go-on", Map.of()).status()).isEqualTo(200);
    Map<String, Object> longer =
        with(
            with(waiting("NOT_OPENED", 6, "HOURS", SEND), "id", saved.get(0).get("id").asLong()),
            "body",
            "<p>Another text</p>");
    assertThat(save(mailing, List.of(longer)).status()).isEqualTo(200);
    look(mailing);
    assertThat(rules(mailing).get(0).get("done").asLong()).as("after four of six hours").isZero();
    assertThat(rules(mailing).get(0).get("first").asString())
        .startsWith(monday.plus(Duration.ofHours(6)).toString().substring(0, 13));
    clock.advance(Duration.ofHours(2).plusMinutes(1));
    look(mailing);
    Eventually.holds(
        () ->
            assertThat(
                    office.delivered().stream()
                        .filter(d -> d.to().endsWith("@stopped.test"))
                        .filter(d -> text(d.message()).contains("Another text"))
                        .count())
                .isEqualTo(2));
    Api.Answer gone = save(mailing, List.of());
    assertThat(gone.status()).isEqualTo(409);
    assertThat(gone.text()).contains("stop it instead");
  }

  private static String text(jakarta.mail.internet.MimeMessage mail) {
    try {
      java.io.ByteArrayOutputStream octets = new java.io.ByteArrayOutputStream();
      mail.writeTo(octets);
      return octets.toString(java.nio.charset.StandardCharsets.UTF_8);
    } catch (java.io.IOException | jakarta.mail.MessagingException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Nobody looks at it before it leaves: a letter with a gap in it does not. */
  @Test
  public void aMessageInWhichSomethingIsMissingIsNotSent() {
    toMonday();
    long nameless = addPerson(null, "Nameless", "nameless@gap.test");
    long mailing = out(nameless, "Gap", waiting("NO_REPLY", 1, "HOURS", SEND));
    clock.advance(Duration.ofHours(2));
    look(mailing);
    assertThat(people(mailing, rules(mailing).get(0), "NOT"))
        .containsExactly("Nameless: has no first name");
  }

  @Test
  public void whoeverMayHaveRepliedIsNotWrittenToBeforeSomebodyHasLooked() {
    toMonday();
    long person = addPerson("May", "Be", "may@be.test");
    long mailing = out(person, "Perhaps", waiting("NO_REPLY", 1, "HOURS", SEND));
    arrivals.stranger("May Be <may@be.test>", "perhaps");
    clock.advance(Duration.ofHours(2));
    look(mailing);
    assertThat(rules(mailing).get(0).get("done").asLong()).isZero();
    sql.sql("update inbound_mail set placed_at = now() where identity like '%perhaps%'").update();
    look(mailing);
    assertThat(rules(mailing).get(0).get("done").asLong()).isEqualTo(1);
  }

  /** The second letter was written by hand; its rules look at the whole thread, as all do. */
  @Test
  public void anAnswerToTheFirstLetterStopsTheRulesOfTheSecond() {
    toMonday();
    long late = addPerson("Late", "Thread", "late@thread.test");
    long quiet = addPerson("Quiet", "Thread", "quiet@thread.test");
    long first = draft(List.of(late, quiet), "Thread", "<p>First</p>");
    release(first);
    awaitSettled(first);
    long second =
        api.post(
                "/api/responses/" + first + "/follow-up",
                Map.of("standings", List.of("NOTHING", "MACHINE_OPENED")))
            .json()
            .get("id")
            .asLong();
    api.put("/api/mailings/" + second, change(second, "Thread", "<p>Second</p>"));
    save(
        second,
        List.of(
            waiting("NO_REPLY", 1, "HOURS", SEND),
            Map.of(
                "on",
                "REPLIED",
                "except",
                List.of(),
                "act",
                Map.of("kind", "TAG", "tag", "late-answer"))));
    release(second);
    awaitSettled(second);
    arrivals.reply("late@thread.test", messageValue(first, late, "token"), "To the first one");
    clock.advance(Duration.ofHours(2));
    look(second);
    assertThat(people(second, rules(second).get(0), "DONE"))
        .containsExactly("Quiet Thread: another message");
    assertThat(people(second, rules(second).get(0), "NOT"))
        .containsExactly("Late Thread: replied in the meantime");
    String before = "<" + messageValue(second, quiet, "token") + "@ternquay.example>";
    Eventually.holds(
        () -> {
          assertThat(inThread("quiet@thread.test")).hasSize(3);
          assertThat(inThread("quiet@thread.test").get(2)).isEqualTo(before);
        });
    Eventually.holds(
        () ->
            assertThat(people(second, rules(second).get(1), "DONE"))
                .containsExactly("Late Thread: the tag “late-answer”"));
  }

  @Test
  public void whoeverIsAwayIsFollowedUpWhenTheyAreBack() {
    toMonday();
    long person = addPerson("Far", "Away", "far@away.test");
    long mailing = out(person, "Away", waiting("NO_REPLY", 1, "HOURS", SEND));
    LocalDate last = LocalDate.ofInstant(clock.instant(), HOUSE).plusDays(2);
    arrivals.away(
        "far@away.test", messageValue(mailing, person, "token"), "I am away until " + last);
    assertThat(
            api.get("/api/responses/latest?mailingId=" + mailing)
                .json()
                .get(0)
                .get("awayUntil")
                .asString())
        .isEqualTo(last.toString());
    clock.advance(Duration.ofDays(2));
    look(mailing);
    assertThat(rules(mailing).get(0).get("done").asLong()).as("on the last day away").isZero();
    clock.advance(Duration.ofDays(1));
    look(mailing);
    assertThat(rules(mailing).get(0).get("done").asLong()).isEqualTo(1);
  }

  @Test
  public void theSenderIsToldAndAFieldIsSetAtOnce() {
    toMonday();
    long person = addPerson("Tell", "Me", "tell@me.test");
    long mailing = draft(List.of(person), "Tell", "<p>First</p>");
    Api.Answer saved =
        save(
            mailing,
            List.of(
                Map.of("on", "OPENED", "except", List.of(), "act", Map.of("kind", "TELL")),
                Map.of(
                    "on",
                    "OPENED",
                    "except",
                    List.of(),
                    "act",
                    Map.of("kind", "SET", "field", "stage", "value", "talking"))));
    assertThat(saved.status()).as(saved.text()).isEqualTo(200);
    release(mailing);
    awaitSettled(mailing);
    clock.advance(Duration.ofMinutes(5));
    String token = messageValue(mailing, person, "token");
    arrivals.opened(token);
    arrivals.opened(token);
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql("select stage from person where id = ?")
                        .param(person)
                        .query(String.class)
                        .single())
                .isEqualTo("talking"));
    Eventually.holds(
        () ->
            assertThat(office.mailbox("orla"))
                .filteredOn(m -> text(m).contains("Tell Me"))
                .hasSize(1));
    List<String> history =
        sql.sql("select words from change_batch order by id desc limit 1")
            .query(String.class)
            .list();
    assertThat(history).containsExactly("After “Test mailing”: stage set to “talking”");
  }

  @Test
  public void wrongRulesAreRefusedInSentences() {
    long person = addPerson("Wrong", "Rule", "wrong@rule.test");
    long mailing = draft(List.of(person), "Wrong", "<p>First</p>");
    Map<String, Object> good = waiting("NO_REPLY", 1, "HOURS", SEND);
    assertThat(save(mailing, List.of(with(good, "waitCount", 0))).text()).contains("1 to 1,000");
    assertThat(save(mailing, List.of(with(good, "body", " "))).text()).contains("Write what");
    assertThat(save(mailing, List.of(with(good, "after", 1))).text()).contains("earlier one");
    assertThat(save(mailing, List.of(with(good, "act", task("")))).status()).isEqualTo(422);
    assertThat(
            save(
                    mailing,
                    List.of(
                        with(
                            good,
                            "act",
                            Map.of("kind", "SET", "field", "stage", "value", "no such"))))
                .status())
        .isEqualTo(422);
    assertThat(
            save(mailing, List.of(Map.of("on", "OPENED", "except", List.of(), "act", SEND))).text())
        .contains("after a wait");
    assertThat(save(mailing, List.of(good, good, good, good, good, good)).text())
        .contains("At most five");
    assertThat(rules(mailing).size()).isZero();

    // A text that cannot be read keeps the mailing from being released, as its own would.
    assertThat(save(mailing, List.of(with(good, "body", "<p>{{no_such_field}}</p>"))).status())
        .isEqualTo(200);
    assertThat(rules(mailing).get(0).get("errors").size()).isEqualTo(1);
    Api.Answer refused = release(mailing);
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.text()).contains("Rule 1");
  }

  @Test
  public void aMailingTakenBackTakesItsRulesWithIt() {
    long person = addPerson("Taken", "Back", "taken@back.test");
    long mailing = draft(List.of(person), "Taken", "<p>First</p>");
    save(mailing, List.of(waiting("NO_REPLY", 1, "HOURS", SEND)));
    sql.sql("update workspace set hold_seconds = 600").update();
    release(mailing);
    sql.sql("update workspace set hold_seconds = 0").update();
    assertThat(api.post("/api/mailings/" + mailing + "/take-back", Map.of()).status())
        .isEqualTo(200);
    assertThat(
            sql.sql("select state from mailing where follows_id = ?")
                .param(mailing)
                .query(String.class)
                .single())
        .isEqualTo("draft");
    assertThat(api.get("/api/mailings").text()).doesNotContain("follow-up 1");
  }
}
