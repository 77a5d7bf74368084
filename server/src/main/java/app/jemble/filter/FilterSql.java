package app.jemble.filter;

import static app.jemble.core.record.Words.fold;

import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.DayRange;
import app.jemble.core.filter.Filter;
import app.jemble.core.filter.FilterException;
import app.jemble.core.filter.Operand;
import app.jemble.core.filter.Operator;
import app.jemble.core.filter.YearDays;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.Related;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * A filter as an SQL condition over {@code person p} and the tables its fields need. Picks the same
 * people as {@link app.jemble.core.filter.FilterMatch}. Every value a person gave is a parameter;
 * the text is made of this class's own words alone.
 */
public final class FilterSql {

  /**
   * A condition and its parameters.
   *
   * @param text with a placeholder {@code #{sql.params[i]}} for each parameter
   * @param joins the aliases of the tables beside person that it speaks of
   * @param readsEverything whether no index can help, so that it takes seconds among a million
   * @param around where the ids of the people stand, once or several times each, when the filter
   *     asks for nothing but a record around them; else null
   */
  public record Fragment(
      String text, List<Object> params, Set<String> joins, boolean readsEverything, Around around) {

    /** Nobody. */
    public static final Fragment NOBODY = new Fragment("false", List.of(), Set.of(), false, null);
  }

  /**
   * Records that by themselves say who is picked.
   *
   * @param personId the column of their people; null in it is nobody
   * @param from tables and conditions, from the word "from" on
   */
  public record Around(String personId, String from) {}

  private final List<Object> params = new ArrayList<>();
  private final Set<String> joins = new TreeSet<>();
  private final AsOf asOf;
  private boolean readsEverything;

  /** The records whose fields are compared; null for people. */
  private Related kind;

  private FilterSql(AsOf asOf, Related kind) {
    this.asOf = asOf;
    this.kind = kind;
  }

  /** A condition on people. */
  public static Fragment of(Filter filter, AsOf asOf) {
    return of(null, filter, asOf);
  }

  /** A condition on the records of one kind, with the aliases of {@link RelatedTables}. */
  public static Fragment of(Related kind, Filter filter, AsOf asOf) {
    FilterSql sql = new FilterSql(asOf, kind);
    String text = sql.phrase(filter);
    Around around = kind == null ? sql.around(filter) : null;
    return new Fragment(
        text,
        Collections.unmodifiableList(sql.params),
        Set.copyOf(sql.joins),
        sql.readsEverything,
        around);
  }

  /** The same parameters once more, behind those of the filter itself. */
  private Around around(Filter filter) {
    if (filter instanceof Filter.Group group
        && group.match() != Filter.Match.NONE
        && group.parts().size() == 1) {
      return around(group.parts().get(0));
    }
    if (filter instanceof Filter.Has has && has.atLeast() == 1) {
      String which = RelatedTables.counts(has.kind()) + " and " + where(has.kind(), has.where());
      return new Around(
          RelatedTables.personId(has.kind()),
          "from " + RelatedTables.from(has.kind()) + " where " + which);
    }
    return null;
  }

  private String phrase(Filter filter) {
    if (filter instanceof Filter.Condition condition) {
      return "(" + condition(condition) + ")";
    }
    if (filter instanceof Filter.Has has) {
      return has(has);
    }
    if (filter instanceof Filter.HasNo none) {
      return "not exists (select " + related(none.kind(), none.where()) + ")";
    }
    Filter.Group group = (Filter.Group) filter;
    String joint = group.match() == Filter.Match.ALL ? " and " : " or ";
    String parts = group.parts().stream().map(this::phrase).collect(Collectors.joining(joint));
    return switch (group.match()) {
      case ALL -> parts.isEmpty() ? "true" : "(" + parts + ")";
      case ANY -> parts.isEmpty() ? "false" : "(" + parts + ")";
      case NONE -> parts.isEmpty() ? "true" : "not (" + parts + ")";
    };
  }

