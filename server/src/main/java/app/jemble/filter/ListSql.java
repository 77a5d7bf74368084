package app.jemble.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.Related;
import java.util.Collection;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Pages and ids of a list of people, or of the records around them. The condition of a filter
 * stands in the middle; it is made by {@link FilterSql}, whose values are all parameters.
 */
public final class ListSql {

  /** What a list is sorted by when nothing else is asked. */
  private static final Order BY_NAME =
      new Order("p.name_key collate \"C\"", "text", "", false, true);

  /**
   * What a list is sorted by; records without a value come last, whichever way it is sorted.
   *
   * @param key the SQL of the value
   * @param type its type in SQL
   * @param join the alias it needs, or empty
   * @param descending greatest first
   * @param filled whether no record lacks a value
   */
  public record Order(String key, String type, String join, boolean descending, boolean filled) {}

  private ListSql() {}

  /** The order by a field; null sorts by name. */
  static Order order(Related kind, Field field, boolean descending) {
    if (field == null || (kind == null && field.name().equals("name"))) {
      return new Order(BY_NAME.key(), BY_NAME.type(), "", descending, true);
    }
    Column column = Columns.of(kind, field);
    String shown = column.shown() == null ? column.value() : column.shown();
    return switch (field.type()) {
      case NUMBER, MONEY -> new Order(column.value(), "numeric", column.join(), descending, false);
      case DAY -> new Order(column.value(), "date", column.join(), descending, false);
      case INSTANT -> new Order(column.value(), "timestamptz", column.join(), descending, false);
      case FLAG -> new Order(column.value(), "boolean", column.join(), descending, false);
      case CHOICE ->
          new Order(place(field, column.value()), "int", column.join(), descending, false);
      default ->
          new Order("fold(" + shown + ") collate \"C\"", "text", column.join(), descending, false);
    };
  }

  /** Choices are sorted as they are offered. */
  private static String place(Field field, String value) {
    String all =
        field.choices().stream()
            .map(c -> "'" + c.replace("'", "''") + "'")
            .collect(Collectors.joining(", "));
    return "array_position(array[" + all + "]::text[], " + value + ")";
  }

  /** A field as a list shows it, as text: days and instants as in ISO 8601, money with currency. */
  static String cell(Related kind, Field field) {
    Column column = Columns.of(kind, field);
    if (column.shown() != null) {
      return "(" + column.shown() + ")::text";
    }
    return field.type() == FieldType.INSTANT
        ? "to_char(" + column.value() + " at time zone 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS\"Z\"')"
        : "(" + column.value() + ")::text";
  }

  public static String page(ListQuery query) {
    Order order = query.order();
    String direction = order.descending() ? " desc nulls last" : " nulls last";
    String plainDirection = order.descending() ? " desc" : "";
    String by = order.filled() ? plainDirection : direction;
    String idBy = order.filled() ? plainDirection : "";
    return "select "
        + RelatedTables.id(query.kind())
        + " as id, p.id as person_id, p.name, p.reach, found.key::text as key,\n  "
        + "array["
        + query.cells().stream().map(f -> cell(query.kind(), f)).collect(Collectors.joining(", "))
        + "]::text[] as cells\nfrom (\nselect "
        + RelatedTables.id(query.kind())
        + " as id, "
        + order.key()
        + " as key\n"
        + from(query.kind(), joinsOf(query))
        + where(query)
        + after(query)
        + "\norder by 2"
        + by
        + ", 1"
        + idBy
        + "\nlimit #{limit}\n) found\njoin "
        + outer(query)
        + "\norder by found.key"
        + by
        + ", found.id"
        + idBy;
  }

  /** The tables once more, for the cells of the few that were found. */
  private static String outer(ListQuery query) {
    Collection<String> joins = new TreeSet<>();
    if (query.kind() == null) {
      query.cells().forEach(f -> joins.add(Columns.of(null, f).join()));
      joins.remove("");
    }
    String tables = from(query.kind(), joins).substring("from ".length());
    return query.kind() == null
        ? tables.replaceFirst("person p", "person p on p.id = found.id")
        : "(" + tables + ") on " + RelatedTables.id(query.kind()) + " = found.id";
  }

