package app.jemble.filter;

import app.jemble.core.filter.AsOf;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.Related;
import app.jemble.storage.Sql;
import com.google.errorprone.annotations.CompileTimeConstant;
import java.util.Collection;
import java.util.List;
import java.util.TreeSet;

/**
 * Pages and ids of a list of people, or of the records around them. The condition of a filter
 * stands in the middle; it is made by {@link FilterSql}.
 */
final class ListSql {

  private static final Sql NAME = Sql.of("p.name_key collate \"C\"");

  /**
   * What a list is sorted by; records without a value come last, whichever way it is sorted.
   *
   * @param key the value
   * @param type its type in SQL
   * @param join the alias it needs, or empty
   * @param descending greatest first
   * @param filled whether no record lacks a value
   */
  record Order(Sql key, Sql type, String join, boolean descending, boolean filled) {

    private static Order by(
        Column column, Sql key, @CompileTimeConstant String type, boolean descending) {
      return new Order(key, Sql.of(type), column.join(), descending, false);
    }

    private Sql direction() {
      if (filled) {
        return descending ? Sql.of(" desc") : Sql.NONE;
      }
      return descending ? Sql.of(" desc nulls last") : Sql.of(" nulls last");
    }

    /** Among records of the same value. */
    private Sql idDirection() {
      return filled ? direction() : Sql.NONE;
    }
  }

  private ListSql() {}

  /** The order by a field; null sorts by name. */
  static Order order(Related kind, Field field, boolean descending, AsOf asOf) {
    if (field == null || (kind == null && field.name().equals("name"))) {
      return new Order(NAME, Sql.of("text"), "", descending, true);
    }
    Column column = Columns.of(kind, field, asOf);
    return switch (field.type()) {
      case NUMBER, MONEY -> Order.by(column, column.value(), "numeric", descending);
      case DAY -> Order.by(column, column.value(), "date", descending);
      case INSTANT -> Order.by(column, column.value(), "timestamptz", descending);
      case FLAG -> Order.by(column, column.value(), "boolean", descending);
      case CHOICE -> Order.by(column, place(field, column.value()), "int", descending);
      default -> {
        Sql shown = column.shown() == null ? column.value() : column.shown();
        yield Order.by(column, Sql.of("fold(%s) collate \"C\"", shown), "text", descending);
      }
    };
  }

  /** Choices are sorted as they are offered. */
  private static Sql place(Field field, Sql value) {
    Sql all = Sql.param(field.choices().toArray(String[]::new));
    return Sql.of("array_position(%s::text[], %s)", all, value);
  }

  /** A field as a list shows it, as text: days and instants as in ISO 8601, money with currency. */
  private static Sql cell(Related kind, Field field, AsOf asOf) {
    Column column = Columns.of(kind, field, asOf);
    if (column.shown() != null) {
      return Sql.of("(%s)::text", column.shown());
    }
    return field.type() == FieldType.INSTANT
        ? Sql.of("to_char(%s at time zone 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS\"Z\"')", column.value())
        : Sql.of("(%s)::text", column.value());
  }

  static Sql page(ListQuery query) {
    Order order = query.order();
    List<Sql> cells = query.cells().stream().map(f -> cell(query.kind(), f, query.asOf())).toList();
    Sql found =
        Sql.of(
            """
            select %s as id, %s as key
            %s%s%s
            order by 2%s, 1%s
            limit %s""",
            RelatedTables.id(query.kind()),
            order.key(),
            from(query, joinsOf(query)),
            where(query),
            after(query),
            order.direction(),
            order.idDirection(),
            Sql.param(query.limit()));
    return Sql.of(
        """
        select found.id, p.id as person_id, p.name, p.reach, found.key::text as key,
               array[%s]::text[] as cells
        from (%s) found
        join %s
        order by found.key%s, found.id%s""",
        Sql.join(", ", cells), found, outer(query), order.direction(), order.idDirection());
  }

  /** The tables once more, for the cells of the few that were found. */
  private static Sql outer(ListQuery query) {
    if (query.kind() != null) {
      return Sql.of(
          "(%s) on %s = found.id", tables(query, List.of()), RelatedTables.id(query.kind()));
    }
    Collection<String> joins = new TreeSet<>();
    query.cells().forEach(f -> joins.add(Columns.of(null, f, query.asOf()).join()));
    joins.remove("");
    return Sql.of("offered.person p on p.id = found.id%s", beside(joins));
  }

  private static Collection<String> joinsOf(ListQuery query) {
    Collection<String> joins = new TreeSet<>(query.filter().joins());
    if (!query.order().join().isEmpty()) {
      joins.add(query.order().join());
    }
    return joins;
  }

  /** The tables of a list, and of those beside a person only the ones that are asked for. */
  private static Sql from(ListQuery query, Collection<String> joins) {
    return Sql.of("from %s", tables(query, joins));
  }

  private static Sql tables(ListQuery query, Collection<String> joins) {
    Related kind = query.kind();
    if (kind == null) {
      return Sql.of("offered.person p%s", beside(joins));
    }
    return Sql.of(
        "%s%s\nleft join offered.person p on %s%s",
        RelatedTables.from(kind),
        kind == Related.MESSAGE ? Sql.of(" join offered.cause g on g.id = s.cause_id") : Sql.NONE,
        RelatedTables.ofPerson(kind, query.asOf()),
        beside(joins));
  }

