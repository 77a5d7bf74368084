package app.jemble.followup;

import static app.jemble.followup.RuleBodies.SEND;
import static app.jemble.followup.RuleBodies.atOnce;
import static app.jemble.followup.RuleBodies.tagged;
import static app.jemble.followup.RuleBodies.task;
import static app.jemble.followup.RuleBodies.waiting;
import static app.jemble.followup.RuleBodies.with;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.Mails;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Rules of a mailing: written before release, acted on when waits are over, changed, stopped. */
public class FollowRulesTest extends RulesTrial {

  @Test
  public void aRuleThatSomebodyAddedMeanwhileStaysBehindOnesOwn() {
    long mailing =
        draft(List.of(addPerson("Two", "Tabs", "two@tabs.example")), "Two at once", "<p>First</p>");
    String path = "/api/mailings/" + mailing + "/rules?newest=";
    Map<String, Object> theirs = waiting("NO_REPLY", 3, "DAYS", task("Call them"));
    Map<String, Object> mine = waiting("NO_REPLY", 5, "DAYS", task("Write to them"));
    assertThat(api.put(path + 0, List.of(theirs)).status()).isEqualTo(200);
    assertThat(api.put(path + 0, List.of(mine)).status()).isEqualTo(200);
    assertThat(titles(mailing)).containsExactly("Write to them", "Call them");
    long newest = rules(mailing).valueStream().mapToLong(r -> r.get("id").asLong()).max().orElse(0);
    assertThat(api.put(path + newest, List.of(mine)).status()).isEqualTo(200);
    assertThat(titles(mailing)).as("what was seen and is not wanted is gone").hasSize(1);
  }

  private List<String> titles(long mailing) {
    return rules(mailing).valueStream().map(r -> r.get("act").get("title").asString()).toList();
  }

