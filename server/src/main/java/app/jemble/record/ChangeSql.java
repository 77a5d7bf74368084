package app.jemble.record;

import app.jemble.core.record.Field;
import app.jemble.core.record.PersonId;
import app.jemble.storage.Sql;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Fields of one person or of many set in one statement, with the values before and after kept. */
final class ChangeSql {

  private static final Set<String> WITH_THE_PLAN = Set.of("plan", "status", "joined_on");

  private ChangeSql() {}

  /**
   * One field of many people set to one value. Those who have it already stay as they are. Answers
   * how many changed.
   *
   * @param batch the act it belongs to
   * @param value the value as JSON
   */
  static Sql setField(long batch, Field field, String value, PersonId[] people) {
    Settable settable = Settable.of(field);
    return set(
        batch,
        settable,
        Sql.of(
            """
            select p.id, %s as before, nullif(%s::jsonb, 'null') as after
            %s""",
            settable.read(), Sql.param(value), from(people)));
  }

  private static Sql from(PersonId[] people) {
    return Sql.of(
        """
        from person p
        left join membership m on m.person_id = p.id
        where p.id = any(%s)""",
        Sql.param(people));
  }

  /**
   * A word added to many people's tags, or taken from them. Tags are told apart without case and
   * accents. Answers how many changed.
   *
   * @param add false takes it away
   */
  static Sql setTag(long batch, String tag, boolean add, PersonId[] people) {
    Settable tags = Settable.named("tags");
    Sql word = Sql.param(tag);
    Sql after =
        add
            ? Sql.of("to_jsonb(p.tags || array[%s]::text[])", word)
            : Sql.of("(select jsonb_agg(t) from unnest(p.tags) t where fold(t) <> fold(%s))", word);
    Sql has = Sql.of("p.tags_key @> array[fold(%s)]", word);
    return set(
        batch,
        tags,
        Sql.of(
            "select p.id, %s as before, %s as after %s and %s",
            tags.read(), after, from(people), add ? Sql.of("not %s", has) : has));
  }

  /**
   * One field of several people, each to a value of their own: tags are added to those there are,
   * and whoever asked not to be written to stays so; other values take the place of what there is.
   *
   * @param people whose
   * @param values of each of them in turn, as JSON
   */
  static Sql setEach(long batch, Field field, PersonId[] people, List<String> values) {
    Settable settable = Settable.of(field);
    return set(batch, settable, each(settable, people, values));
  }

  /** Whose value would change by {@link #setEach}. */
  static Sql differing(Field field, PersonId[] people, List<String> values) {
    return Sql.of(
        "select id from (%s) wanted where before is distinct from after",
        each(Settable.of(field), people, values));
  }

  private static Sql each(Settable field, PersonId[] people, List<String> values) {
    Sql after =
        switch (field.field()) {
          case "tags" ->
              Sql.of(
                  """
                  to_jsonb(p.tags || array(
                    select t from jsonb_array_elements_text(given.value::jsonb) t
                    where fold(t) <> all(p.tags_key)))""");
          case "asked_not" ->
              Sql.of("to_jsonb(p.asked_not or coalesce(given.value = 'true', false))");
          default -> Sql.of("nullif(given.value::jsonb, 'null')");
        };
    return Sql.of(
        """
        select p.id, %s as before, %s as after
        from unnest(%s::bigint[], %s::text[]) given (person, value)
        join person p on p.id = given.person
        left join membership m on m.person_id = p.id""",
        field.read(), after, Sql.param(people), Sql.param(values));
  }

  /**
   * Adds people with all their values, and memberships for those with a plan; answers the ids. Whom
   * somebody adds who sees their own people only is theirs where nothing else is said. What is
   * added beside the people does not see them yet, and so is not looked at for whose they are.
   *
   * @param values of each, as a JSON object by field name
   */
  static Sql addEach(long batch, List<Field> fields, List<String> values, NewRows rows) {
    List<Settable> settable = fields.stream().map(Settable::of).toList();
    List<Given> person = given(settable, Settable.Table.PERSON);
    List<Given> membership = given(settable, Settable.Table.MEMBERSHIP);
    return Sql.of(
        """
        with given as (
          select nextval(pg_get_serial_sequence('public.person', 'id')) as id, v::jsonb as v, place
          from unnest(%1$s::text[]) with ordinality as g (v, place)
        ), person_added as (
          insert into person (id, created_at%2$s)
          select id, %3$s%4$s from given
        ), membership_added as (
          insert into public.membership (person_id, plan, status, joined_on%5$s)
          select id, v ->> 'plan', coalesce(v ->> 'status', %9$s),
                 coalesce((v ->> 'joined_on')::date, %6$s)%7$s
          from given
          where jsonb_exists(v, 'plan')
        ), noted as (
          insert into public.change (batch_id, person_id, field, after)
          select %8$s, id, 'person', 'true' from given
        )
        select id from given order by place
        """,
        Sql.param(values),
        columns(person),
        Sql.param(rows.at()),
        expressions(person),
        columns(membership),
        Sql.param(rows.today()),
        expressions(membership),
        Sql.param(batch),
        Sql.param(rows.status()));
  }

