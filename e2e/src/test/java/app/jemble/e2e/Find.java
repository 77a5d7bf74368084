package app.jemble.e2e;

import java.util.List;
import java.util.Locale;

/**
 * People that practitioners look for.
 *
 * @param name what it is
 * @param kind "members", "leads", "contacts", or null for all
 * @param related what they must have, such as "have a quote", or null
 * @param conditions on them, or on what they have
 * @param typed the same as somebody types it
 * @param where the same question in SQL of its own, over {@code person p} and its membership {@code
 *     m}
 */
record Find(
    String name,
    String kind,
    String related,
    List<Condition> conditions,
    String typed,
    String where) {

  /**
   * A condition.
   *
   * @param operator the words of the comparison; null for the one that is there at first
   * @param values what is ticked, chosen or typed
   */
  record Condition(String field, String operator, List<String> values) {
    static Condition of(String field, String operator, String... values) {
      return new Condition(field, operator, List.of(values));
    }
  }

  @Override
  public String toString() {
    return name;
  }

  /** The day on the house's clock, which the asker gives. */
  private static final String TODAY = "cast(:today as date)";

  static final List<Find> ALL =
      List.of(
          new Find(
              "leads at a stage",
              "leads",
              null,
              List.of(Condition.of("Stage", null, "talking", "quoted")),
              "leads stage talking or quoted",
              "p.kind = 'lead' and p.stage in ('talking', 'quoted')"),
          new Find(
              "members whose last visit lies before a date",
              "members",
              null,
              List.of(Condition.of("Last visit", null, "2026-05-01")),
              "members last visit before may 2026",
              "p.kind = 'member' and p.last_visit_at < '2026-05-01 00:00 Europe/London'"),
          new Find(
              "members whose joining month is this month",
              "members",
              null,
              List.of(Condition.of("Joined", "is in … of any year")),
              "members whose joined is in this month of any year",
              "p.kind = 'member' and extract(month from m.joined_on) = extract(month from "
                  + TODAY
                  + ")"),
          new Find(
              "dues unpaid",
              "members",
              null,
              List.of(Condition.of("Dues owed", null, "0")),
              "members dues owed",
              "p.kind = 'member' and m.dues_owed > 0"),
          new Find(
              "with a tag",
              null,
              null,
              List.of(Condition.of("Tag", null, "slipway")),
              "tagged slipway",
              "'slipway' = any(p.tags)"),
          new Find(
              "the treasurer",
              null,
              "have an office",
              List.of(Condition.of("Name", null, "Treasurer"), Condition.of("Until", "is empty")),
              "office name is treasurer until empty",
              """
              exists (select from office f where f.person_id = p.id and f.name = 'Treasurer'
                      and f.until is null)"""),
          new Find(
              "all committee members",
              null,
              "have an office",
              List.of(Condition.of("Body", "is", "Committee"), Condition.of("Until", "is empty")),
              "office body is committee until empty",
              """
              exists (select from office f where f.person_id = p.id and f.body = 'Committee'
                      and f.until is null)"""),
          new Find(
              "last month's new members",
              "members",
              null,
              List.of(Condition.of("Joined", "is today, this week …", "last month")),
              "members joined last month",
              "p.kind = 'member' and m.joined_on >= date_trunc('month', "
                  + TODAY
                  + ") - interval '1 month' and m.joined_on < date_trunc('month', "
                  + TODAY
                  + ")"),
          new Find(
              "contacts with a quote sent this week and still open",
              "contacts",
              "have a quote",
              List.of(
                  Condition.of("Sent", "is today, this week …", "this week"),
                  Condition.of("Stage", null, "open")),
              "contacts with open quotes sent this week",
              String.format(
                  Locale.ROOT,
                  """
              p.kind = 'contact' and exists (select from quote q where q.person_id = p.id
                and q.stage = 'open' and q.sent_on >= date_trunc('week', %1$s)
                and q.sent_on < date_trunc('week', %1$s) + interval '7 days')""",
                  TODAY)),
          new Find(
              "introduced by me directly",
              null,
              null,
              List.of(Condition.of("Introduced by", null)),
              "introduced by me",
              """
              p.introduced_by = (select person_id from account where login = 'orla')"""),
          new Find(
              "introduced by me within three steps",
              null,
              null,
              List.of(Condition.of("Introduced by", null, "within 3 steps")),
              "people who were introduced by me within 3 steps",
              """
              (select person_id from account where login = 'orla') in (
                p.introduced_by,
                (select a.introduced_by from person a where a.id = p.introduced_by),
                (select b.introduced_by from person a join person b on b.id = a.introduced_by
                 where a.id = p.introduced_by))"""),
          new Find(
              "those who did not open a mailing",
              null,
              "have a message",
              List.of(
                  Condition.of("Mailing", null, "Winter storage"), Condition.of("Opened", "is no")),
              "messages mailing winter storage opened no",
              """
              exists (select from message s join cause g on g.id = s.cause_id
                where s.person_id = p.id and s.state = 'sent' and g.name = 'Winter storage'
                  and not exists (select from response r where r.message_id = s.id
                    and r.kind in ('OPENED', 'CLICKED', 'REPLIED')))"""),
          new Find(
              "those who did not reply to a mailing",
              null,
              "have a message",
              List.of(
                  Condition.of("Mailing", null, "Winter storage"),
                  Condition.of("Replied", "is no")),
              "messages mailing winter storage replied no",
              """
              exists (select from message s join cause g on g.id = s.cause_id
                where s.person_id = p.id and s.state = 'sent' and g.name = 'Winter storage'
                  and not exists (select from response r where r.message_id = s.id
                    and r.kind = 'REPLIED'))"""),
          new Find(
              "with a task due today",
              null,
              "have a task",
              List.of(
                  Condition.of("Due", "is today, this week …", "today"),
                  Condition.of("Done", "is no")),
              "tasks due today not done",
              "exists (select from task t where t.person_id = p.id and t.done_at is null"
                  + " and t.due_on = "
                  + TODAY
                  + ")"));
}
