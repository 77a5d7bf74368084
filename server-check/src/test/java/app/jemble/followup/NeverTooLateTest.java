package app.jemble.followup;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Eventually;
import app.jemble.ServerTest;
import app.jemble.inbound.Arrivals;
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
 * Nobody who replied, left, was returned or is left out gets a follow-up, and nobody gets one
 * twice: people respond at random, some in the very second in which they are due, while two
 * processes act on the rules, and acts die before they are kept.
 */
public class NeverTooLateTest extends ServerTest {

  private static final int PEOPLE = 24;
  private static final int STEPS = 16;

  private final Map<Long, Instant> stopped = Collections.synchronizedMap(new HashMap<>());

  @Override
  protected int people() {
    return 3;
  }

  @Override
  protected Duration readersDay() {
    return Duration.ofDays(30);
  }

  @DataProvider
  public Object[][] seeds() {
    return new Object[][] {{1}, {2}, {3}};
  }

  private long begin(int seed, Map<Long, String> people) {
    for (int i = 0; i < PEOPLE; i++) {
      String address = String.format(Locale.ROOT, "p%d.%d@never.test", seed, i);
      people.put(addPerson("P" + i, "Never " + seed, address), address);
    }
    long mailing = draft(List.copyOf(people.keySet()), "Never", "<p>First</p>");
    Map<String, Object> send =
        RuleBodies.with(
            RuleBodies.waiting("NO_REPLY", 1, "HOURS", Map.of("kind", "SEND")),
            "except",
            List.of(Map.of("name", "Kept out", "filter", RuleBodies.tagged("kept-out"))));
    Map<String, Object> call =
        RuleBodies.waiting(
            "NO_REPLY",
            2,
            "HOURS",
            Map.of("kind", "TASK", "taskKind", "call", "title", "Never " + seed));
    assertThat(
            api.put(
                    "/api/mailings/" + mailing + "/rules",
                    List.of(
                        send, RuleBodies.with(send, "after", 1), RuleBodies.with(call, "after", 2)))
                .status())
        .isEqualTo(200);
    release(mailing);
    awaitSettled(mailing);
    return mailing;
  }

  private List<Long> rules(long mailing) {
    return sql.sql("select id from follow_rule where mailing_id = ? order by place")
        .param(mailing)
        .query(Long.class)
        .list();
  }

  /** Any of the person's messages may be the one that is answered. */
  private String anyToken(long mailing, long person, Random random) {
    List<String> tokens =
        sql.sql(
                """
                select token from message
                where person_id = ? and (cause_id = ? or thread_id is not null) and state = 'sent'
                order by id
                """)
            .params(person, mailing)
            .query(String.class)
            .list();
    return tokens.get(random.nextInt(tokens.size()));
  }

  private void respond(Arrivals arrivals, long mailing, long person, String address, Random by) {
    String token = anyToken(mailing, person, by);
    switch (by.nextInt(4)) {
      case 0 -> arrivals.reply(address, token, "Here I am");
      case 1 -> arrivals.left(token);
      case 2 -> arrivals.returned(address, token);
      default ->
          sql.sql("update person set tags = '{kept-out}' where id = ?").param(person).update();
    }
    stopped.putIfAbsent(person, clock.instant());
  }

  private CompletableFuture<Void> responds(
      Arrivals arrivals, long mailing, long person, Map<Long, String> people, long kind) {
    return CompletableFuture.runAsync(
        () -> respond(arrivals, mailing, person, people.get(person), new Random(kind)));
  }

  /** As a process that is killed before its act is kept. */
  private static void dieActing(ConfigurableApplicationContext process, long rule) {
    process
        .getBean(TransactionTemplate.class)
        .executeWithoutResult(
            tx -> {
              process.getBean(FollowActs.class).lookAt(rule);
              tx.setRollbackOnly();
            });
  }

