package app.jemble.change;

import app.jemble.core.record.Field;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Fields of one person or of many set in one statement, with the values before and after kept. */
public final class ChangeSql {

  private static final String PEOPLE =
      """

      from person p
      left join membership m on m.person_id = p.id
      where p.id = any(#{people})""";

  /**
   * One field of many people set to one value.
   *
   * @param batch the act it belongs to
   * @param value the value as JSON
   */
  public record SetField(long batch, Field field, String value, Long[] people) {}

  /**
   * A word added to many people's tags, or taken from them.
   *
   * @param add false takes it away
   */
  public record SetTag(long batch, String tag, boolean add, Long[] people) {}

  /** One field of a batch that is taken back. */
  public record SetBack(long batch, String field) {}

  private ChangeSql() {}

  /** Those who have the value already stay as they are. Answers how many changed. */
  public static String setField(SetField act) {
    Settable field = Settable.of(act.field());
    return set(
        field,
        "select p.id, "
            + field.read()
            + " as before, nullif(#{value}::jsonb, 'null') as after"
            + PEOPLE);
  }

  /** Tags are told apart without case and accents. Answers how many changed. */
  public static String setTag(SetTag act) {
    Settable tags = Settable.named("tags");
    String after =
        act.add()
            ? "to_jsonb(p.tags || array[#{tag}]::text[])"
            : "(select jsonb_agg(t) from unnest(p.tags) t where fold(t) <> fold(#{tag}))";
    return set(
        tags,
        "select p.id, %s as before, %s as after".formatted(tags.read(), after)
            + PEOPLE
            + (act.add() ? " and not " : " and ")
            + "p.tags_key @> array[fold(#{tag})]");
  }

  /**
   * One field of several people, each to a value of their own.
   *
   * @param people whose
   * @param values of each of them in turn, as JSON
   */
  public record SetEach(long batch, Field field, Long[] people, List<String> values) {}

  /**
   * Tags are added to those there are, and whoever asked not to be written to stays so; other
   * values take the place of what there is.
   */
  public static String setEach(SetEach act) {
    return set(Settable.of(act.field()), each(Settable.of(act.field())));
  }

  /** Whose value would change by {@link #setEach}. */
  public static String differing(SetEach act) {
    return "select id from (\n"
        + each(Settable.of(act.field()))
        + "\n) wanted where before is distinct from after";
  }

  private static String each(Settable field) {
    String after =
        switch (field.field()) {
          case "tags" ->
              """
              to_jsonb(p.tags || array(
                select t from jsonb_array_elements_text(given.value::jsonb) t
                where fold(t) <> all(p.tags_key)))""";
          case "asked_not" -> "to_jsonb(p.asked_not or coalesce(given.value = 'true', false))";
          default -> "nullif(given.value::jsonb, 'null')";
        };
    return "select p.id, %s as before, %s as after".formatted(field.read(), after)
        + """

        from unnest(#{people}::bigint[], #{values}::text[]) given (person, value)
        join person p on p.id = given.person
        left join membership m on m.person_id = p.id""";
  }

  /**
   * New people.
   *
   * @param values of each, as a JSON object by field name
   */
  public record AddEach(
      long batch, List<Field> fields, List<String> values, Instant at, LocalDate today) {}

  /** Adds people with all their values, and memberships for those with a plan; answers the ids. */
  public static String addEach(AddEach act) {
    List<Settable> fields = act.fields().stream().map(Settable::of).toList();
    return """
        with given as (
          select nextval(pg_get_serial_sequence('person', 'id')) as id, v::jsonb as v, place
          from unnest(#{values}::text[]) with ordinality as g (v, place)
        ), person_added as (
          insert into person (id, created_at%s)
          select id, #{at}%s from given
        ), membership_added as (
          insert into membership (person_id, plan, status, joined_on%s)
          select id, v ->> 'plan', coalesce(v ->> 'status', 'active'),
                 coalesce((v ->> 'joined_on')::date, #{today})%s
          from given
          where jsonb_exists(v, 'plan')
        ), noted as (
          insert into change (batch_id, person_id, field, after)
          select #{batch}, id, 'person', 'true' from given
        )
        select id from given order by place
        """
        .formatted(
            columns(fields, Settable.Table.PERSON),
            expressions(fields, Settable.Table.PERSON),
            columns(fields, Settable.Table.MEMBERSHIP),
            expressions(fields, Settable.Table.MEMBERSHIP));
  }

  private static final Set<String> WITH_THE_PLAN = Set.of("plan", "status", "joined_on");

  private static String columns(List<Settable> fields, Settable.Table table) {
    return insertable(fields, table).map(a -> ", " + a[0]).collect(Collectors.joining());
  }

  private static String expressions(List<Settable> fields, Settable.Table table) {
    return insertable(fields, table).map(a -> ", " + a[1]).collect(Collectors.joining());
  }

  /** Column and expression of each assignment; the attributes are one column together. */
  private static Stream<String[]> insertable(List<Settable> fields, Settable.Table table) {
    List<String[]> all = new ArrayList<>();
    List<String> attributes = new ArrayList<>();
    for (Settable field : fields) {
      if (field.table() != table || WITH_THE_PLAN.contains(field.field())) {
        continue;
      }
      String value = "(v -> '" + field.field() + "')";
      if (field.isAttribute()) {
        attributes.add("'" + field.field() + "', " + value);
        continue;
      }
      for (String assignment : field.assign(value).split(",(?= currency = )")) {
        all.add(assignment.strip().split(" = ", 2));
      }
    }
    if (!attributes.isEmpty()) {
      String object =
          "jsonb_strip_nulls(jsonb_build_object(" + String.join(", ", attributes) + "))";
      all.add(new String[] {"attributes", object});
    }
    if (table == Settable.Table.PERSON && all.stream().noneMatch(a -> a[0].equals("kind"))) {
      all.add(new String[] {"kind", "'contact'"});
    }
    return all.stream();
  }

  private static String set(Settable field, String wanted) {
    return "with wanted as (\n"
        + wanted
        + """

        ), changed as (
          update %s t
          set %s
          from wanted
          where t.%s = wanted.id and wanted.before is distinct from wanted.after
          returning wanted.id, wanted.before, wanted.after
        ), kept as (
          insert into change (batch_id, person_id, field, before, after)
          select #{batch}, id, '%s', before, after
          from changed
          returning 1
        )
        select count(*) from kept
        """
            .formatted(
                field.table().table(),
                field.assign("wanted.after"),
                field.table().key(),
                field.field());
  }

  /** Sets a field back for the people of a batch, where it still is what the batch made of it. */
  public static String setBack(SetBack undo) {
    Settable field = Settable.named(undo.field());
    return """
        with mine as (
          select c.person_id as id, c.before
          from change c
          join person p on p.id = c.person_id
          left join membership m on m.person_id = p.id
          where c.batch_id = #{batch} and c.field = #{field} and %s is not distinct from c.after
        )
        update %s t
        set %s
        from mine
        where t.%s = mine.id
        """
        .formatted(
            field.read(), field.table().table(), field.assign("mine.before"), field.table().key());
  }
}