  private static Sql beside(Collection<String> joins) {
    return Sql.join("", joins.stream().map(RelatedTables::joinPerson).toList());
  }

  private static Sql where(ListQuery query) {
    Sql id = RelatedTables.id(query.kind());
    return Sql.of(
        "\nwhere p.archived_at is %s and %s%s%s%s",
        query.archived() ? Sql.of("not null and p.erased_at is null") : Sql.of("null"),
        query.filter().condition(),
        query.reach() == null ? Sql.NONE : Sql.of("\nand p.reach = %s", Sql.param(query.reach())),
        query.picks() == null
            ? Sql.NONE
            : Sql.of("\nand %s = any(%s)", id, Sql.param(query.picks())),
        query.leftOut() == null
            ? Sql.NONE
            : Sql.of("\nand %s <> all(%s)", id, Sql.param(query.leftOut())));
  }

  private static Sql after(ListQuery query) {
    if (query.afterId() == null) {
      return Sql.NONE;
    }
    Order order = query.order();
    Sql id = RelatedTables.id(query.kind());
    Sql afterId = Sql.param(query.afterId());
    Sql afterKey = Sql.of("%s::%s", Sql.param(query.afterKey()), order.type());
    if (order.filled()) {
      return order.descending()
          ? Sql.of("\nand (%s, %s) < (%s, %s)", order.key(), id, afterKey, afterId)
          : Sql.of("\nand (%s, %s) > (%s, %s)", order.key(), id, afterKey, afterId);
    }
    if (query.afterKey() == null) {
      return Sql.of("\nand %s is null and %s > %s", order.key(), id, afterId);
    }
    return Sql.of(
        "\nand (%1$s %2$s %3$s or (%1$s = %3$s and %4$s > %5$s) or %1$s is null)",
        order.key(), order.descending() ? Sql.of("<") : Sql.of(">"), afterKey, id, afterId);
  }

  static Sql ids(ListQuery query) {
    return Sql.of(
        "select %s\n%s%s",
        RelatedTables.id(query.kind()), from(query, query.filter().joins()), where(query));
  }

  /**
   * The people of a list but for some. Who is not among those is found first, by their numbers
   * alone: where some are nearly all, the filter is asked of few.
   *
   * @param some whether a person {@code p} is one of them
   */
  static Sql peopleBut(ListQuery query, Sql some) {
    return Sql.of(
        """
        with others as materialized (
          select p.id
          from offered.person p
          where not %s
        )
        %s and p.id in (select o.id from others o)""",
        some, ids(query));
  }

  /** Those people once each, whom the records of a list belong to. */
  static Sql peopleOf(ListQuery query) {
    return Sql.of(
        "select distinct p.id\n%s%s and p.id is not null\norder by p.id",
        from(query, query.filter().joins()), where(query));
  }

  /** How many records there are of each value of a column; the null value stands for none. */
  static Sql tally(ListQuery query) {
    if (query.isWhole() && query.filter().around() != null) {
      return tallyAround(query.filter());
    }
    return Sql.of(
        "select (%s)::text as part, count(*) as records\n%s%s%s\ngroup by 1\norder by 1",
        tallyBy(query),
        from(query, query.filter().joins()),
        where(query),
        query.fromId() == null
            ? Sql.NONE
            : Sql.of(
                "\nand p.id >= %s and p.id < %s",
                Sql.param(query.fromId()), Sql.param(query.toId())));
  }

  /** How many people of a list have each value of a field, the commonest first; null for none. */
  static Sql values(ListQuery query, Field field, int most) {
    Collection<String> joins = joinsOf(query);
    joins.add(Columns.of(null, field, query.asOf()).join());
    joins.remove("");
    return Sql.of(
        """
        select %s as part, count(*) as records
        %s%s
        group by 1
        order by 2 desc, 1
        limit %s""",
        cell(null, field, query.asOf()), from(query, joins), where(query), Sql.param(most));
  }

  /**
   * The records around people are fewer than the people, so those who can be written to are counted
   * there, without all others, who stand in an index of their own.
   */
  private static Sql tallyAround(FilterSql.Fragment filter) {
    return Sql.of(
        """
        with apart as materialized (
          select case when p.archived_at is null then p.reach end as part, count(*) as records
          from offered.person p
          where (p.reach <> 'READY' or p.archived_at is not null) and %s
          group by 1
        ), ready as (
          select count(distinct %s) - (select coalesce(sum(records), 0) from apart) as records
          %s
        )
        select part, records from apart where part is not null
        union all
        select 'READY', records from ready where records > 0
        order by part""",
        filter.condition(), filter.around().personId(), filter.around().from());
  }

  /** What the tally of a list splits its records by. */
  private static Sql tallyBy(ListQuery query) {
    if (query.kind() == null) {
      return Sql.of("p.reach");
    }
    return switch (query.kind()) {
      case QUOTE -> Sql.of("q.stage");
      case EVENT -> Sql.of("a.state");
      case TASK ->
          Sql.of(
              """
              case when t.done_at is not null then 'done'
                   when t.due_on is null then 'no day set'
                   when t.due_on < %1$s then 'overdue'
                   when t.due_on = %1$s then 'today'
                   else 'later' end""",
              Sql.param(query.asOf().today()));
      case OFFICE, MESSAGE -> Sql.of("1");
    };
  }
}
