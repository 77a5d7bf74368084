package app.jemble.kills;

import app.jemble.Mails;
import app.jemble.standins.PostOffice;
import jakarta.mail.internet.MimeMessage;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/**
 * What a house has done that was killed again and again, next to what was asked of it.
 *
 * @param messages that stand in the outbox
 * @param followUps of them, in a thread
 * @param inDoubt of them, in doubt: the process that had them in hand was killed
 * @param mails in the mailbox
 * @param acts what rules decided
 * @param lost messages without a row, sent ones that did not arrive, mails that were not read,
 *     people whom a rule passed over, and acts that are noted and were not done
 * @param twice messages that arrived, mails that were read, and acts that were done more than once
 */
public record HouseTally(
    int messages,
    int followUps,
    int inDoubt,
    int mails,
    int acts,
    Set<String> lost,
    Set<String> twice) {

  /** A message of a mailing, or of one of its rules. */
  record Sent(long id, String token, String state, boolean followUp) {}

  /** What a rule did about a message, and what of it is there. */
  private record Act(long rule, long message, String kind, int decided, boolean done, int made) {}

  static JdbcClient connect(String database) {
    return JdbcClient.create(new DriverManagerDataSource(database, "jemble", ""));
  }

  /** The title of the task that a mailing's rule makes. */
  static String title(long mailing) {
    return "Call after " + mailing;
  }

  /** Nothing waits, nothing is in hand, all mail is read, and every rule has come to everyone. */
  static boolean isSettled(JdbcClient sql, PostOffice office) {
    int mails = office.mailbox(PostOffice.COMMON_MAILBOX).size();
    return sql.sql(
            """
            select not exists (select from message
                               where state in ('waiting', 'deferred') or in_hands_of is not null)
               and not exists (select from mailing_release)
               and (select count(*) from inbound_mail) >= ?
               and not exists (select from follow_rule f
                               join message s on s.cause_id = f.mailing_id and s.state = 'sent'
                               where s.address like '%.kills.example'
                                 and not exists (select from follow_act a
                                                 where a.rule_id = f.id and a.message_id = s.id))
            """)
        .param(mails)
        .query(Boolean.class)
        .single();
  }

  static HouseTally of(JdbcClient sql, PostOffice office) {
    Set<String> lost = new HashSet<>();
    Set<String> twice = new HashSet<>();
    List<Sent> messages = messages(sql);
    arrivals(messages, office, lost, twice);
    missing(sql, lost, twice);
    List<MimeMessage> mails = office.mailbox(PostOffice.COMMON_MAILBOX);
    mails(sql, mails, lost, twice);
    List<Act> acts = acts(sql);
    for (Act act : acts) {
      String which = String.format(Locale.ROOT, "rule %d at message %d", act.rule(), act.message());
      int made = act.kind().equals("SEND") || act.kind().equals("TASK") ? act.made() : 0;
      if (act.decided() == 0 || act.done() && made == 0) {
        lost.add(which);
      }
      if (act.decided() > 1 || made > (act.done() ? 1 : 0)) {
        twice.add(which);
      }
    }
    return new HouseTally(
        messages.size(),
        (int) messages.stream().filter(Sent::followUp).count(),
        (int) messages.stream().filter(m -> m.state().equals("in_doubt")).count(),
        mails.size(),
        acts.size(),
        lost,
        twice);
  }

  static List<Sent> messages(JdbcClient sql) {
    return sql.sql(
            """
            select s.id, s.token, s.state, s.thread_id is not null as follow_up
            from message s
            join person p on p.id = s.person_id
            where p.email like '%.kills.example'
            """)
        .query(Sent.class)
        .list();
  }

  static void arrivals(
      List<Sent> messages, PostOffice office, Set<String> lost, Set<String> twice) {
    Map<String, Integer> arrived = new HashMap<>();
    office
        .delivered()
        .forEach(d -> arrived.merge(Mails.header(d.message(), "Message-ID"), 1, Integer::sum));
    for (Sent message : messages) {
      int times = arrived.getOrDefault("<" + message.token() + "@ternquay.example>", 0);
      if (message.state().equals("sent") && times == 0) {
        lost.add("message " + message.id());
      }
      // What is in doubt may have arrived; what is neither cannot have.
      boolean may = message.state().equals("sent") || message.state().equals("in_doubt");
      if (times > (may ? 1 : 0)) {
        twice.add("message " + message.id());
      }
    }
  }

  /** Everybody whom a mailing goes to has one message of it. */
  private static void missing(JdbcClient sql, Set<String> lost, Set<String> twice) {
    Map<String, Long> had = new HashMap<>();
    sql.sql(
            """
            select p.email, count(s.id) as messages
            from person p
            left join message s on s.person_id = p.id and s.thread_id is null
            where p.email like '%.kills.example'
            group by p.id
            """)
        .query()
        .listOfRows()
        .forEach(row -> had.put((String) row.get("email"), (Long) row.get("messages")));
    had.forEach(
        (email, messages) -> {
          if (messages != 1) {
            (messages == 0 ? lost : twice).add(email);
          }
        });
  }

  /** Each mail is kept once, and each reply counts once. */
  private static void mails(
      JdbcClient sql, List<MimeMessage> mails, Set<String> lost, Set<String> twice) {
    Map<String, Long> responses = new HashMap<>();
    sql.sql(
            """
            select i.identity, count(r.id) as responses
            from inbound_mail i
            left join response r on r.mail_id = i.id
            group by i.id
            """)
        .query()
        .listOfRows()
        .forEach(row -> responses.put((String) row.get("identity"), (Long) row.get("responses")));
    for (MimeMessage mail : mails) {
      String identity = Mails.header(mail, "Message-ID");
      boolean reply = identity.startsWith("<reply-");
      Long counted = responses.get(identity);
      if (counted == null || reply && counted == 0) {
        lost.add("mail " + identity);
      } else if (counted > 1) {
        twice.add("mail " + identity);
      }
    }
  }

  private static List<Act> acts(JdbcClient sql) {
    return sql.sql(
            """
            select f.id as rule, s.id as message, f.act ->> 'kind' as kind,
                   count(a.rule_id) as decided, coalesce(bool_or(a.state = 'done'), false) as done,
                   case f.act ->> 'kind'
                     when 'SEND' then (select count(*) from message m
                                       where m.cause_id = f.sends_id and m.follows_id = s.id)
                     else (select count(*) from task t
                           where t.person_id = s.person_id and t.title = f.act ->> 'title')
                   end as made
            from follow_rule f
            join message s on s.cause_id = f.mailing_id and s.state = 'sent'
            left join follow_act a on a.rule_id = f.id and a.message_id = s.id
            where s.address like '%.kills.example'
            group by f.id, s.id
            """)
        .query(Act.class)
        .list();
  }
}
