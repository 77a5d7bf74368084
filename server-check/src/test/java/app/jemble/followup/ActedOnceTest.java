package app.jemble.followup;

import static app.jemble.followup.RuleBodies.task;
import static app.jemble.followup.RuleBodies.waiting;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.Test;

/** Who looks at a rule while another process acts on it finds what that one has done. */
public class ActedOnceTest extends RulesTrial {

  private static final int PEOPLE = 40;
  private static final int LOOKERS = 3;
  private static final int ROUNDS = 400;

  @Test
  public void whatAnotherProcessHasJustDoneIsNotDoneAgain() {
    toMonday();
    List<Long> people = new ArrayList<>();
    for (int i = 0; i < PEOPLE; i++) {
      people.add(addPerson("P" + i, "Once", "p" + i + "@once.test"));
    }
    long mailing = draft(people, "Once", "<p>First</p>");
    long rule =
        save(mailing, List.of(waiting("NO_REPLY", 1, "HOURS", task("Once"))))
            .json()
            .get(0)
            .get("id")
            .asLong();
    release(mailing);
    awaitSettled(mailing);
    anotherActs(rule, mailing, Duration.ZERO);
    clock.advance(Duration.ofHours(2));
    AtomicBoolean over = new AtomicBoolean();
    List<CompletableFuture<?>> lookers = new ArrayList<>();
    for (int looker = 0; looker < LOOKERS; looker++) {
      lookers.add(CompletableFuture.runAsync(() -> lookUntil(over, rule)));
    }
    Random random = new Random(20261127);
    for (int round = 0; round < ROUNDS; round++) {
      anotherActs(rule, mailing, Duration.ofNanos(random.nextInt(4_000_000)));
    }
    over.set(true);
    CompletableFuture.allOf(lookers.toArray(CompletableFuture<?>[]::new)).join();
    assertThat(sql.sql("select person_id from task where title = 'Once'").query(Long.class).list())
        .isEmpty();
  }

  private void lookUntil(AtomicBoolean over, long rule) {
    FollowActs acts = application.getBean(FollowActs.class);
    while (!over.get()) {
      acts.lookAt(rule);
    }
  }

  /** As another process would: it locks the messages, acts, and notes that it has. */
  private void anotherActs(long rule, long mailing, Duration acting) {
    application
        .getBean(TransactionTemplate.class)
        .executeWithoutResult(
            tx -> {
              sql.sql("select id from message where cause_id = ? for no key update")
                  .param(mailing)
                  .query(Long.class)
                  .list();
              // By another connection: nobody has decided yet, and the lookers see it.
              CompletableFuture.runAsync(
                      () ->
                          sql.sql("delete from follow_act where rule_id = ?").param(rule).update())
                  .join();
              LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(1) + acting.toNanos());
              sql.sql(
                      """
                      insert into follow_act (rule_id, message_id, person_id, state, at)
                      select ?, id, person_id, 'done', now() from message where cause_id = ?
                      """)
                  .params(rule, mailing)
                  .update();
            });
  }
}
