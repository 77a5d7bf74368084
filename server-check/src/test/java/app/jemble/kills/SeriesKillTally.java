package app.jemble.kills;

import app.jemble.standins.PostOffice;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * What became of everyone in a series, and of everyone with a day, whose processes were killed.
 *
 * @param moments how often one was killed at each
 * @param entries who came into the series
 * @param finished of them, had every step
 * @param replied of them, wrote back and heard no more
 * @param messages of the series and of the day
 * @param inDoubt of them, in doubt: the process that had them in hand was killed
 * @param lost people without entry, step, day or reason, and sent messages that did not arrive
 * @param twice steps and days that somebody had twice, and messages that arrived twice
 * @param late messages that left after their reader's reply had been read
 */
public record SeriesKillTally(
    Map<SeriesKillTrial.Moment, Integer> moments,
    int entries,
    int finished,
    int replied,
    int messages,
    int inDoubt,
    Set<String> lost,
    Set<String> twice,
    List<String> late) {

  static boolean isSettled(JdbcClient sql, PostOffice office) {
    return sql.sql(
            """
            select not exists (select from message
                               where state in ('waiting', 'deferred') or in_hands_of is not null)
               and not exists (select from series_entry where state = 'in')
               and not exists (select from occasion_turn t
                               join person p on p.id = t.person_id
                               where p.email like '%.kills.example' and t.state = 'NODDED')
               and (select count(*) from inbound_mail) >= ?
            """)
        .param(office.mailbox(PostOffice.COMMON_MAILBOX).size())
        .query(Boolean.class)
        .single();
  }

  static SeriesKillTally of(
      JdbcClient sql,
      PostOffice office,
      long series,
      Map<SeriesKillTrial.Moment, Integer> moments) {
    List<HouseTally.Sent> messages = HouseTally.messages(sql);
    Set<String> lost = new HashSet<>(words(sql, FORGOTTEN));
    Set<String> twice = new HashSet<>(words(sql, MORE_THAN_ONCE));
    HouseTally.arrivals(messages, office, lost, twice);
    return new SeriesKillTally(
        moments,
        entries(sql, series, "true"),
        entries(sql, series, "state = 'finished'"),
        entries(sql, series, "ended_why like '%repl%'"),
        messages.size(),
        (int) messages.stream().filter(m -> m.state().equals("in_doubt")).count(),
        lost,
        twice,
        words(sql, AFTER_A_REPLY));
  }

  private static List<String> words(JdbcClient sql, String query) {
    return sql.sql(query).query(String.class).list();
  }

  private static int entries(JdbcClient sql, long series, String which) {
    return sql.sql("select count(*) from series_entry where series_id = ? and " + which)
        .param(series)
        .query(Integer.class)
        .single();
  }

  /**
   * Not let in; through without a step; ended, or left out, without a reason; without their day.
   */
  private static final String FORGOTTEN =
      """
      select p.email || ' is not in' from person p
      where p.email like '%.kills.example' and p.birthday is null
        and not exists (select from series_entry e where e.person_id = p.id)
      union all
      select p.email || ' is through without step ' || s.place
      from series_entry e
      join person p on p.id = e.person_id
      join series_step s on s.series_id = e.series_id
      where e.state = 'finished'
        and not exists (select from series_pass h
                        where h.entry_id = e.id and h.step_id = s.id
                          and (h.message_id is not null or h.why <> ''))
      union all
      select p.email || ' is out for no reason'
      from series_entry e join person p on p.id = e.person_id
      where e.state = 'ended' and e.ended_why = ''
      union all
      select p.email || ' had no day'
      from person p
      where p.email like '%.kills.example' and p.birthday is not null
        and not exists (select from message m join occasion o on o.cause_id = m.cause_id
                        where m.person_id = p.id)
        and not exists (select from occasion_turn t
                        where t.person_id = p.id and t.state = 'MISSED' and t.reason <> '')
      union all
      select 'message ' || m.id || ' did not leave for no reason'
      from message m join person p on p.id = m.person_id
      where p.email like '%.kills.example' and m.state not in ('sent', 'in_doubt')
        and m.reason = ''
      """;

  private static final String MORE_THAN_ONCE =
      """
      select 'person ' || m.person_id || ', cause ' || m.cause_id
      from message m join person p on p.id = m.person_id
      where p.email like '%.kills.example'
      group by m.person_id, m.cause_id
      having count(*) > 1
      union all
      select 'person ' || person_id || ' came in twice'
      from series_entry
      group by person_id
      having count(*) > 1
      """;

  /** A second of the trial is four minutes of the house: what was in hand then may still leave. */
  private static final String AFTER_A_REPLY =
      """
      select m.person_id || ' replied at ' || r.at || ', message at ' || m.first_try_at
      from response r
      join message m on m.person_id = r.person_id and m.first_try_at > r.at + interval '4 minutes'
      join series_step s on s.cause_id = m.cause_id
      join message f on f.id = r.message_id
      join series_step t on t.cause_id = f.cause_id
      where r.kind = 'REPLIED'
      """;
}
