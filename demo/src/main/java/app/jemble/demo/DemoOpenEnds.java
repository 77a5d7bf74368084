package app.jemble.demo;

import app.jemble.outbox.OutboxService;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What still wants somebody: a mailing that waits, drafts, messages in doubt and refused. */
@Component
class DemoOpenEnds {

  private final DemoMailings mailings;
  private final OutboxService outbox;
  private final JdbcClient sql;
  private final Clock clock;

  DemoOpenEnds(DemoMailings mailings, OutboxService outbox, JdbcClient sql, Clock clock) {
    this.mailings = mailings;
    this.outbox = outbox;
    this.sql = sql;
    this.clock = clock;
  }

  void add() {
    addWaitingMailing();
    addDraft("Season opening", "Spring slipway reminder", "2025-05-01");
    planMornings("Spring slipway reminder");
    addDaysOffAndCaps();
    addDraft("Dues reminder", "Dues, second word", "2026-01-01");
    loseSomeAnswers();
    keepFromReturned();
  }

  /** A released mailing; answers its id. */
  long addMailing(
      String name, String subject, String body, String login, Instant released, Instant due) {
    return sql.sql(
            """
            with words as (
              insert into wording (channel, subject, body, letterhead_id)
              select 'EMAIL', ?, ?, min(id) from letterhead
              returning id
            )
            insert into cause (kind, name, topic_id, sender_id, wording_id, state, released_at,
                               held_until, due_at, created_at, created_by)
            select 'MAILING', ?, 1, a.id, words.id, 'released', t.at, t.at, ?, t.at, a.id
            from words, account a, (select ?::timestamptz as at) t
            where a.login = ?
            returning id
            """)
        .params(List.of(subject, body, name, Timestamp.from(due), Timestamp.from(released), login))
        .query(Long.class)
        .single();
  }

  private void addWaitingMailing() {
    Instant now = clock.instant();
    ZoneId zone = ZoneId.of(DemoLoader.ZONE);
    Instant due = now.atZone(zone).toLocalDate().plusDays(3).atTime(9, 0).atZone(zone).toInstant();
    long id =
        addMailing(
            "Winter talks programme",
            "Winter talks at the boathouse",
            DemoTexts.SENT.get(0).body(),
            "orla",
            now.minus(Duration.ofHours(5)),
            due);
    List<DemoMailings.Reader> readers =
        sql.sql(
                """
                select p.id, p.name, p.first_name, m.plan, p.email
                from person p
                join membership m on m.person_id = p.id
                where 'workshop' = any(p.tags) and p.email_valid and p.email is not null
                  and not p.asked_not and p.id <= 1500
                order by p.id
                """)
            .query(DemoMailings.Reader.class)
            .list();
    outbox.enqueue(id, readers.stream().map(r -> mailings.waiting(r, due)).toList());
  }

  private void addDraft(String template, String name, String notSeenSince) {
    sql.sql(
            """
            with words as (
              insert into wording (channel, subject, body, template_id, template_version,
                                   letterhead_id)
              select 'EMAIL', subject, body, id, version, letterhead_id from template where name = ?
              returning id, template_id
            ), draft as (
              insert into cause (kind, name, topic_id, sender_id, wording_id, created_at, created_by)
              select 'MAILING', ?, t.topic_id, a.id, words.id, ?, a.id
              from words
              join template t on t.id = words.template_id
              cross join account a
              where a.login = 'orla'
              returning id
            )
            insert into audience (mailing_id, parts)
            select draft.id,
                   jsonb_build_array(jsonb_build_object('filter', jsonb_build_object(
                     'match', 'ALL',
                     'conditions', jsonb_build_array(
                       jsonb_build_object('field', 'kind', 'operator', 'ANY_OF',
                                          'values', jsonb_build_array('member')),
                       jsonb_build_object('field', 'last_visit', 'operator', 'BEFORE',
                                          'values', jsonb_build_array(?::text))),
                     'groups', jsonb_build_array())))
            from draft
            """)
        .params(List.of(template, name, Timestamp.from(clock.instant()), notSeenSince))
        .update();
  }

  /** Forty every quarter of an hour, on weekday mornings, done within ten days. */
  private void planMornings(String name) {
    sql.sql(
            """
            insert into send_plan (cause_id, plan)
            select id, jsonb_build_object(
                  'startOwn', false, 'wavePeople', 40, 'waveGapSeconds', 900, 'ownClock', false,
                  'hours', (select jsonb_agg(jsonb_build_object('day', day, 'from', 540, 'to', 720))
                            from unnest(array['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY',
                                              'FRIDAY']) day),
                  'doneBy', ?::text)
            from cause
            where name = ?
            """)
        .params(List.of(today().plusDays(10).toString(), name))
        .update();
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneId.of(DemoLoader.ZONE));
  }

  private void addDaysOffAndCaps() {
    sql.sql(
            """
            insert into day_off (day, name)
            select make_date(y, m, d), name
            from generate_series(?, ? + 2) y,
                 (values (1, 1, 'New Year'), (5, 1, 'Boat blessing'), (12, 25, 'Christmas'),
                         (12, 26, 'Quay race')) as days (m, d, name)
            """)
        .params(List.of(today().getYear(), today().getYear()))
        .update();
    sql.sql("update role set most_a_day = 400 where name = 'Representative'").update();
  }

  /** Yesterday's mail server fell silent twice, and would not take one address. */
  private void loseSomeAnswers() {
    sql.sql(
            """
            update message
            set state = case when n = 3 then 'refused' else 'in_doubt' end,
                sent_at = null,
                reason = case when n = 3 then '550 5.7.1 this address takes no mail from you'
                         else 'the mail server gave no answer' end
            from (
              select id, row_number() over (order by id desc) as n
              from message
              where state = 'sent' and standing = 'NOTHING'
                and cause_id in (select id from cause where kind = 'MAILING')
              order by id desc
              limit 3
            ) last
            where message.id = last.id
            """)
        .update();
  }

  /** As the application itself does when mail comes back for good. */
  private void keepFromReturned() {
    sql.sql(
            """
            insert into do_not_write (address_key, reason, since, note)
            select distinct on (p.email_key) p.email_key, 'hard return', r.at, r.detail
            from response r
            join person p on p.id = r.person_id
            where r.kind = 'RETURNED_HARD'
            order by p.email_key, r.at
            on conflict do nothing
            """)
        .update();
  }
}
