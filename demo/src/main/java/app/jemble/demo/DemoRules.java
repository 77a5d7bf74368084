package app.jemble.demo;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What is done after some of the demo's mailings are out. */
@Component
class DemoRules {

  private final JdbcClient sql;

  DemoRules(JdbcClient sql) {
    this.sql = sql;
  }

  void add() {
    String slipway = "Spring slipway reminder";
    nudge(slipway);
    waiting(
        slipway,
        2,
        "NO_REPLY",
        3,
        "WORKING_DAYS",
        """
        {"kind": "TASK", "taskKind": "call", "title": "Ask about the slipway place", "dueDays": 1}
        """);
    sql.sql(
            """
            update follow_rule second set after_id = first.id
            from follow_rule first
            where first.mailing_id = second.mailing_id and first.place = 1 and second.place = 2
            """)
        .update();
    waiting(
        "Haul-out times",
        1,
        "CLICKED",
        10,
        "DAYS",
        """
        {"kind": "TASK", "taskKind": "call", "title": "Ask which haul-out time suits", "dueDays": 2}
        """);
    sql.sql(
            """
            insert into follow_rule (mailing_id, place, on_kinds, act)
            select id, 1, '{REPLIED}', '{"kind": "TASK", "taskKind": "write",
                   "title": "Answer about Friday", "dueDays": 1}'
            from cause where name = 'Slipway closed Friday'
            """)
        .update();
  }

  private void nudge(String mailing) {
    sql.sql(
            """
            with parent as (
              select g.*, w.subject
              from cause g
              join wording w on w.id = g.wording_id
              where g.name = ?
            ), words as (
              insert into wording (channel, subject, body)
              select 'EMAIL', parent.subject, t.body
              from parent, template t
              where t.name = 'Gentle nudge'
              returning id
            ), sent as (
              insert into cause (kind, name, topic_id, sender_id, follows_id, wording_id, created_at,
                                 created_by)
              select 'RULE', p.name || ', follow-up 1', p.topic_id, p.sender_id, p.id, words.id,
                     p.created_at, p.sender_id
              from parent p, words
              returning id, follows_id
            )
            insert into follow_rule (mailing_id, place, whom, wait_count, wait_unit, except_parts,
                                     act, sends_id)
            select sent.follows_id, 1, 'NO_REPLY', 4, 'WORKING_DAYS',
                   (select jsonb_agg(jsonb_build_object('name', name, 'filter', filter))
                    from kept_filter where name = 'The committee'),
                   '{"kind": "SEND"}', sent.id
            from sent
            """)
        .param(mailing)
        .update();
  }

  private void waiting(String mailing, int place, String whom, int count, String unit, String act) {
    sql.sql(
            """
            insert into follow_rule (mailing_id, place, whom, wait_count, wait_unit, act)
            select id, ?, ?, ?, ?, ?::jsonb from cause where name = ? and kind = 'MAILING'
            """)
        .params(place, whom, count, unit, act, mailing)
        .update();
  }
}
