package app.jemble.series.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * At most one message an entry and step; nobody after they replied, left, were returned, were taken
 * out or came to match what ends it, at the same second included; and at the end everyone has had
 * every step that was meant for them, or there is a reason. Two processes run a series while it is
 * edited and paused, people respond at random, acts die before they are kept, and time jumps.
 */
public class NobodyForgottenTest extends SeriesTrial {

  private static final int PEOPLE = 24;
  private static final int ROUNDS = 18;

  private final Map<Long, Instant> stopped = Collections.synchronizedMap(new HashMap<>());

  @DataProvider
  public Object[][] seeds() {
    return new Object[][] {{1}, {2}, {3}, {4}, {5}};
  }

  @Test(dataProvider = "seeds")
  public void eachGetsWhatIsMeantForThemOnceOrAReason(int seed) {
    Random random = new Random(seed);
    Map<Long, String> people = new LinkedHashMap<>();
    for (int i = 0; i < PEOPLE; i++) {
      String address = String.format(Locale.ROOT, "s%d.%d@forgotten.test", seed, i);
      people.put(addPerson("P" + i, "Forgotten " + seed, address), address);
    }
    String tag = "gone-" + seed;
    long series = active(step(0, "One"), step(1, "Two"), step(1, "Three"), step(2, "Four"));
    endsFor(series, tag);
    try (ConfigurableApplicationContext second = start()) {
      List<Long> outside = new ArrayList<>(people.keySet());
      List<Long> inside = new ArrayList<>();
      Collections.shuffle(outside, random);
      for (int round = 0; round < ROUNDS; round++) {
        clock.advance(Duration.ofHours(1 + random.nextInt(9)));
        List<CompletableFuture<?>> atOnce = new ArrayList<>();
        // Somebody who is on their way in is not in it yet.
        List<Long> enter = List.copyOf(outside.subList(0, Math.min(3, outside.size())));
        outside.removeAll(enter);
        enter.forEach(
            person -> atOnce.add(CompletableFuture.runAsync(() -> letIn(series, person))));
        if (round > 3 && inside.size() > PEOPLE / 2) {
          long person = inside.remove(random.nextInt(inside.size()));
          Random how = new Random(random.nextLong());
          String address = people.get(person);
          atOnce.add(CompletableFuture.runAsync(() -> stop(series, person, address, tag, how)));
        }
        atOnce.addAll(looks(List.of(application, second), series, random));
        CompletableFuture.allOf(atOnce.toArray(CompletableFuture<?>[]::new)).join();
        inside.addAll(enter);
        change(series, round);
      }
    }
    while (someWait(series)) {
      clock.advance(Duration.ofHours(9));
      look(series);
    }
    nobodyTwice(series);
    nobodyTooLate(series);
    nobodyForgotten(series);
  }

  private static List<CompletableFuture<?>> looks(
      List<ConfigurableApplicationContext> processes, long series, Random random) {
    List<CompletableFuture<?>> looks = new ArrayList<>();
    for (ConfigurableApplicationContext process : processes) {
      if (random.nextInt(4) == 0) {
        dieLooking(process, series);
      }
      looks.add(CompletableFuture.runAsync(() -> process.getBean(SeriesRun.class).lookAt(series)));
    }
    return looks;
  }

  /** As a process that is killed before what it did is kept. */
  private static void dieLooking(ConfigurableApplicationContext process, long series) {
    process
        .getBean(TransactionTemplate.class)
        .executeWithoutResult(
            tx -> {
              process.getBean(SeriesRun.class).lookAt(series);
              tx.setRollbackOnly();
            });
  }

  /** Whoever gets the tag is out. */
  private void endsFor(long series, String tag) {
    String ends =
        """
        [{"name": "gone", "filter": {"match": "ALL", "groups": [], "conditions":
          [{"field": "tags", "operator": "HAS_ANY", "values": ["TAG"]}]}}]
        """;
    sql.sql("update series set ends_parts = ?::jsonb where id = ?")
        .params(ends.replace("TAG", tag), series)
        .update();
  }

