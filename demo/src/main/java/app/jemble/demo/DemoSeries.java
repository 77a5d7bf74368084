package app.jemble.demo;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.NewCause;
import app.jemble.core.followup.WorkingDays;
import app.jemble.core.merge.Blanks;
import app.jemble.core.message.MailWording;
import app.jemble.core.pace.NextOpen;
import app.jemble.core.pace.WeeklyHours;
import app.jemble.core.series.EntryLook;
import app.jemble.core.series.SeriesClock;
import app.jemble.core.series.Steps;
import app.jemble.core.series.WayAhead;
import app.jemble.demo.DemoMailings.Reader;
import app.jemble.demo.DemoMailings.Sent;
import app.jemble.series.StepBody;
import app.jemble.series.starter.Starter;
import app.jemble.series.starter.Starters;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Series of the harbour: two in mid-course, one paused, one whose blanks are still to be filled.
 */
@Component
class DemoSeries {

  private static final ZoneId ZONE = ZoneId.of(DemoLoader.ZONE);

  private static final SeriesClock ANY_TIME =
      new SeriesClock(
          ZONE,
          false,
          new WorkingDays(Set.of(), ZONE),
          List.of(new NextOpen(WeeklyHours.ANY, Set.of())));

  private static final Map<String, String> WELCOME =
      Map.of(
          "[what members can use]", "the slipway, the workshop and the rowing boats",
          "[who helps]", "the desk in the boathouse",
          "[the first thing worth doing]", "Have your boat measured; it takes ten minutes.",
          "[the second thing worth doing]", "Put your name down for a cradle.",
          "[the third thing worth doing]", "Come to a harbour supper, any Thursday.");
  private static final Map<String, String> ASKED_BACK =
      Map.of(
          "[what is new]", "mended the north slip and bought two double sculls",
          "[how to come back for a day]", "any Saturday in the open hours, with or without a boat",
          "[the offer to those who come back]", "the second half of the year at half the dues",
          "[the day it ends]", "the end of next month");
  private static final Map<String, String> RENEWAL =
      Map.of(
          "[where to renew]", "https://lowenquay.example/renew",
          "[what members keep]", "your berth, your key and your place on the slip",
          "[what ends with it]", "your key stops working and the berth is given on",
          "[last day to renew late]", "the 20th of next month");

  /** One in so many has replied to a step, and gets no more. */
  private static final int REPLIES = 6;

  /**
   * A way through a series that has been gone so far.
   *
   * @param passed the last step that has left
   * @param replied whether that ended it
   */
  private record Way(
      long series,
      Reader reader,
      Instant in,
      Long passed,
      Instant at,
      boolean last,
      boolean replied) {}

  private final Starters starters;
  private final CauseChanges causes;
  private final JdbcClient sql;
  private final Clock clock;
  private final List<Way> ways = new ArrayList<>();

  DemoSeries(Starters starters, CauseChanges causes, JdbcClient sql, Clock clock) {
    this.starters = starters;
    this.causes = causes;
    this.sql = sql;
    this.clock = clock;
  }

  /** Makes the series; answers what of them has left to whom. */
  List<Sent> add(List<Reader> readers, long seed) {
    Random random = new Random(seed);
    List<Sent> sent = new ArrayList<>();
    int part = Math.max(1, readers.size() / 20);
    sent.addAll(
        under("Welcome to the harbour", "welcome", WELCOME, readers.subList(0, part), 24, random));
    sent.addAll(
        under(
            "Come back to the water",
            "asked-back",
            ASKED_BACK,
            readers.subList(part, 2 * part),
            30,
            random));
    sent.addAll(
        under(
            "Renewals before summer",
            "renewal",
            RENEWAL,
            readers.subList(2 * part, 3 * part),
            40,
            random));
    series("Nine days of knots, one a day", "learning", Map.of(), "draft");
    return sent;
  }

  private List<Sent> under(
      String name,
      String starter,
      Map<String, String> filled,
      List<Reader> readers,
      int days,
      Random random) {
    Instant now = clock.instant();
    long series = series(name, starter, filled, "active");
    Map<Long, Long> causeOf = causesOf(series);
    Steps steps = steps(series, starter);
    List<Sent> sent = new ArrayList<>();
    for (Reader reader : readers) {
      Instant in = now.minus(Duration.ofMinutes(60 + random.nextInt(days * 24 * 60)));
      EntryLook.Entry entry = new EntryLook.Entry(null, in, in, null, ZONE, Set.of());
      Way way = new Way(series, reader, in, null, in, false, false);
      for (WayAhead.Ahead ahead : WayAhead.of(in, entry, steps, ANY_TIME)) {
        Instant at = ahead.at().orElseThrow().plusSeconds(random.nextInt(90));
        if (at.isAfter(now.minusSeconds(600)) || way.replied()) {
          break;
        }
        long step = ahead.step().id();
        boolean replied = random.nextInt(REPLIES) == 0;
        boolean last = steps.after(step).isEmpty();
        way = new Way(series, reader, in, step, at, last, replied);
        sent.add(new Sent(causeOf.get(step), reader, at, replied));
      }
      ways.add(way);
    }
    return sent;
  }

