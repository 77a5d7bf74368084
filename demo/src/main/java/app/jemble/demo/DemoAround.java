package app.jemble.demo;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What stands around the boatyard's people: offices, quotes, events, tasks, lists, who introduced
 * whom. Made in the database from the people's ids alone, so that a million of them are quick and
 * the same each time.
 */
@Component
class DemoAround {

  private final JdbcClient sql;
  private final Clock clock;

  DemoAround(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  void add() {
    offices();
    quotes();
    events();
    tasks();
    lists();
    keptFilters();
  }

  private Timestamp now() {
    return Timestamp.from(clock.instant());
  }

  private LocalDate today() {
    return clock.instant().atZone(ZoneId.of(DemoLoader.ZONE)).toLocalDate();
  }

  /**
   * Orla, Tomas and the manager are members themselves.
   *
   * @param firstId the id of the first of them; the others follow
   * @return the ids of Orla and Tomas
   */
  List<Long> colleaguesOwnRecords(long firstId) {
    List<String> logins = List.of("orla", "tomas", "wilma");
    for (int i = 0; i < logins.size(); i++) {
      ownRecord(firstId + i, logins.get(i));
    }
    return List.of(firstId, firstId + 1);
  }

  private void ownRecord(long id, String login) {
    sql.sql(
            """
            insert into person (id, kind, first_name, last_name, email, number, owner_id, created_at, time_zone,
                                address_place, phone)
            select ?, 'member', split_part(name, ' ', 1), split_part(name, ' ', 2), email,
                   'TQ-' || (9000 + id), id, ?, 'Europe/London', 'Lowen Quay', '+44 7700 900' || (100 + id)
            from account where login = ?
            """)
        .params(List.of(id, Timestamp.from(Instant.parse("2012-04-01T09:00:00Z")), login))
        .update();
    sql.sql("update account set person_id = ? where login = ?").params(List.of(id, login)).update();
    sql.sql(
            """
            insert into membership (person_id, plan, status, joined_on, renews_on)
            values (?, 'Workshop', 'active', '2012-04-01', ?)
            """)
        .params(List.of(id, today().plusDays(120)))
        .update();
  }

  private void offices() {
    sql.sql(
            """
            insert into standing_word (about, name, place, group_name)
            values ('OFFICE', 'Chair', 1, 'Officers'), ('OFFICE', 'Treasurer', 2, 'Officers'),
                   ('OFFICE', 'Secretary', 3, 'Officers'), ('OFFICE', 'Harbour steward', 4, ''),
                   ('OFFICE', 'Youth officer', 5, ''), ('OFFICE', 'Workshop keeper', 6, 'Keepers'),
                   ('OFFICE', 'Slipway keeper', 7, 'Keepers'), ('OFFICE', 'Safety boat lead', 8, ''),
                   ('OFFICE', 'Newsletter editor', 9, ''), ('OFFICE', 'Archivist', 10, '')
            """)
        .update();
    sql.sql(
            """
            insert into office (person_id, name, body, since, until)
            select m.person_id, post.name, post.body, ?::date - (400 + 30 * post.place)::int, null
            from (select person_id, row_number() over (order by person_id) as place
                  from membership where status = 'active' order by person_id limit 10) m
            join (values (1, 'Chair', 'Committee'), (2, 'Treasurer', 'Committee'), (3, 'Secretary', 'Committee'),
                         (4, 'Harbour steward', 'Committee'), (5, 'Youth officer', 'Committee'),
                         (6, 'Workshop keeper', null), (7, 'Slipway keeper', null), (8, 'Safety boat lead', null),
                         (9, 'Newsletter editor', null), (10, 'Archivist', null)) post (place, name, body)
              on post.place = m.place
            """)
        .param(today())
        .update();
    sql.sql(
            """
            insert into office (person_id, name, body, since, until)
            select m.person_id, 'Treasurer', 'Committee', ?::date - 1500, ?::date - 450
            from membership m order by m.person_id offset 12 limit 1
            """)
        .params(List.of(today(), today()))
        .update();
  }

  /** Leads and contacts have been offered kits and courses, most of them within the last months. */
  private void quotes() {
    sql.sql(
            """
            insert into quote (number, person_id, title, total, currency, stage, sent_on, valid_until, owner_id)
            select 'Q-' || (2000 + row_number() over (order by p.id)), p.id,
                   (array['Kit dinghy, 12 ft', 'Clinker skiff kit', 'Steam-bending course', 'Mast and spars',
                          'Pair of oars', 'Lofting course'])[1 + p.id * 7 % 6],
                   (array[1860, 3240, 240, 780, 165, 190])[1 + p.id * 7 % 6],
                   'GBP', stage.name,
                   case when stage.name <> 'draft' then ?::date - (p.id * 37 % case stage.name when 'open' then 24 else 300 end)::int end,
                   case when stage.name <> 'draft' then ?::date - (p.id * 37 % case stage.name when 'open' then 24 else 300 end)::int + 30 end,
                   p.owner_id
            from person p
            join (values (0, 'draft'), (1, 'open'), (2, 'open'), (3, 'accepted'), (4, 'declined'), (5, 'lapsed'))
              stage (place, name) on stage.place = p.id * 13 % 6
            where p.kind in ('lead', 'contact') and p.id % 5 in (1, 2, 3)
            """)
        .params(List.of(today(), today()))
        .update();
  }

  private void events() {
    sql.sql(
            """
            insert into event (name, starts_at, place, link)
            select name, starts_at, place, 'https://www.ternquay.example/days/' || page
            from (
              values ('Slipway day', ?::date - 41 + time '09:00', 'The slipway', 'slipway'),
                     ('Harbour supper', ?::date - 12 + time '19:00', 'Long room', 'supper'),
                     ('Steam-bending course', ?::date + 9 + time '10:00', 'Workshop', 'steam'),
                     ('Committee meeting', ?::date + 3 + time '19:30', 'Long room', 'committee'),
                     ('Launch day', ?::date + 30 + time '08:30', 'The slipway', 'launch')
            ) days (name, starts_at, place, page)
            """)
        .params(List.of(today(), today(), today(), today(), today()))
        .update();
    sql.sql(
            """
            insert into attendance (event_id, person_id, state)
            select e.id, p.id,
                   case when e.starts_at < ? then (array['came', 'came', 'missed'])[1 + (p.id + e.id) % 3]
                        else (array['asked', 'coming'])[1 + (p.id + e.id) % 2] end
            from event e
            join person p on (p.id * 31 + e.id * 17) % 40 = 0
            where e.name <> 'Committee meeting'
            """)
        .param(now())
        .update();
    sql.sql(
            """
            insert into attendance (event_id, person_id, state)
            select e.id, f.person_id, 'asked'
            from event e join office f on f.body = 'Committee' and f.until is null
            where e.name = 'Committee meeting'
            """)
        .update();
  }

  private void tasks() {
    sql.sql(
            """
            insert into task (person_id, kind, title, due_on, done_at, owner_id, created_at, created_by)
            select p.id, (array['call', 'write', 'to do'])[1 + p.id % 3],
                   (array['Ask about the quote', 'Send the mooring plan', 'Check the cradle booking'])[1 + p.id % 3],
                   ?::date + (p.id * 11 % 19)::int - 6,
                   case when p.id % 2 = 0 and p.id * 11 % 19 < 6 then ?::timestamptz - interval '1 day' end,
                   p.owner_id, ?::timestamptz - interval '9 days', p.owner_id
            from person p
            where p.id % 37 = 5 and p.owner_id is not null
            """)
        .params(List.of(today(), now(), now()))
        .update();
  }

  private void lists() {
    sql.sql(
            """
            insert into person_list (name, created_at, created_by)
            select l.name, ?, a.id
            from (values ('Work party', 'orla'), ('Race crew', 'orla'), ('Boat show callers', 'tomas')) l (name, login)
            join account a on a.login = l.login
            """)
        .param(now())
        .update();
    sql.sql(
            """
            insert into list_member (list_id, person_id)
            select l.id, p.id
            from person_list l
            join person p on p.id <= 1500 and (p.id * 29 + l.id * 11) % 50 = 0
            """)
        .update();
  }

  private void keptFilters() {
    for (DemoFilters.Kept kept : DemoFilters.ALL) {
      sql.sql(
              """
              insert into kept_filter (subject, name, filter, shared, owner_id, changed_at)
              select ?, ?, ?::jsonb, true, id, ? from account where login = ?
              """)
          .params(List.of(kept.subject(), kept.name(), kept.filter(), now(), kept.login()))
          .update();
    }
  }
}
