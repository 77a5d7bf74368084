package app.jemble.followup;

import static app.jemble.followup.RuleBodies.atOnce;
import static app.jemble.followup.RuleBodies.task;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.Api;
import app.jemble.Eventually;
import app.jemble.Mails;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.Test;

/** What is done at once when a response comes. */
public class AtOnceTest extends RulesTrial {

  /** After it an open or a click is known to be a person's. */
  private static final Duration SETTLED = Duration.ofSeconds(6);

  @Test
  public void theSenderIsToldAndAFieldIsSetAtOnce() {
    toMonday();
    long person = addPerson("Tell", "Me", "tell@me.test");
    long mailing = draft(List.of(person), "Tell", "<p>First</p>");
    Api.Answer saved =
        save(
            mailing,
            List.of(
                atOnce("OPENED", Map.of("kind", "TELL")),
                atOnce("OPENED", Map.of("kind", "SET", "field", "stage", "value", "talking"))));
    assertThat(saved.status()).as(saved.text()).isEqualTo(200);
    release(mailing);
    awaitSettled(mailing);
    clock.advance(Duration.ofMinutes(5));
    String token = messageValue(mailing, person, "token");
    arrivals.opened(token);
    arrivals.opened(token);
    clock.advance(SETTLED);
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
                .filteredOn(m -> Mails.whole(m).contains("Tell Me"))
                .hasSize(1));
    List<String> history =
        sql.sql("select words from change_batch order by id desc limit 1")
            .query(String.class)
            .list();
    assertThat(history).containsExactly("After “Test mailing”: stage set to “talking”");
  }

  /** Somebody rings whoever clicked; nobody rings a scanner's victim. */
  @Test
  public void aClickIsActedOnAndAScannersClicksAreNot() {
    toMonday();
    long reader = addPerson("Real", "Reader", "reader@click.test");
    long scanned = addPerson("Mere", "Scanner", "scanned@click.test");
    long mailing =
        draft(
            List.of(reader, scanned),
            "Click",
            String.format(Locale.ROOT, "<p>%s %s %s</p>", link("a"), link("b"), link("c")));
    save(mailing, List.of(atOnce("CLICKED", task("Ring whoever clicked"))));
    release(mailing);
    awaitSettled(mailing);
    clock.advance(Duration.ofMinutes(20));
    arrivals.clicked(messageValue(mailing, reader, "token"), 1);
    for (int each = 0; each < 3; each++) {
      arrivals.clicked(messageValue(mailing, scanned, "token"), each);
    }
    application.getBean(FollowActs.class).atOnce(rules(mailing).get(0).get("id").asLong());
    assertThat(people(mailing, rules(mailing).get(0), "DONE")).as("before it is known").isEmpty();
    clock.advance(SETTLED);
    Eventually.holds(
        () ->
            assertThat(people(mailing, rules(mailing).get(0), "DONE"))
                .containsExactly("Real Reader: the task “Ring whoever clicked”"));
    assertThat(
            sql.sql("select person_id from task where title = 'Ring whoever clicked'")
                .query(Long.class)
                .list())
        .containsExactly(reader);
    assertThat(
            sql.sql("select count(*) from follow_act where person_id = ?")
                .param(scanned)
                .query(Long.class)
                .single())
        .isZero();
  }

  private static String link(String page) {
    return String.format(Locale.ROOT, "<a href=\"https://ternquay.example/%1$s\">%1$s</a>", page);
  }
}