  /**
   * What new rows have of themselves.
   *
   * @param status of members whose values say none
   */
  record NewRows(Instant at, LocalDate today, String status) {}

  /** What a column of a new record becomes. */
  private record Given(Sql column, Sql value) {}

  private static Sql columns(List<Given> all) {
    return Sql.join("", all.stream().map(g -> Sql.of(", %s", g.column())).toList());
  }

  private static Sql expressions(List<Given> all) {
    return Sql.join("", all.stream().map(g -> Sql.of(", %s", g.value())).toList());
  }

  /** Column and value of each field of a table; the attributes are one column together. */
  private static List<Given> given(List<Settable> fields, Settable.Table table) {
    List<Given> all = new ArrayList<>();
    List<Sql> attributes = new ArrayList<>();
    boolean kind = false;
    boolean owner = false;
    for (Settable field : fields) {
      if (field.table() != table || WITH_THE_PLAN.contains(field.field())) {
        continue;
      }
      kind |= field.field().equals("kind");
      Sql name = Sql.of("%s::text", Sql.param(field.field()));
      Sql value = Sql.of("(v -> %s)", name);
      if (field.isAttribute()) {
        attributes.add(Sql.of("%s, %s", name, value));
      } else {
        boolean owns = field.field().equals("owner");
        owner |= owns;
        for (Settable.Written w : field.written()) {
          Sql wanted = w.value().apply(value);
          all.add(owns ? owned(wanted) : new Given(w.column(), wanted));
        }
      }
    }
    if (!attributes.isEmpty()) {
      all.add(
          new Given(
              Sql.of("attributes"),
              Sql.of("jsonb_strip_nulls(jsonb_build_object(%s))", Sql.join(", ", attributes))));
    }
    if (table == Settable.Table.PERSON) {
      if (!kind) {
        all.add(new Given(Sql.of("kind"), Sql.of("'contact'")));
      }
      if (!owner) {
        all.add(owned(Sql.of("null")));
      }
    }
    return all;
  }

  /** The owner of somebody who is added. */
  private static Given owned(Sql wanted) {
    return new Given(Sql.of("owner_id"), Sql.of("coalesce(%s, own.owner())", wanted));
  }

  private static Sql set(long batch, Settable field, Sql wanted) {
    return Sql.of(
        """
        with wanted as (
        %1$s
        ), changed as (
          update %2$s t
          set %3$s
          from wanted
          where t.%4$s = wanted.id and wanted.before is distinct from wanted.after
          returning wanted.id, wanted.before, wanted.after
        ), kept as (
          insert into change (batch_id, person_id, field, before, after)
          select %5$s, id, %6$s, before, after
          from changed
          returning 1
        )
        select count(*) from kept
        """,
        wanted,
        field.table().table(),
        field.assign(Sql.of("wanted.after")),
        field.table().key(),
        Sql.param(batch),
        Sql.param(field.field()));
  }

  /** Sets a field back for the people of a batch, where it still is what the batch made of it. */
  static Sql setBack(long batch, String name) {
    Settable field = Settable.named(name);
    return Sql.of(
        """
        with mine as (
          select c.person_id as id, c.before
          from change c
          join person p on p.id = c.person_id
          left join membership m on m.person_id = p.id
          where c.batch_id = %s and c.field = %s and %s is not distinct from c.after
        )
        update %s t
        set %s
        from mine
        where t.%s = mine.id
        """,
        Sql.param(batch),
        Sql.param(name),
        field.read(),
        field.table().table(),
        field.assign(Sql.of("mine.before")),
        field.table().key());
  }
}