  @Test
  public void theQuietAreFollowedUpInTheirThreadAndTheOthersAreNot() throws Exception {
    toMonday();
    Map<String, Long> who = peopleOfAllKinds();
    long mailing = draft(List.copyOf(who.values()), "Slipway", "<p>First</p>");
    api.get("/api/mailings/" + mailing + "/check");
    threeRules(mailing);
    assertThat(release(mailing).status()).isEqualTo(200);
    awaitSettled(mailing);
    // A day off in that week: the wait is over a day later, on the Monday after it.
    Instant left = clock.instant();
    sql.sql("insert into day_off (day, name) values (?, 'Regatta')")
        .param(LocalDate.ofInstant(left, HOUSE).plusDays(2))
        .update();
    eachResponds(mailing, who);
    theFirstRuleActs(mailing, who);
    theSecondCountsFromWhatTheFirstSent(mailing, who);
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql("select id from person where tags @> '{answered}'")
                        .query(Long.class)
                        .list())
                .containsExactlyInAnyOrder(who.get("replier"), who.get("reader")));
  }

  private Map<String, Long> peopleOfAllKinds() {
    Map<String, Long> who = new HashMap<>();
    for (String name : List.of("quiet", "replier", "reader", "member", "leaver", "returned")) {
      who.put(name, addPerson("Q" + name, "Rules", name + "@rules.test"));
    }
    sql.sql("update person set tags = '{committee}' where id = ?")
        .param(who.get("member"))
        .update();
    return who;
  }

  private void threeRules(long mailing) {
    Api.Answer saved =
        save(
            mailing,
            List.of(
                with(
                    waiting("NO_REPLY", 4, "WORKING_DAYS", SEND),
                    "except",
                    List.of(Map.of("name", "Committee", "filter", tagged("committee")))),
                with(waiting("NO_REPLY", 2, "DAYS", task("Call them")), "after", 1),
                atOnce("REPLIED", Map.of("kind", "TAG", "tag", "answered"))));
    assertThat(saved.status()).as(saved.text()).isEqualTo(200);
    assertThat(saved.json().get(0).get("words").asString())
        .isEqualTo("No reply in 4 working days → another message in the thread");
    assertThat(saved.json().get(1).get("words").asString())
        .isEqualTo("No reply in 2 days after 1. → task “Call them” (call)");
  }

  private void eachResponds(long mailing, Map<String, Long> who) {
    arrivals.reply("replier@rules.test", messageValue(mailing, who.get("replier"), "token"), "Yes");
    arrivals.opened(messageValue(mailing, who.get("reader"), "token"));
    arrivals.left(messageValue(mailing, who.get("leaver"), "token"));
    arrivals.returned("returned@rules.test", messageValue(mailing, who.get("returned"), "token"));
  }

  private void theFirstRuleActs(long mailing, Map<String, Long> who) {
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
    // Time goes on once what was delivered is noted as sent.
    Eventually.holds(
        () ->
            assertThat(
                    sql.sql(
                            "select count(*) from message where thread_id is not null"
                                + " and sent_at is not null and person_id in (?, ?)")
                        .params(who.get("quiet"), who.get("reader"))
                        .query(Long.class)
                        .single())
                .isEqualTo(2));
  }

  private void theSecondCountsFromWhatTheFirstSent(long mailing, Map<String, Long> who) {
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
    String stop =
        String.format(
            Locale.ROOT, "/api/mailings/%d/rules/%d/", mailing, saved.get(0).get("id").asLong());
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
                        .filter(d -> Mails.whole(d.message()).contains("Another text"))
                        .count())
                .isEqualTo(2));
    Api.Answer gone = save(mailing, List.of());
    assertThat(gone.status()).isEqualTo(409);
    assertThat(gone.text()).contains("stop it instead");
  }

  @Test
  public void aForecastGoesByTheHoursInWhichMailMayLeave() {
    Instant monday = toMonday();
    long person = addPerson("Late", "Night", "late@night.test");
    sql.sql("update person set time_zone = 'Australia/Sydney' where id = ?").param(person).update();
    long mailing = draft(List.of(person), "Night", "<p>First</p>");
    save(
        mailing,
        List.of(
            waiting("NO_REPLY", 10, "HOURS", SEND),
            waiting("NOT_OPENED", 10, "HOURS", task("Ring"))));
    sql.sql(
            """
            insert into send_plan (cause_id, plan)
            select id, '{"startOwn": false, "waveGapSeconds": 900, "ownClock": false, "hours": [
              {"day": "MONDAY", "from": 480, "to": 1080},
              {"day": "TUESDAY", "from": 480, "to": 1080}]}'
            from cause
            where id = ?
            on conflict (cause_id) do update set plan = excluded.plan
            """)
        .param(mailing)
        .update();
    release(mailing);
    awaitSettled(mailing);
    Instant tuesday = monday.plus(Duration.ofHours(21));
    assertThat(first(mailing, 0)).as("at eight on Tuesday").isEqualTo(tuesday);
    assertThat(first(mailing, 1)).isBetween(monday.plus(Duration.ofHours(10)), tuesday);
  }

  private Instant first(long mailing, int rule) {
    return Instant.parse(rules(mailing).get(rule).get("first").asString());
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
            atOnce("REPLIED", Map.of("kind", "TAG", "tag", "late-answer"))));
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
    assertThat(save(mailing, List.of(atOnce("OPENED", SEND))).text()).contains("after a wait");
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
  public void aWithdrawnMailingsRulesStop() {
    long person = addPerson("With", "Drawn", "with@drawn.test");
    long mailing = draft(List.of(person), "Withdrawn", "<p>First</p>");
    save(mailing, List.of(waiting("NO_REPLY", 1, "DAYS", task("Call"))));
    release(mailing);
    awaitSettled(mailing);
    assertThat(rules(mailing).get(0).get("stopped").asBoolean()).isFalse();
    api.post("/api/mailings/" + mailing + "/withdraw", Map.of());
    assertThat(rules(mailing).get(0).get("stopped").asBoolean()).isTrue();
  }

  /** A rule that sends no more leaves no text behind, which nothing would ever send. */
  @Test
  public void aRuleThatSendsNoMoreLeavesNoTextBehind() {
    long person = addPerson("No", "Text", "no@text.test");
    long mailing = draft(List.of(person), "Texts", "<p>First</p>");
    long rule =
        save(mailing, List.of(waiting("NO_REPLY", 1, "DAYS", SEND)))
            .json()
            .get(0)
            .get("id")
            .asLong();
    assertThat(textsOf(mailing)).isEqualTo(1);
    save(mailing, List.of(with(waiting("NO_REPLY", 1, "DAYS", task("Call")), "id", rule)));
    assertThat(textsOf(mailing)).isZero();
  }

  private long textsOf(long mailing) {
    return sql.sql("select count(*) from cause where follows_id = ?")
        .param(mailing)
        .query(Long.class)
        .single();
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
            sql.sql("select state from cause where follows_id = ?")
                .param(mailing)
                .query(String.class)
                .single())
        .isEqualTo("draft");
    assertThat(api.get("/api/mailings").text()).doesNotContain("follow-up 1");
  }
}