  private static Collection<String> joinsOf(ListQuery query) {
    Collection<String> joins = new TreeSet<>(query.sql().joins());
    if (!query.order().join().isEmpty()) {
      joins.add(query.order().join());
    }
    return joins;
  }

  /** The tables of a list, and of those beside a person only the ones that are asked for. */
  static String from(Related kind, Collection<String> joins) {
    String tables =
        kind == null
            ? "from person p"
            : "from "
                + RelatedTables.from(kind)
                + (kind == Related.MESSAGE ? " join mailing g on g.id = s.mailing_id" : "")
                + "\nleft join person p on "
                + RelatedTables.ofPerson(kind);
    return tables + joins.stream().map(RelatedTables::joinPerson).collect(Collectors.joining());
  }

  private static String where(ListQuery query) {
    String id = RelatedTables.id(query.kind());
    return "\nwhere p.archived_at is "
        + (query.archived() ? "not null and " : "null and ")
        + query.sql().text()
        + (query.reach() == null ? "" : "\nand p.reach = #{reach}")
        + (query.picks() == null ? "" : "\nand " + id + " = any(#{picks})")
        + (query.leftOut() == null ? "" : "\nand " + id + " <> all(#{leftOut})");
  }

  private static String after(ListQuery query) {
    if (query.afterId() == null) {
      return "";
    }
    Order order = query.order();
    String id = RelatedTables.id(query.kind());
    if (order.filled()) {
      return "\nand ("
          + order.key()
          + ", "
          + id
          + (order.descending() ? ") < (" : ") > (")
          + "#{afterKey}, #{afterId})";
    }
    if (query.afterKey() == null) {
      return "\nand " + order.key() + " is null and " + id + " > #{afterId}";
    }
    String key = "#{afterKey}::" + order.type();
    return "\nand (%1$s %2$s %3$s or (%1$s = %3$s and %4$s > #{afterId}) or %1$s is null)"
        .formatted(order.key(), order.descending() ? "<" : ">", key, id);
  }

  public static String ids(ListQuery query) {
    return "select "
        + RelatedTables.id(query.kind())
        + "\n"
        + from(query.kind(), query.sql().joins())
        + where(query);
  }

  /** Those people once each, whom the records of a list belong to. */
  public static String peopleOf(ListQuery query) {
    return "select distinct p.id\n"
        + from(query.kind(), query.sql().joins())
        + where(query)
        + " and p.id is not null";
  }

  /** How many records there are of each value of a column; the null value stands for none. */
  public static String tally(ListQuery query) {
    if (query.isWhole() && query.sql().around() != null) {
      return tallyAround(query.sql());
    }
    return "select ("
        + query.tallyBy()
        + ")::text as part, count(*) as records\n"
        + from(query.kind(), query.sql().joins())
        + where(query)
        + (query.fromId() == null ? "" : "\nand p.id >= #{fromId} and p.id < #{toId}")
        + "\ngroup by 1";
  }

  /**
   * The records around people are fewer than the people, so those who can be written to are counted
   * there, without all others, who stand in an index of their own.
   */
  private static String tallyAround(FilterSql.Fragment sql) {
    return """
        with apart as materialized (
          select case when p.archived_at is null then p.reach end as part, count(*) as records
          from person p
          where (p.reach <> 'READY' or p.archived_at is not null) and %s
          group by 1
        ), ready as (
          select count(distinct %s) - (select coalesce(sum(records), 0) from apart) as records
          %s
        )
        select part, records from apart where part is not null
        union all
        select 'READY', records from ready where records > 0"""
        .formatted(sql.text(), sql.around().personId(), sql.around().from());
  }

  /** What the tally of a list splits its records by. */
  static String tallyBy(Related kind) {
    if (kind == null) {
      return "p.reach";
    }
    return switch (kind) {
      case QUOTE -> "q.stage";
      case EVENT -> "a.state";
      case TASK ->
          """
          case when t.done_at is not null then 'done'
               when t.due_on is null then 'no day set'
               when t.due_on < #{today} then 'overdue'
               when t.due_on = #{today} then 'today'
               else 'later' end""";
      case OFFICE, MESSAGE -> "1";
    };
  }
}
