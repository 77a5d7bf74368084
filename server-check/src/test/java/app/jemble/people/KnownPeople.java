package app.jemble.people;

import app.jemble.core.reach.Channel;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.EmailAddress;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldValue;
import app.jemble.core.record.PersonId;
import app.jemble.core.record.PhoneNumber;
import app.jemble.core.record.Related;
import app.jemble.core.record.Values;
import java.math.BigDecimal;
import java.sql.Array;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Everybody in the database as core sees them, with the records around them; read by plain
 * questions of its own, so that it can stand beside the application's.
 */
final class KnownPeople {

  private static final int LONGEST_CHAIN = 9;

  private static final Map<Related, String> AROUND =
      Map.of(
          Related.QUOTE,
          """
          select q.*, a.login as owner from quote q left join account a on a.id = q.owner_id""",
          Related.TASK,
          """
          select t.*, t.done_at is not null as done, a.login as owner
          from task t left join account a on a.id = t.owner_id""",
          Related.EVENT,
          """
          select a.person_id, e.name, e.starts_at as starts, e.place, a.state as attendance
          from attendance a join event e on e.id = a.event_id""",
          Related.OFFICE,
          """
          select o.*, nullif(w.group_name, '') as "group",
                 (o.since > :today or o.until < :today) is not true as held
          from office o left join standing_word w on w.about = 'OFFICE' and w.name = o.name""",
          Related.MESSAGE,
          """
          select s.person_id, s.cause_id::text as mailing, s.subject, s.sent_at as sent,
                 count(*) filter (where r.kind in ('OPENED', 'CLICKED', 'REPLIED')) > 0 as opened,
                 count(*) filter (where r.kind = 'CLICKED') > 0 as clicked,
                 count(*) filter (where r.kind = 'REPLIED') > 0 as replied,
                 count(*) filter (where r.kind like 'RETURNED%') > 0 as returned,
                 count(*) filter (where r.kind = 'LEFT') > 0 as "left"
          from message s left join response r on r.message_id = s.id
          where s.state = 'sent'
          group by s.id""");

  /** Fields of people that a record for merging does not have. */
  private static final String BESIDE =
      """
      select p.id, (select m.status from membership m where m.person_id = p.id) as standing,
             a.login as owner, p.time_zone, p.language, p.asked_not, p.app_installed,
             p.email as mailbox, p.phone as number_dialled,
             array(select c.channel from way_closed c where c.person_id = p.id) as closed,
             array(select d.address_key from do_not_write d
                   where d.address_key in (p.email_key, p.phone_key)) as listed,
             (select array_agg(l.name) from list_member x join person_list l on l.id = x.list_id
              where x.person_id = p.id) as list,
             (select array_agg(t.name) from topic_left x join topic t on t.id = x.topic_id
              where x.person_id = p.id) as topic_left,
             (select max(r.at) from response r
              where r.person_id = p.id and r.kind not like 'MACHINE%') as last_heard
      from person p left join account a on a.id = p.owner_id""";

  private final JdbcClient sql;
  private final FieldCatalogue fields;
  private final LocalDate today;

  KnownPeople(JdbcClient sql, FieldCatalogue fields, LocalDate today) {
    this.today = today;
    this.sql = sql;
    this.fields = fields;
  }

  /** Each person's values by id, with those that the application reads for merging. */
  Map<Long, Values> with(Map<Long, Values> merged) {
    Map<Long, Map<Related, List<Values>>> around = around();
    Map<Long, Long> introducers = introducers();
    Map<Long, Values> all = new HashMap<>();
    for (Map<String, Object> row : sql.sql(BESIDE).query().listOfRows()) {
      long id = ((Number) row.get("id")).longValue();
      Map<String, FieldValue> values = values(row, fields);
      values.put("introduced_by", FieldValue.introducers(chain(id, introducers)));
      values.put("reached_by", FieldValue.tags(reachedBy(row)));
      List<String> closed = words(row.get("closed"));
      values.put("current_member", new FieldValue.Flag("active".equals(row.get("standing"))));
      values.put("no_mail", new FieldValue.Flag(closed.contains("EMAIL")));
      values.put("no_texts", new FieldValue.Flag(closed.contains("TEXT")));
      values.put("no_notices", new FieldValue.Flag(closed.contains("APP")));
      Values beside = Values.of(values, around.getOrDefault(id, Map.of()));
      all.put(id, both(merged.get(id), beside));
    }
    return all;
  }

