package app.jemble.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.ServerTest;
import app.jemble.core.message.CauseState;
import app.jemble.core.message.MessageState;
import app.jemble.core.pace.CountedDay;
import app.jemble.core.response.ResponseKind;
import app.jemble.core.response.Signs;
import app.jemble.core.response.Standing;
import app.jemble.sending.SendingService;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * What the database says of states, standings, responses and the days that count, against core: the
 * views that rooms offer, and the trigger, say the same in SQL.
 */
public class OfferedAgreementTest extends ServerTest {

  private static final ZoneId HOUSE = ZoneId.of("Europe/London");

  private long mailing;

  @Override
  protected int people() {
    return 10;
  }

  /** What waits here is only rows. */
  @Override
  protected int smtpPort() {
    return 1;
  }

  @BeforeClass(dependsOnMethods = "startAll")
  public void begin() {
    api.signIn("orla", "lowen-quay");
    mailing = draft(List.of(addPerson("Bea", "Rows", "bea@rows.test")), "Rows", "<p>x</p>");
  }

  private long message(MessageState state, Standing standing, Instant due, Instant sent) {
    long person = addPerson("A", "Row", "row" + System.nanoTime() + "@rows.test");
    return sql.sql(
            """
            insert into message (cause_id, person_id, address, recipient, token, state, standing,
                                 frozen, due_at, sent_at)
            select ?, id, email, 'A', md5(id::text), ?, ?, '{}', ?::timestamptz, ?::timestamptz
            from person where id = ?
            returning id
            """)
        .params(
            Arrays.asList(
                mailing,
                state.stored(),
                standing.name(),
                due.toString(),
                sent == null ? null : sent.toString(),
                person))
        .query(Long.class)
        .single();
  }

  private Map<String, Object> offered(String view, long id) {
    return sql.sql("select * from offered." + view + " where id = ?").param(id).query().singleRow();
  }

  @Test
  public void everyStateAndStandingOfAMessage() {
    Instant later = clock.instant().plus(Duration.ofDays(300));
    for (MessageState state : MessageState.values()) {
      for (Standing standing : Standing.values()) {
        boolean sent = state == MessageState.SENT;
        long id =
            message(state, standing, later, sent ? Instant.parse("2020-01-01T00:00:00Z") : null);
        assertThat(offered("message", id))
            .as("%s %s", state, standing)
            .containsEntry("to_depart", MessageState.TO_DEPART.contains(state))
            .containsEntry("is_open", MessageState.OPEN.contains(state))
            .containsEntry("is_sent", sent)
            .containsEntry("has_not_departed", !sent)
            .containsEntry("is_held", state == MessageState.HELD)
            .containsEntry("is_refused", state == MessageState.REFUSED)
            .containsEntry("in_doubt", state == MessageState.IN_DOUBT)
            .containsEntry("is_withdrawn", state == MessageState.WITHDRAWN)
            .containsEntry("stands_returned", !standing.isDelivered())
            .containsEntry("stands_replied", standing == Standing.REPLIED)
            .containsEntry("stands_read", standing.wasRead() && standing != Standing.REPLIED)
            .containsEntry("was_read", standing.wasRead())
            .containsEntry("is_quiet", sent && standing.isQuiet());
      }
    }
  }

  @Test
  public void everyStateOfACause() {
    for (CauseState state : CauseState.values()) {
      sql.sql(
              "update cause set state = ?, released_at = now(), held_until = now(), due_at = now() where id = ?")
          .params(List.of(state.stored(), mailing))
          .update();
      assertThat(offered("cause", mailing))
          .as("%s", state)
          .containsEntry("is_draft", state == CauseState.DRAFT)
          .containsEntry("is_discarded", state == CauseState.DISCARDED)
          .containsEntry("is_released", state == CauseState.RELEASED)
          .containsEntry("was_released", state.wasReleased())
          .containsEntry("is_mailing", true);
    }
  }

  /**
   * Random sets of responses to a message: what the trigger makes of them, and the views of each.
   */
  @Test
  public void whatCameBackOnAMessage() {
    Random random = new Random(15);
    for (int round = 0; round < 60; round++) {
      long id = message(MessageState.SENT, Standing.NOTHING, clock.instant(), clock.instant());
      Set<ResponseKind> kinds = EnumSet.noneOf(ResponseKind.class);
      for (int i = random.nextInt(4); i >= 0; i--) {
        ResponseKind kind = ResponseKind.values()[random.nextInt(ResponseKind.values().length)];
        kinds.add(kind);
        long response =
            sql.sql(
                    """
                    insert into response (message_id, cause_id, person_id, kind, at)
                    select id, cause_id, person_id, ?, now() from message where id = ?
                    returning id
                    """)
                .params(List.of(kind.name(), id))
                .query(Long.class)
                .single();
        Signs one = Signs.of(Set.of(kind));
        assertThat(offered("response", response))
            .as("%s", kind)
            .containsEntry("was_read", one.opened())
            .containsEntry("is_click", one.clicked())
            .containsEntry("is_reply", one.replied())
            .containsEntry("is_return", one.returned());
      }
      Signs all = Signs.of(kinds);
      assertThat(offered("message", id))
          .as("%s", kinds)
          .containsEntry("opened", all.opened())
          .containsEntry("clicked", all.clicked())
          .containsEntry("replied", all.replied())
          .containsEntry("returned", all.returned())
          .containsEntry("has_left", all.left());
    }
  }

  private record Row(String state, Instant dueAt, Instant sentAt, long sender) {}

  /** Every message of other causes, on the day on which it counts, for all and for one sender. */
  @Test(dependsOnMethods = "everyStateAndStandingOfAMessage")
  public void theDaysOnWhichMessagesCount() {
    Random random = new Random(16);
    Instant now = clock.instant();
    for (int i = 0; i < 80; i++) {
      MessageState state = MessageState.values()[random.nextInt(MessageState.values().length)];
      Instant due = now.plus(Duration.ofHours(random.nextInt(200) - 60));
      Instant sent =
          state == MessageState.SENT ? now.minus(Duration.ofHours(random.nextInt(60))) : null;
      message(state, Standing.NOTHING, due, sent);
    }
    long another = draft(List.of(addPerson("B", "Other", "b@rows.test")), "Other", "<p>x</p>");
    long orla = sql.sql("select id from account where login = 'orla'").query(Long.class).single();
    Map<LocalDate, Long> byAll = new TreeMap<>();
    Map<LocalDate, Long> bySender = new TreeMap<>();
    for (Row row :
        sql.sql(
                """
                select m.state, m.due_at, m.sent_at, c.sender_id as sender
                from message m join cause c on c.id = m.cause_id
                """)
            .query(Row.class)
            .list()) {
      CountedDay.of(MessageState.of(row.state()), row.dueAt(), row.sentAt(), now, HOUSE)
          .ifPresent(
              day -> {
                byAll.merge(day, 1L, Long::sum);
                bySender.merge(day, row.sender() == orla ? 1L : 0L, Long::sum);
              });
    }
    SendingService.Taken taken =
        application.getBean(OutboxService.class).taken(another, orla, HOUSE);
    assertThat(new TreeMap<>(taken.byAll())).isEqualTo(byAll);
    assertThat(new TreeMap<>(taken.bySender())).isEqualTo(bySender);
  }
}
