package app.jemble.demo;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The mails behind the replies of the demo, and two that software cannot place. */
@Component
class DemoReplies {

  private final JdbcClient sql;
  private final Clock clock;

  DemoReplies(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  void add() {
    writeMails();
    addToPlace(
        "Mail Delivery System <mailer-daemon@mx.harbourmail.example>",
        "Something about your message",
        "UnreadReturn",
        "Your message arrived here, but the reader's letter box has moved on with the tide.\n",
        Duration.ofHours(3));
    addToPlace(
        "Perran Trevose <perran@trevose-chandlery.example>",
        "The talk on knots",
        "Reply",
        "My wife passed your letter on to me. May I come to the talk in her place?\n",
        Duration.ofHours(20));
  }

  private void writeMails() {
    sql.sql(
            """
            with written as (
              insert into inbound_mail (identity, received_at, sender, subject, words, sorted_as,
                                        mime, placed_at)
              select '<reply.' || r.id || '@' || split_part(s.address, '@', 2) || '>', r.at,
                     s.recipient || ' <' || s.address || '>', 'Re: ' || s.subject,
                     r.detail || w.quoted,
                     case r.kind when 'REPLIED' then 'Reply' else 'AutoReply' end,
                     convert_to(
                       'From: ' || s.address || e'\\r\\nSubject: Re: ' || s.subject
                       || e'\\r\\n\\r\\n' || r.detail || w.quoted, 'UTF8'),
                     r.at
              from response r
              join message s on s.id = r.message_id
              join cause g on g.id = s.cause_id
              join account a on a.id = g.sender_id
              cross join lateral (
                select e'\\n\\nOn ' || to_char(s.sent_at, 'FMDD Mon YYYY') || ', ' || a.name
                       || e' wrote:\\n> ' || s.subject || e'\\n' as quoted) w
              where r.kind in ('REPLIED', 'AUTO_REPLIED') and r.mail_id is null and r.detail <> ''
              returning id, identity)
            update response r
            set mail_id = w.id
            from written w
            where r.id = split_part(substr(w.identity, 8), '@', 1)::bigint
            """)
        .update();
  }

  private void addToPlace(
      String sender, String subject, String sortedAs, String words, Duration ago) {
    sql.sql(
            """
            insert into inbound_mail (identity, received_at, sender, subject, words, sorted_as, mime)
            values (?, ?, ?, ?, ?, ?, convert_to(?, 'UTF8'))
            """)
        .params(
            List.of(
                "<to-place." + sortedAs + "@demo.example>",
                Timestamp.from(clock.instant().minus(ago)),
                sender,
                subject,
                words,
                sortedAs,
                "From: " + sender + "\r\nSubject: " + subject + "\r\n\r\n" + words))
        .update();
  }
}
