package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.Mails;
import app.jemble.ServerTest;
import app.jemble.inbound.Arrivals;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import tools.jackson.databind.JsonNode;

/** Series on quiet Mondays, without readers; time goes on where the trial says. */
abstract class SeriesTrial extends ServerTest {

  static final ZoneId HOUSE = ZoneId.of("Europe/London");

  Arrivals arrivals;
  private int named;

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
    sql.sql("update sending_rules set hours = null").update();
  }

  /** A step that waits so many days, or leaves at once. */
  static Map<String, Object> step(int days, String subject) {
    Map<String, Object> step = new HashMap<>();
    step.put("waitCount", days);
    step.put("waitUnit", days == 0 ? "MINUTES" : "DAYS");
    step.put("waitAt", null);
    step.put("inThread", false);
    step.put("meant", List.of());
    step.put("subject", subject);
    step.put("body", "<p>Dear {{first_name or \"friend\"}}, " + subject + ".</p>");
    step.put("letterheadId", null);
    step.put("promotional", false);
    return step;
  }

  static Map<String, Object> with(Map<String, Object> step, String what, Object value) {
    Map<String, Object> changed = new HashMap<>(step);
    changed.put(what, value);
    return changed;
  }

  @SafeVarargs
  final long series(Map<String, Object>... steps) {
    Api.Answer begun = api.post("/api/series", Map.of("name", "Series " + ++named, "topicId", 1));
    assertThat(begun.status()).as(begun.text()).isEqualTo(200);
    long id = begun.json().get("id").asLong();
    for (Map<String, Object> step : steps) {
      assertThat(api.post(path(id) + "/steps", step).status()).isEqualTo(200);
    }
    return id;
  }

  @SafeVarargs
  final long active(Map<String, Object>... steps) {
    long id = series(steps);
    Api.Answer active = api.post(path(id) + "/activate", Map.of());
    assertThat(active.status()).as(active.text()).isEqualTo(200);
    return id;
  }

  static String path(long series) {
    return "/api/series/" + series;
  }

  final int letIn(long series, Long... people) {
    Map<String, Object> who = new HashMap<>();
    who.put("filter", null);
    who.put("people", List.of(people));
    Api.Answer in = api.post(path(series) + "/people", who);
    assertThat(in.status()).as(in.text()).isEqualTo(200);
    return in.json().get("in").asInt();
  }

  /** Everyone who is to be looked at is, and what is due has left. */
  final void look(long series) {
    Eventually.holds(
        () -> {
          application.getBean(SeriesRun.class).lookAt(series);
          assertThat(toDo(series)).isZero();
        });
  }

  private long toDo(long series) {
    return sql.sql(
            """
            select (select count(*) from series_entry e join series s on s.id = e.series_id
                    where s.id = :id and s.state = 'active' and e.state = 'in'
                      and e.look_at <= :now)
                 + (select count(*) from message m join series_step s on s.cause_id = m.cause_id
                    where s.series_id = :id and m.state = 'waiting')
            """)
        .param("id", series)
        .param("now", java.sql.Timestamp.from(clock.instant()))
        .query(Long.class)
        .single();
  }

  /** Goes on by so many days and looks. */
  final void after(Duration time, long series) {
    clock.advance(time);
    look(series);
  }

  /** The subjects of what somebody got, in order. */
  final List<String> got(String address) {
    return office.delivered().stream()
        .filter(d -> d.to().equals(address))
        .map(d -> Mails.header(d.message(), "Subject"))
        .toList();
  }

  final JsonNode steps(long series) {
    return api.get(path(series)).json().get("steps");
  }

  final long stepId(long series, int place) {
    return steps(series).get(place - 1).get("id").asLong();
  }

  final JsonNode somebody(long series, long person) {
    return api.get(path(series) + "/people")
        .json()
        .valueStream()
        .filter(p -> p.get("personId").asLong() == person)
        .reduce((one, later) -> later)
        .orElseThrow();
  }

  /** Why a step passed somebody without a message. */
  final String why(long series, long person, int place) {
    return sql.sql(
            """
            select p.why from series_pass p
            join series_entry e on e.id = p.entry_id
            join series_step s on s.id = p.step_id
            where e.series_id = ? and e.person_id = ? and s.place = ? and p.message_id is null
            """)
        .params(series, person, place)
        .query(String.class)
        .optional()
        .orElse(null);
  }

  /** To the next Monday, eleven in the morning. */
  final Instant toMonday() {
    return clock.toMonday(HOUSE);
  }
}