  @Test(dataProvider = "seeds")
  public void nobodyIsFollowedUpTooLateOrTwice(int seed) {
    api.signIn("orla", "lowen-quay");
    sql.sql("update sending_rules set hours = null").update();
    Random random = new Random(seed);
    Map<Long, String> people = new LinkedHashMap<>();
    long mailing = begin(seed, people);
    List<Long> rules = rules(mailing);
    Arrivals arrivals = new Arrivals(application);
    try (ConfigurableApplicationContext second = start()) {
      List<Long> whom = new ArrayList<>(people.keySet());
      Collections.shuffle(whom, random);
      for (int step = 0; step < STEPS; step++) {
        clock.advance(Duration.ofMinutes(5 + random.nextInt(25)));
        List<CompletableFuture<?>> atOnce = new ArrayList<>();
        if (step % 2 == 1 && !whom.isEmpty() && whom.size() > PEOPLE / 3) {
          atOnce.add(responds(arrivals, mailing, whom.remove(0), people, random.nextLong()));
          atOnce.add(responds(arrivals, mailing, whom.remove(0), people, random.nextLong()));
        }
        long rule = rules.get(random.nextInt(rules.size()));
        ConfigurableApplicationContext one = random.nextBoolean() ? application : second;
        if (random.nextInt(3) == 0) {
          dieActing(one, rule);
        }
        for (ConfigurableApplicationContext process : List.of(application, second)) {
          atOnce.add(
              CompletableFuture.runAsync(
                  () -> rules.forEach(process.getBean(FollowActs.class)::lookAt)));
        }
        CompletableFuture.allOf(atOnce.toArray(CompletableFuture<?>[]::new)).join();
      }
      clock.advance(Duration.ofHours(9));
      for (int wait = 0; wait < 3; wait++) {
        rules.forEach(application.getBean(FollowActs.class)::lookAt);
        Eventually.holds(() -> assertThat(waiting()).isZero());
        clock.advance(Duration.ofHours(4));
      }
    }
    // Whom the other process had in hand as it stopped are there again when its time is over.
    clock.advance(Duration.ofHours(1));
    Eventually.holds(
        () -> {
          rules.forEach(application.getBean(FollowActs.class)::lookAt);
          eachOnce(people, seed);
        });
    nobodyTooLate(people);
  }

  private long waiting() {
    return sql.sql("select count(*) from message where state in ('waiting', 'deferred')")
        .query(Long.class)
        .single();
  }

  private void nobodyTooLate(Map<Long, String> people) {
    List<Map<String, Object>> followUps =
        sql.sql(
                """
                select person_id, first_try_at
                from message
                where thread_id is not null and state = 'sent' and person_id = any(?)
                """)
            .param(people.keySet().toArray(Long[]::new))
            .query()
            .listOfRows();
    assertThat(followUps).hasSizeGreaterThan(PEOPLE / 2);
    for (Map<String, Object> followUp : followUps) {
      Instant told = stopped.get((Long) followUp.get("person_id"));
      Instant left = ((java.sql.Timestamp) followUp.get("first_try_at")).toInstant();
      assertThat(told == null || !left.isAfter(told))
          .as("%s left at %s, stopped at %s", followUp, left, told)
          .isTrue();
    }
  }

  /** Some pretend mailboxes do not work. */
  private boolean cannotBeReached(long person) {
    return sql.sql(
            "select exists (select from message where person_id = ? and standing = 'RETURNED')")
        .param(person)
        .query(Boolean.class)
        .single();
  }

  private void eachOnce(Map<Long, String> people, int seed) {
    Map<String, Long> delivered = new HashMap<>();
    office.delivered().forEach(d -> delivered.merge(d.to(), 1L, Long::sum));
    people.forEach(
        (person, address) -> {
          long tasks =
              sql.sql("select count(*) from task where person_id = ? and title = ?")
                  .params(person, "Never " + seed)
                  .query(Long.class)
                  .single();
          if (stopped.containsKey(person) || cannotBeReached(person)) {
            assertThat(delivered.get(address)).as(address).isBetween(1L, 3L);
            assertThat(tasks).as(address).isBetween(0L, 1L);
          } else {
            assertThat(delivered.get(address)).as(address).isEqualTo(3);
            assertThat(tasks).as(address).isEqualTo(1);
          }
        });
  }
}
