package app.jemble.followup;

import app.jemble.Api;
import app.jemble.Mails;
import app.jemble.ServerTest;
import app.jemble.inbound.Arrivals;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import tools.jackson.databind.JsonNode;

/** Mailings with rules, on quiet Mondays without holidays and without readers. */
abstract class RulesTrial extends ServerTest {

  static final ZoneId HOUSE = ZoneId.of("Europe/London");

  Arrivals arrivals;

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

  final Api.Answer save(long mailing, List<Map<String, Object>> rules) {
    return api.put("/api/mailings/" + mailing + "/rules", rules);
  }

  /** A mailing with a rule that has left. */
  final long out(long person, String subject, Map<String, Object> rule) {
    long mailing = draft(List.of(person), subject, "<p>First</p>");
    save(mailing, List.of(rule));
    release(mailing);
    awaitSettled(mailing);
    return mailing;
  }

  final JsonNode rules(long mailing) {
    return api.get("/api/mailings/" + mailing + "/rules").json();
  }

  final List<String> people(long mailing, JsonNode rule, String which) {
    List<String> people = new ArrayList<>();
    api.get(
            String.format(
                Locale.ROOT,
                "/api/mailings/%d/rules/%d/people?which=%s",
                mailing,
                rule.get("id").asLong(),
                which))
        .json()
        .forEach(p -> people.add(p.get("name").asString() + ": " + p.get("words").asString()));
    return people;
  }

  final void look(long mailing) {
    FollowActs acts = application.getBean(FollowActs.class);
    sql.sql("update follow_rule set look_at = null where mailing_id = ?").param(mailing).update();
    sql.sql("select id from follow_rule where mailing_id = ? and whom is not null order by place")
        .param(mailing)
        .query(Long.class)
        .list()
        .forEach(acts::lookAt);
  }

  final List<String> inThread(String address) {
    return office.delivered().stream()
        .filter(d -> d.to().equals(address))
        .map(d -> Mails.header(d.message(), "In-Reply-To"))
        .toList();
  }

  /** To the first Monday, eleven in the morning. */
  final Instant toMonday() {
    return clock.toMonday(HOUSE);
  }
}