  /** Notes who is where, once the messages are there. */
  void enter() {
    for (Way way : ways) {
      String state = way.replied() ? "ended" : way.last() ? "finished" : "in";
      Timestamp over = state.equals("in") ? null : Timestamp.from(way.at());
      sql.sql(
              """
              insert into series_entry (series_id, person_id, state, came_by, entered_at,
                                        passed_step_id, passed_at, look_at, ended_at, ended_why)
              values (:series, :person, :state, 'out of a filter', :in, :passed, :at, :look, :over,
                      :why)
              """)
          .param("series", way.series())
          .param("person", way.reader().id())
          .param("state", state)
          .param("in", Timestamp.from(way.in()))
          .param("passed", way.passed())
          .param("at", Timestamp.from(way.at()))
          .param("look", over == null ? Timestamp.from(clock.instant()) : null)
          .param("over", over)
          .param("why", way.replied() ? "replied" : "")
          .update();
    }
    sql.sql(
            """
            insert into series_pass (entry_id, step_id, at, message_id)
            select e.id, s.id, m.sent_at, m.id
            from series_entry e
            join series_step s on s.series_id = e.series_id
            join message m on m.cause_id = s.cause_id and m.person_id = e.person_id
            """)
        .update();
    sql.sql(
            """
            update series set state = 'paused', paused_at = :since
            where name = 'Renewals before summer'
            """)
        .param("since", Timestamp.from(clock.instant().minus(Duration.ofHours(30))))
        .update();
    sql.sql(
            """
            update cause set paused_at = now()
            where id in (select s.cause_id from series_step s
                         join series r on r.id = s.series_id where r.state = 'paused')
            """)
        .update();
  }

  private long series(String name, String starter, Map<String, String> filled, String state) {
    Instant at = clock.instant().minus(Duration.ofDays(45));
    long orla = sql.sql("select id from account where login = 'orla'").query(Long.class).single();
    long topic = sql.sql("select min(id) from topic").query(Long.class).single();
    Starter from = starters.find(starter);
    long id =
        sql.sql(
                """
                insert into series (name, state, topic_id, sender_id, own_clock, created_at,
                                    created_by)
                values (?, ?, ?, ?, ?, ?, ?)
                returning id
                """)
            .params(name, state, topic, orla, from.ownClock(), Timestamp.from(at), orla)
            .query(Long.class)
            .single();
    int place = 0;
    for (Starter.Step step : from.steps()) {
      place++;
      long cause = cause(name, place, step.body(), filled, topic, orla);
      if (state.equals("active")) {
        causes.release(cause, at, at, at);
      }
      sql.sql(
              """
              insert into series_step (series_id, place, cause_id, wait_count, wait_unit, wait_at,
                                       in_thread)
              values (?, ?, ?, ?, ?, ?, ?)
              """)
          .params(
              Arrays.asList(
                  id,
                  place,
                  cause,
                  step.waitCount(),
                  step.waitUnit().name(),
                  step.waitAt(),
                  step.inThread()))
          .update();
    }
    return id;
  }

  private long cause(
      String series,
      int place,
      StepBody body,
      Map<String, String> filled,
      long topic,
      long sender) {
    return causes.create(
        new NewCause(
            Cause.Kind.STEP,
            String.format(Locale.ROOT, "%s, step %d", series, place),
            topic,
            sender,
            false,
            null),
        MailWording.by(
            Blanks.fill(body.subject(), filled),
            Blanks.fillHtml(body.body(), filled),
            null,
            body.promotional()));
  }

  private Map<Long, Long> causesOf(long series) {
    Map<Long, Long> causeOf = new HashMap<>();
    sql.sql("select id, cause_id from series_step where series_id = ?")
        .param(series)
        .query((row, n) -> causeOf.put(row.getLong(1), row.getLong(2)))
        .list();
    return causeOf;
  }

  private Steps steps(long series, String starter) {
    List<Long> ids =
        sql.sql("select id from series_step where series_id = ? order by place")
            .param(series)
            .query(Long.class)
            .list();
    List<Steps.Step> steps = new ArrayList<>();
    for (Starter.Step step : starters.find(starter).steps()) {
      int place = steps.size() + 1;
      steps.add(new Steps.Step(ids.get(place - 1), place, step.waits(), false, 0));
    }
    return new Steps(steps);
  }
}
