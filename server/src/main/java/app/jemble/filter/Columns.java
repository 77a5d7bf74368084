package app.jemble.filter;

import app.jemble.core.filter.AsOf;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.Related;
import app.jemble.storage.PersonColumn;
import app.jemble.storage.Sql;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;

/** Where each field stands in the tables: of people, and of the records around them. */
final class Columns {

  private static final Sql CURRENT_MEMBER =
      Sql.of(
          """
          exists (select from offered.membership cm
                  join offered.standing_word cw on cw.about = 'STATUS' and cw.name = cm.status
                  where cm.person_id = p.id and cw.counts)""");

  private static final Sql GROUP_OF_OFFICE =
      Sql.of(
          """
          (select nullif(fw.group_name, '') from offered.standing_word fw
           where fw.about = 'OFFICE' and fw.name = f.name)""");

  private static final Map<String, Column> PERSON = new HashMap<>();

  static {
    PersonColumn.ALL.forEach(column -> PERSON.put(column.field(), Column.of(column)));
    PERSON.compute("name", (field, name) -> name.foldedAs("p.name_key"));
    PERSON.compute("dues_owed", (field, dues) -> dues.shownAs("m.dues_owed || ' ' || m.currency"));
    PERSON.compute("owner", (field, owner) -> owner.shownAs("w.name"));
    PERSON.put(
        "tags", Column.of("p.tags_key").shownAs("nullif(array_to_string(p.tags, ', '), '')"));
    PERSON.compute(
        "introduced_by",
        (field, by) ->
            by.shownAs("(select i.name from offered.person i where i.id = p.introduced_by)"));
    PERSON.put("list", Column.of(TagTable.LIST.array()));
    PERSON.put("topic_left", Column.of(TagTable.TOPIC_LEFT.array()));
    PERSON.put("current_member", Column.of(CURRENT_MEMBER));
    PERSON.put("no_mail", askedNotOn("EMAIL"));
    PERSON.put("no_texts", askedNotOn("TEXT"));
    PERSON.put("no_notices", askedNotOn("APP"));
    PERSON.put("reached_by", Column.of(TagTable.REACHED_BY.array()));
    PERSON.put(
        "last_heard",
        Column.of(lastHeard(Sql.of("r.at"), Sql.of("r.at desc")))
            .shownAs(lastHeard(Sql.of("r.kind || ' ' || r.at"), Sql.of("r.at desc, r.id desc"))));
  }

  private static final Map<Related, Map<String, Column>> RELATED = new EnumMap<>(Related.class);

  static {
    RELATED.put(
        Related.QUOTE,
        Map.of(
            "number", Column.of("q.number"),
            "title", Column.of("q.title"),
            "total", Column.of("q.total").shownAs("q.total || ' ' || q.currency"),
            "stage", Column.of("q.stage"),
            "sent_on", Column.of("q.sent_on"),
            "valid_until", Column.of("q.valid_until"),
            "owner", Column.of("qw.login").shownAs("qw.name")));
    RELATED.put(
        Related.TASK,
        Map.of(
            "title", Column.of("t.title"),
            "kind", Column.of("t.kind"),
            "due_on", Column.of("t.due_on"),
            "done", Column.of("t.done_at is not null"),
            "done_at", Column.of("t.done_at"),
            "owner", Column.of("tw.login").shownAs("tw.name")));
    RELATED.put(
        Related.EVENT,
        Map.of(
            "name", Column.of("e.name"),
            "starts", Column.of("e.starts_at"),
            "place", Column.of("e.place"),
            "attendance", Column.of("a.state")));
    RELATED.put(
        Related.OFFICE,
        Map.of(
            "name", Column.of("f.name"),
            "group", Column.of(GROUP_OF_OFFICE),
            "body", Column.of("f.body"),
            "since", Column.of("f.since"),
            "until", Column.of("f.until")));
    RELATED.put(
        Related.MESSAGE,
        Map.of(
            "mailing", Column.of("s.cause_id").shownAs("g.name"),
            "subject", Column.of("s.subject"),
            "sent", Column.of("s.sent_at"),
            "opened", Column.of("s.opened"),
            "clicked", Column.of("s.clicked"),
            "replied", Column.of("s.replied"),
            "returned", Column.of("s.returned"),
            "left", Column.of("s.has_left")));
  }

  private Columns() {}

  /**
   * The column of a field; an attribute is taken out of its JSON and given its type.
   *
   * @param kind the records the field belongs to, null for people
   */
  static Column of(Related kind, Field field, AsOf asOf) {
    if (kind == Related.OFFICE && field.name().equals("held")) {
      return Column.of(heldOn(asOf.today()));
    }
    Column column = (kind == null ? PERSON : RELATED.get(kind)).get(field.name());
    if (column != null) {
      return column;
    }
    Sql value = Sql.of("(p.attributes ->> %s)", Sql.param(field.name()));
    return Column.of(
        switch (field.type()) {
          case NUMBER, MONEY -> value.plus("::numeric");
          case DAY -> value.plus("::date");
          case INSTANT -> value.plus("::timestamptz");
          case FLAG -> value.plus("::boolean");
          default -> value;
        });
  }

  /** Whoever is not there for the colleague who asks has introduced nobody. */
  static Sql isEmpty(Field field, Column column) {
    if (field.name().equals("introduced_by")) {
      return Sql.of("not exists (select from offered.person i where i.id = %s)", column.value());
    }
    return field.type() == FieldType.TAGS
        ? Sql.of("cardinality(%s) = 0", column.value())
        : column.value().plus(" is null");
  }

  private static Sql heldOn(LocalDate day) {
    return Sql.of("office_held(f.since, f.until, %s)", Sql.param(day));
  }

  private static Column askedNotOn(String channel) {
    return Column.of(
        Sql.of(
            """
            exists (select from offered.not_on_way n
                    where n.person_id = p.id and n.topic_id is null and n.channel = %s)""",
            Sql.param(channel)));
  }

  /** A click opens at the same instant: where the sign is shown, it is the later of the two. */
  private static Sql lastHeard(Sql what, Sql order) {
    return Sql.of(
        """
        (select %s from offered.response r
         where r.person_id = p.id and r.kind not in ('MACHINE_OPENED', 'MACHINE_CLICKED')
         order by %s limit 1)""",
        what, order);
  }
}
