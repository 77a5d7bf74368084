package app.jemble.own;

import java.time.LocalDate;
import java.util.List;

/** Statements that draw whose everybody is, and have something of each kind happen to many. */
final class Happenings {

  private static final List<String> ALL =
      List.of(
          """
          update person p set owner_id = (
            select nullif(a, 0) from unnest(array[0] || array(select id from account)) a
            order by md5(a || 'owner' || p.id) limit 1)
          """,
          """
          update person p set owner_id = a.id from account a where a.person_id = p.id
          """,
          """
          update person set introduced_by = 1 + (id * 7) % 120 where id % 3 = 0 and id <> 1 + (id * 7) % 120
          """,
          """
          update person set archived_at = now() where id % 23 = 4
          """,
          """
          insert into task (person_id, kind, title, due_on, done_at, owner_id, created_at, created_by)
          select case when p.id % 9 = 0 then null else p.id end, 'call', 'Ring ' || p.id,
                 current_date - 3 + (p.id % 7)::int, case when p.id % 4 = 0 then now() end, a.id,
                 now(), a.id
          from person p join account a on a.id = 1 + p.id % 4
          where p.id % 2 = 0
          """,
          """
          insert into quote (number, person_id, title, total, currency, stage, sent_on, owner_id)
          select 'X-' || p.id, p.id, 'Kit ' || p.id, 100 + p.id, 'GBP', 'open', current_date, 1 + p.id % 4
          from person p where p.id % 5 = 1
          """,
          """
          insert into office (person_id, name, body, since)
          select id, 'Warden ' || id % 3, 'Committee', current_date - 90 from person where id % 11 = 2
          """,
          """
          insert into list_member (list_id, person_id)
          select l.id, p.id from person_list l join person p on (p.id + l.id) % 3 = 0
          on conflict do nothing
          """,
          """
          insert into attendance (event_id, person_id, state)
          select e.id, p.id, 'asked' from event e join person p on (p.id + e.id) % 6 = 0
          on conflict do nothing
          """,
          """
          insert into way_closed (person_id, channel, closed_at, how, by_id)
          select id, 'TEXT', now(), 'said so', 1 from person where id % 8 = 3
          """,
          """
          insert into topic_left (person_id, topic_id, channel, left_at)
          select id, 1, 'EMAIL', now() from person where id % 10 = 6 on conflict do nothing
          """,
          """
          insert into do_not_write (address_key, reason, since, note, by_id)
          select email_key, 'by hand', now(), 'asked', case when id % 2 = 0 then 1 end
          from person where email_key is not null and id % 9 = 5 on conflict do nothing
          """,
          """
          insert into do_not_write (address_key, reason, since, note, by_id)
          select 'nobody' || id || '@elsewhere.example', 'by hand', now(), '', id from account
          """,
          """
          insert into device (person_id, address, key, secret, name, registered_at, heard_at)
          select id, 'https://push.example/' || id,
                 decode(repeat('04', 65), 'hex'), decode(repeat('04', 16), 'hex'), 'phone', now(), now()
          from person where id % 7 = 1
          """,
          """
          insert into series_entry (series_id, person_id, turn, state, came_by, entered_at, passed_at,
                                    stood_still, look_at, ended_at)
          select s.id, p.id, 0, (array['in', 'finished', 'ended'])[1 + p.id % 3], 'by hand', now(), now(), '0',
                 case when p.id % 3 = 0 then now() + interval '9 days' end,
                 case when p.id % 3 > 0 then now() end
          from series s join person p on (p.id + s.id) % 5 = 0
          on conflict do nothing
          """,
          """
          insert into own_wording (mailing_id, person_id, subject, body, shared_subject, shared_body,
                                   changed_at, changed_by, channel)
          select g.id, p.id, 'To you', '<p>Yes</p>', '', '', now(), 1, 'EMAIL'
          from cause g join person p on p.id % 13 = g.id % 13
          where g.kind = 'MAILING'
          """,
          """
          insert into follow_act (rule_id, message_id, person_id, state, at, words)
          select f.id, s.id, s.person_id, 'done', now(), 'a task was made'
          from follow_rule f join message s on s.cause_id = f.mailing_id
          on conflict do nothing
          """,
          """
          insert into inbound_mail (identity, received_at, sender, subject, words, sorted_as, mime,
                                    about_id, authentication, trouble, channel)
          select 'asks ' || s.id, now(), 'somebody@elsewhere.example', 'About it', 'Yes?', 'REPLY',
                 'Subject: About it'::bytea, case when s.id % 3 = 0 then null else s.id end, '', '', 'EMAIL'
          from message s where s.id % 6 = 0
          """,
          // Days that come round today and tomorrow: the house itself notes whose.
          """
          update person set birthday = current_date + (id % 2)::int - interval '30 years'
          where id % 7 = 5
          """,
          """
          update membership set joined_on = current_date + (person_id % 2)::int - interval '5 years'
          where person_id % 5 = 2
          """);

  private Happenings() {}

  /** As they happen on a day of the house's, which need not be the database's. */
  static List<String> on(LocalDate today) {
    return ALL.stream().map(s -> s.replace("current_date", "date '" + today + "'")).toList();
  }
}