  private String has(Filter.Has has) {
    String found = related(has.kind(), has.where());
    return has.atLeast() == 1
        ? "exists (select " + found + ")"
        : "(select count(*) from (select "
            + found
            + " limit "
            + has.atLeast()
            + ") c) = "
            + has.atLeast();
  }

  private String related(Related wanted, Filter.Group where) {
    return "from "
        + RelatedTables.from(wanted)
        + " where "
        + RelatedTables.ofPerson(wanted)
        + " and "
        + where(wanted, where);
  }

  private String where(Related wanted, Filter.Group where) {
    Related outer = kind;
    kind = wanted;
    String condition = phrase(where);
    kind = outer;
    return condition;
  }

  /** Never null in SQL: an empty value gives true or false, so that "not" means what it says. */
  private String condition(Filter.Condition c) {
    TagTable table = kind == null ? TagTable.of(c.field().name()) : null;
    if (table != null) {
      return rows(c, table);
    }
    Column column = Columns.of(kind, c.field());
    if (kind == null && !column.join().isEmpty()) {
      joins.add(column.join());
    }
    String value = column.value();
    return switch (c.operator()) {
      case EMPTY -> Columns.isEmpty(c.field(), column);
      case FILLED -> "not (" + Columns.isEmpty(c.field(), column) + ")";
      case YES -> "coalesce(" + value + ", false)";
      case NO -> "coalesce(not " + value + ", false)";
      case IS, IS_NOT, CONTAINS, STARTS_WITH, ONE_OF -> text(c, column);
      case ANY_OF -> value + " is not null and " + value + " = any(" + choices(c) + ")";
      case NONE_OF -> value + " is null or " + value + " <> all(" + choices(c) + ")";
      case IS_ME -> "coalesce(" + value + "::text = " + param(asOf.login()) + "::text, false)";
      case HAS_ANY -> value + " && " + folded(c);
      case HAS_ALL -> value + " @> " + folded(c);
      case HAS_NONE -> "not (" + value + " && " + folded(c) + ")";
      case IN_MONTH, COMES_ROUND -> dayOfYear(c, value);
      case INTRODUCED -> introduced((Operand.Steps) c.operand());
      default -> c.operand() instanceof Operand.Numbers ? number(c, value) : days(c, value);
    };
  }

  private String rows(Filter.Condition c, TagTable table) {
    return switch (c.operator()) {
      case EMPTY -> "not " + table.has("");
      case FILLED -> table.has("");
      case HAS_ANY -> table.has(" = any(" + folded(c) + ")");
      case HAS_NONE -> "not " + table.has(" = any(" + folded(c) + ")");
      default ->
          ((Operand.Words) c.operand())
              .words().stream()
                  .map(w -> table.has(" = " + param(fold(w))))
                  .collect(Collectors.joining(" and "));
    };
  }

  private String text(Filter.Condition c, Column column) {
    readsEverything = true;
    String filled = column.value() + " is not null and ";
    String has = column.fold();
    if (c.operator() == Operator.ONE_OF) {
      return filled + has + " = any(" + folded(c) + ")";
    }
    String asked = fold(((Operand.Text) c.operand()).text());
    return switch (c.operator()) {
      case IS -> filled + has + " = " + param(asked);
      case IS_NOT -> column.value() + " is null or " + has + " <> " + param(asked);
      case CONTAINS -> filled + "position(" + param(asked) + " in " + has + ") > 0";
      default -> filled + "starts_with(" + has + ", " + param(asked) + ")";
    };
  }