  private void stop(long series, long person, String address, String tag, Random by) {
    List<String> tokens =
        sql.sql(
                """
                select m.token from message m join series_step s on s.cause_id = m.cause_id
                where s.series_id = ? and m.person_id = ? and m.state = 'sent'
                """)
            .params(series, person)
            .query(String.class)
            .list();
    switch (tokens.isEmpty() ? 3 + by.nextInt(2) : by.nextInt(5)) {
      case 0 -> arrivals.reply(address, tokens.get(by.nextInt(tokens.size())), "Here I am");
      case 1 -> arrivals.left(tokens.get(0));
      case 2 -> arrivals.returned(address, tokens.get(0));
      case 3 ->
          sql.sql("update person set tags = array[?] where id = ?").params(tag, person).update();
      default ->
          assertThat(
                  api.post(path(series) + "/people/out", Map.of("people", List.of(person)))
                      .status())
              .isEqualTo(200);
    }
    stopped.putIfAbsent(person, clock.instant());
  }

  /** Edits, a step put in, one taken away, a pause. */
  private void change(long series, int round) {
    int status =
        switch (round) {
          case 4 ->
              api.put(path(series) + "/steps/" + stepId(series, 2), step(2, "Two anew")).status();
          case 6 -> api.post(path(series) + "/pause", Map.of()).status();
          case 7 -> api.post(path(series) + "/go-on", Map.of("waitsStoodStill", true)).status();
          case 9 -> {
            String before = path(series) + "/steps?before=" + stepId(series, 3);
            yield api.post(before, step(0, "Between")).status();
          }
          case 13 -> api.delete(path(series) + "/steps/" + stepId(series, 5)).status();
          default -> 200;
        };
    assertThat(status).as("change of round %d", round).isEqualTo(200);
  }

  private boolean someWait(long series) {
    return sql.sql("select exists (select from series_entry where series_id = ? and state = 'in')")
        .param(series)
        .query(Boolean.class)
        .single();
  }

  private void nobodyTwice(long series) {
    assertThat(
            sql.sql(
                    """
                    select m.person_id || ' step ' || s.id
                    from message m join series_step s on s.cause_id = m.cause_id
                    where s.series_id = ?
                    group by m.person_id, s.id
                    having count(*) > 1
                    """)
                .param(series)
                .query(String.class)
                .list())
        .isEmpty();
  }

  private void nobodyTooLate(long series) {
    List<Map<String, Object>> sent =
        sql.sql(
                """
                select m.person_id, m.first_try_at from message m
                join series_step s on s.cause_id = m.cause_id
                where s.series_id = ? and m.state = 'sent'
                """)
            .param(series)
            .query()
            .listOfRows();
    assertThat(sent).hasSizeGreaterThan(2 * PEOPLE);
    for (Map<String, Object> message : sent) {
      Instant told = stopped.get((Long) message.get("person_id"));
      Instant left = ((Timestamp) message.get("first_try_at")).toInstant();
      assertThat(told == null || !left.isAfter(told))
          .as("%s left at %s, stopped at %s", message, left, told)
          .isTrue();
    }
  }

  private long entries(long series, String which) {
    return sql.sql("select count(*) from series_entry where series_id = ? and " + which)
        .param(series)
        .query(Long.class)
        .single();
  }

  private void nobodyForgotten(long series) {
    assertThat(entries(series, "true")).isEqualTo(PEOPLE);
    assertThat(entries(series, "state = 'ended' and ended_why = ''")).isZero();
    assertThat(entries(series, "state = 'finished'")).isGreaterThan(PEOPLE / 4);
    // The one put in is not for those who were past its place.
    assertThat(
            sql.sql(
                    """
                    select e.person_id || ' without step ' || s.place
                    from series_entry e
                    join series_step s on s.series_id = e.series_id
                    where e.series_id = ? and s.gone_at is null and e.state = 'finished'
                      and s.place <> 3
                      and not exists (select from series_pass p
                                      where p.entry_id = e.id and p.step_id = s.id)
                    """)
                .param(series)
                .query(String.class)
                .list())
        .isEmpty();
    assertThat(
            sql.sql(
                    """
                    select m.state || ' ' || m.reason from message m
                    join series_step s on s.cause_id = m.cause_id
                    where s.series_id = ? and m.state <> 'sent' and m.reason = ''
                    """)
                .param(series)
                .query(String.class)
                .list())
        .as("what did not leave has a reason")
        .isEmpty();
  }
}