  /** As core reads what is on record. */
  private static List<String> reachedBy(Map<String, Object> row) {
    String mailbox = (String) row.get("mailbox");
    String number = (String) row.get("number_dialled");
    Map<Channel, String> addresses = new EnumMap<>(Channel.class);
    addresses.put(Channel.EMAIL, mailbox);
    addresses.put(Channel.TEXT, number == null ? null : PhoneNumber.dialled(number));
    addresses.put(Channel.APP, (Boolean) row.get("app_installed") ? "app" : null);
    List<String> listed = words(row.get("listed"));
    List<String> closed = words(row.get("closed"));
    return addresses.keySet().stream()
        .filter(
            way -> {
              String address = addresses.get(way);
              boolean isListed = address != null && listed.contains(EmailAddress.key(address));
              return Reach.by(
                      way,
                      new Reach.Facts(
                          address,
                          (Boolean) row.get("asked_not"),
                          closed.contains(way.name()),
                          isListed,
                          false,
                          false))
                  == Reach.READY;
            })
        .map(Channel::words)
        .toList();
  }

  private static Values both(Values merged, Values beside) {
    return new Values() {
      @Override
      public FieldValue get(String field) {
        FieldValue own = merged.get(field);
        return own.isEmpty() ? beside.get(field) : own;
      }

      @Override
      public List<Values> related(Related kind) {
        return beside.related(kind);
      }
    };
  }

  private Map<Long, Map<Related, List<Values>>> around() {
    Map<Long, Map<Related, List<Values>>> around = new HashMap<>();
    AROUND.forEach(
        (kind, question) -> {
          for (Map<String, Object> row :
              sql.sql(question).param("today", today).query().listOfRows()) {
            if (row.get("person_id") instanceof Number id) {
              around
                  .computeIfAbsent(id.longValue(), p -> new EnumMap<>(Related.class))
                  .computeIfAbsent(kind, k -> new ArrayList<>())
                  .add(Values.of(values(row, FieldCatalogue.of(kind))));
            }
          }
        });
    return around;
  }

  private Map<Long, Long> introducers() {
    Map<Long, Long> by = new HashMap<>();
    sql.sql("select id, introduced_by from person where introduced_by is not null")
        .query(
            row -> {
              by.put(row.getLong(1), row.getLong(2));
            });
    return by;
  }

  private static List<PersonId> chain(long id, Map<Long, Long> introducers) {
    List<PersonId> chain = new ArrayList<>();
    Long next = introducers.get(id);
    while (next != null && chain.size() < LONGEST_CHAIN) {
      chain.add(new PersonId(next));
      next = introducers.get(next);
    }
    return chain;
  }

  private static Map<String, FieldValue> values(Map<String, Object> row, FieldCatalogue fields) {
    Map<String, FieldValue> values = new HashMap<>();
    row.forEach(
        (column, value) ->
            fields.find(column).ifPresent(field -> values.put(column, value(field, value, row))));
    return values;
  }

  private static FieldValue value(Field field, Object value, Map<String, Object> row) {
    if (value == null) {
      return FieldValue.EMPTY;
    }
    return switch (field.type()) {
      case MONEY -> FieldValue.money((BigDecimal) value, row.get("currency").toString());
      case DAY -> FieldValue.day(LocalDate.parse(value.toString()));
      case INSTANT -> FieldValue.moment(((Timestamp) value).toInstant());
      case FLAG -> new FieldValue.Flag((Boolean) value);
      case TAGS -> FieldValue.tags(words(value));
      default -> FieldValue.text(value.toString());
    };
  }

  private static List<String> words(Object array) {
    try {
      return List.of((String[]) ((Array) array).getArray());
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }
}
