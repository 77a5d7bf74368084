package app.jemble.demo;

import app.jemble.cause.Cause;
import app.jemble.cause.CauseChanges;
import app.jemble.cause.NewCause;
import app.jemble.core.message.MailWording;
import app.jemble.occasion.OccasionRun;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the harbour says on days that come round: on joining days after a nod, on birthdays. */
@Component
class DemoDays {

  private static final ZoneId ZONE = ZoneId.of(DemoLoader.ZONE);

  private static final String MEMBERS =
      """
      [{"name": "members", "filter": {"match": "ALL", "related": [], "groups": [],
        "conditions": [{"field": "kind", "operator": "ANY_OF", "values": ["member"]}]}}]
      """;

  private static final String CARD =
      """
      {"picture": "boats", "words": [
        {"text": "{{years}} years, {{first_name or \\"friend\\"}}", "left": 0.3, "top": 0.1,
         "width": 0.64, "height": 0.24, "size": 84, "colour": "#2f5d62", "align": "CENTRE"}]}
      """;

  private final CauseChanges causes;
  private final OccasionRun run;
  private final JdbcClient sql;
  private final Clock clock;

  DemoDays(CauseChanges causes, OccasionRun run, JdbcClient sql, Clock clock) {
    this.causes = causes;
    this.run = run;
    this.sql = sql;
    this.clock = clock;
  }

  /** With somebody whose day it is today, whatever day that is. */
  void add() {
    LocalDate today = clock.instant().atZone(ZONE).toLocalDate();
    List<Long> members =
        sql.sql(
                """
                select p.id from person p join membership m on m.person_id = p.id
                where p.kind = 'member' and p.reach = 'READY' and p.first_name is not null
                  and not exists (select from account a where a.person_id = p.id)
                order by p.id limit 3
                """)
            .query(Long.class)
            .list();
    for (int i = 0; i < members.size(); i++) {
      sql.sql("update membership set joined_on = ?, renews_on = ? where person_id = ?")
          .params(today.minusYears(List.of(1, 5, 10).get(i)), today, members.get(i))
          .update();
    }
    long joining =
        standing(
            new Standing(
                "Joining day",
                "joined_on",
                "{1,5,10,15,20}",
                "[]",
                "NOD",
                CARD,
                "{{years}} years at the quay",
                "<p><img src=\"{{card}}\" alt=\"{{card_words}}\" width=\"600\"></p>"
                    + "<p>Dear {{first_name or \"friend\"}},</p><p>It is {{years}} years today that you"
                    + " joined us. There is a coffee for you in the boathouse.</p>"
                    + "<p>{{sender.name}}</p>"));
    long birthday =
        standing(
            new Standing(
                "Birthday",
                "birthday",
                "{}",
                MEMBERS,
                "ITSELF",
                null,
                "Happy birthday, {{first_name or \"sailor\"}}",
                "<p>Dear {{first_name or \"friend\"}},</p><p>Fair winds for the year that begins"
                    + " today. Your next trial of any boat of ours is free.</p><p>{{sender.name}}</p>"));
    run.lookAhead(joining);
    run.lookAhead(birthday);
  }

  /** A standing mailing, as its table has it. */
  private record Standing(
      String name,
      String field,
      String rounds,
      String whom,
      String leaves,
      String card,
      String subject,
      String body) {}

  private long standing(Standing of) {
    Instant at = clock.instant().minus(Duration.ofDays(60));
    long orla = sql.sql("select id from account where login = 'orla'").query(Long.class).single();
    long topic = sql.sql("select max(id) from topic").query(Long.class).single();
    long cause =
        causes.create(
            new NewCause(Cause.Kind.OCCASION, of.name(), topic, orla, false, null),
            MailWording.by(of.subject(), of.body(), null, false));
    causes.release(cause, at, at, at);
    return sql.sql(
            """
            insert into occasion (cause_id, name, field, kind, rounds, whom, said_at, leaves, card,
                                  state, created_at)
            values (?, ?, ?, 'YEARLY', ?::int[], ?::jsonb, '09:00', ?, ?::jsonb, 'active', ?)
            returning id
            """)
        .params(
            Arrays.asList(
                cause,
                of.name(),
                of.field(),
                of.rounds(),
                of.whom(),
                of.leaves(),
                of.card(),
                Timestamp.from(at)))
        .query(Long.class)
        .single();
  }
}