  private String number(Filter.Condition c, String column) {
    Operand.Numbers asked = (Operand.Numbers) c.operand();
    if (c.operator() == Operator.BETWEEN) {
      return column
          + " is not null and "
          + column
          + " between "
          + param(asked.from())
          + " and "
          + param(asked.to());
    }
    if (c.operator() == Operator.DIFFERS) {
      return column + " is null or " + column + " <> " + param(asked.from());
    }
    String sign =
        switch (c.operator()) {
          case EQUALS -> " = ";
          case LESS -> " < ";
          case AT_MOST -> " <= ";
          case MORE -> " > ";
          default -> " >= ";
        };
    return column + " is not null and " + column + sign + param(asked.from());
  }

  /** Instants are compared with the first instants of days, so that an index can be used. */
  private String days(Filter.Condition c, String column) {
    DayRange range = DayRange.of(c.operator(), c.operand(), asOf.today());
    boolean instant = c.field().type() == FieldType.INSTANT;
    StringBuilder text = new StringBuilder(column).append(" is not null");
    if (range.from() != null) {
      text.append(" and ").append(column).append(" >= ");
      text.append(param(instant ? asOf.startOf(range.from()) : range.from()));
    }
    if (range.to() != null) {
      text.append(" and ").append(column).append(instant ? " < " : " <= ");
      text.append(param(instant ? asOf.startOf(range.to().plusDays(1)) : range.to()));
    }
    return text.toString();
  }

  private String dayOfYear(Filter.Condition c, String column) {
    String local = local(c.field(), column);
    String filled = column + " is not null and ";
    if (c.operator() == Operator.IN_MONTH) {
      int month = Operand.month(c.operand(), asOf.today());
      return filled + "extract(month from " + local + ") = " + param(month);
    }
    Set<MonthDay> days = YearDays.within(asOf.today(), ((Operand.Count) c.operand()).days());
    Long[] numbers =
        days.stream().map(d -> 100L * d.getMonthValue() + d.getDayOfMonth()).toArray(Long[]::new);
    return filled
        + "(extract(month from %1$s) * 100 + extract(day from %1$s))::bigint = any(%2$s)"
            .formatted(local, param(numbers));
  }

  /** Walks down from the one who introduced, as far as asked; a circle ends with the steps. */
  private String introduced(Operand.Steps asked) {
    Long by = asked.person() == null ? asOf.person() : asked.person();
    if (by == null) {
      throw new FilterException(
          "introduced_by",
          "You are not among the people on record; ask an administrator to say which is yours.");
    }
    return """
        p.id in (
          with recursive brought (id, step) as (
            select b.id, 1 from person b where b.introduced_by = %s::bigint
            union
            select b.id, step + 1 from person b join brought on b.introduced_by = brought.id
            where step < %d)
          select id from brought)"""
        .formatted(param(by), asked.steps());
  }

  private String local(Field field, String column) {
    return field.type() == FieldType.INSTANT
        ? "(" + column + " at time zone " + param(asOf.zone().getId()) + ")"
        : column;
  }

  /** The stored spelling of each choice, or the keys; a word that is no choice fits nobody. */
  private String choices(Filter.Condition c) {
    List<String> words = ((Operand.Words) c.operand()).words();
    if (c.field().name().equals("mailing")) {
      return param(words.stream().map(FilterSql::id).toArray(Long[]::new));
    }
    List<String> known = new ArrayList<>();
    for (String word : words) {
      if (c.field().type() == FieldType.REFERENCE) {
        known.add(fold(word));
      }
      c.field().choices().stream().filter(x -> fold(x).equals(fold(word))).forEach(known::add);
    }
    return param(known.toArray(String[]::new)) + "::text[]";
  }

  /** A key that is no number is nobody's. */
  private static Long id(String key) {
    return key.matches("\\d{1,18}") ? Long.valueOf(key) : Long.valueOf(-1);
  }

  private String folded(Filter.Condition c) {
    List<String> words = ((Operand.Words) c.operand()).words();
    return param(words.stream().map(w -> fold(w)).toArray(String[]::new)) + "::text[]";
  }

  private String param(Object value) {
    params.add(value);
    return "#{sql.params[" + (params.size() - 1) + "]}";
  }
}
