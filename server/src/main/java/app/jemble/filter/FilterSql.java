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
import app.jemble.core.record.PersonId;
import app.jemble.core.record.Related;
import app.jemble.storage.Sql;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * A filter as an SQL condition over {@code person p} and the tables its fields need. Picks the same
 * people as {@link app.jemble.core.filter.FilterMatch}. Every value a person gave is a parameter;
 * the text is made of this class's own words alone.
 */
public final class FilterSql {

  /**
   * A condition.
   *
   * @param condition true or false of each person, or record, never null
   * @param joins the aliases of the tables beside person that it speaks of
   * @param readsEverything whether no index can help, so that it takes seconds among a million
   * @param around where the ids of the people stand, once or several times each, when the filter
   *     asks for nothing but a record around them; else null
   */
  public record Fragment(
      Sql condition, Set<String> joins, boolean readsEverything, Around around) {}

  /**
   * Records that by themselves say who is picked.
   *
   * @param personId the column of their people; null in it is nobody
   * @param from tables and conditions, from the word "from" on
   */
  public record Around(Sql personId, Sql from) {}

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
    Sql condition = sql.phrase(filter);
    Around around = kind == null ? sql.around(filter) : null;
    return new Fragment(condition, Set.copyOf(sql.joins), sql.readsEverything, around);
  }

  private Around around(Filter filter) {
    if (filter instanceof Filter.Group group
        && group.match() != Filter.Match.NONE
        && group.parts().size() == 1) {
      return around(group.parts().get(0));
    }
    if (filter instanceof Filter.Has has && has.atLeast() == 1) {
      return new Around(
          RelatedTables.personId(has.kind()),
          Sql.of(
              "from %s where %s and %s",
              RelatedTables.from(has.kind()),
              RelatedTables.counts(has.kind(), asOf),
              where(has.kind(), has.where())));
    }
    return null;
  }

  private Sql phrase(Filter filter) {
    if (filter instanceof Filter.Condition condition) {
      return Sql.of("(%s)", condition(condition));
    }
    if (filter instanceof Filter.Has has) {
      return has(has);
    }
    if (filter instanceof Filter.HasNo none) {
      return Sql.of("not exists (select %s)", related(none.kind(), none.where()));
    }
    Filter.Group group = (Filter.Group) filter;
    List<Sql> parts = group.parts().stream().map(this::phrase).toList();
    if (parts.isEmpty()) {
      return group.match() == Filter.Match.ANY ? Sql.of("false") : Sql.of("true");
    }
    return switch (group.match()) {
      case ALL -> Sql.of("(%s)", Sql.join(" and ", parts));
      case ANY -> Sql.of("(%s)", Sql.join(" or ", parts));
      case NONE -> Sql.of("not (%s)", Sql.join(" or ", parts));
    };
  }

  private Sql has(Filter.Has has) {
    Sql found = related(has.kind(), has.where());
    return has.atLeast() == 1
        ? Sql.of("exists (select %s)", found)
        : Sql.of(
            "(select count(*) from (select %1$s limit %2$s) c) = %2$s",
            found, Sql.param(has.atLeast()));
  }

  private Sql related(Related wanted, Filter.Group where) {
    return Sql.of(
        "from %s where %s and %s",
        RelatedTables.from(wanted), RelatedTables.ofPerson(wanted, asOf), where(wanted, where));
  }

  private Sql where(Related wanted, Filter.Group where) {
    Related outer = kind;
    kind = wanted;
    Sql condition = phrase(where);
    kind = outer;
    return condition;
  }

  /** Never null in SQL: an empty value gives true or false, so that "not" means what it says. */
  private Sql condition(Filter.Condition c) {
    TagTable table = kind == null ? TagTable.of(c.field().name()) : null;
    if (table != null) {
      return rows(c, table);
    }
    Column column = Columns.of(kind, c.field(), asOf);
    if (kind == null && !column.join().isEmpty()) {
      joins.add(column.join());
    }
    Sql value = column.value();
    return switch (c.operator()) {
      case EMPTY -> Columns.isEmpty(c.field(), column);
      case FILLED -> Sql.of("not (%s)", Columns.isEmpty(c.field(), column));
      case YES -> Sql.of("coalesce(%s, false)", value);
      case NO -> Sql.of("coalesce(not %s, false)", value);
      case IS, IS_NOT, CONTAINS, STARTS_WITH, ONE_OF -> text(c, column);
      case ANY_OF -> Sql.of("%1$s is not null and %1$s = any(%2$s)", value, choices(c));
      case NONE_OF -> Sql.of("%1$s is null or %1$s <> all(%2$s)", value, choices(c));
      case IS_ME -> Sql.of("coalesce(%s::text = %s::text, false)", value, Sql.param(asOf.login()));
      case HAS_ANY -> Sql.of("%s && %s", value, folded(c));
      case HAS_ALL -> Sql.of("%s @> %s", value, folded(c));
      case HAS_NONE -> Sql.of("not (%s && %s)", value, folded(c));
      case IN_MONTH, COMES_ROUND -> dayOfYear(c, value);
      case INTRODUCED -> introduced((Operand.Steps) c.operand());
      default -> c.operand() instanceof Operand.Numbers ? number(c, value) : days(c, value);
    };
  }

  private static Sql rows(Filter.Condition c, TagTable table) {
    return switch (c.operator()) {
      case EMPTY -> Sql.of("not %s", table.hasSome());
      case FILLED -> table.hasSome();
      case HAS_ANY -> table.hasAny(folded(c));
      case HAS_NONE -> Sql.of("not %s", table.hasAny(folded(c)));
      default ->
          Sql.join(
              " and ",
              ((Operand.Words) c.operand())
                  .words().stream().map(w -> table.has(Sql.param(fold(w)))).toList());
    };
  }

  private Sql text(Filter.Condition c, Column column) {
    readsEverything = true;
    Sql value = column.value();
    Sql has = column.fold();
    if (c.operator() == Operator.ONE_OF) {
      return Sql.of("%s is not null and %s = any(%s)", value, has, folded(c));
    }
    Sql asked = Sql.param(fold(((Operand.Text) c.operand()).text()));
    return switch (c.operator()) {
      case IS -> Sql.of("%s is not null and %s = %s", value, has, asked);
      case IS_NOT -> Sql.of("%s is null or %s <> %s", value, has, asked);
      case CONTAINS -> Sql.of("%s is not null and position(%s in %s) > 0", value, asked, has);
      default -> Sql.of("%s is not null and starts_with(%s, %s)", value, has, asked);
    };
  }

  private static Sql number(Filter.Condition c, Sql column) {
    Operand.Numbers asked = (Operand.Numbers) c.operand();
    Sql from = Sql.param(asked.from());
    return switch (c.operator()) {
      case BETWEEN ->
          Sql.of(
              "%1$s is not null and %1$s between %2$s and %3$s",
              column, from, Sql.param(asked.to()));
      case DIFFERS -> Sql.of("%1$s is null or %1$s <> %2$s", column, from);
      case EQUALS -> Sql.of("%1$s is not null and %1$s = %2$s", column, from);
      case LESS -> Sql.of("%1$s is not null and %1$s < %2$s", column, from);
      case AT_MOST -> Sql.of("%1$s is not null and %1$s <= %2$s", column, from);
      case MORE -> Sql.of("%1$s is not null and %1$s > %2$s", column, from);
      default -> Sql.of("%1$s is not null and %1$s >= %2$s", column, from);
    };
  }

  /** Instants are compared with the first instants of days, so that an index can be used. */
  private Sql days(Filter.Condition c, Sql column) {
    DayRange range = DayRange.of(c.operator(), c.operand(), asOf);
    boolean instant = c.field().type() == FieldType.INSTANT;
    Sql text = column.plus(" is not null");
    if (range.from() != null) {
      Object from = instant ? asOf.startOf(range.from()) : range.from();
      text = text.plus(Sql.of(" and %s >= %s", column, Sql.param(from)));
    }
    if (range.to() != null) {
      text =
          text.plus(
              instant
                  ? Sql.of(" and %s < %s", column, Sql.param(asOf.startOf(range.to().plusDays(1))))
                  : Sql.of(" and %s <= %s", column, Sql.param(range.to())));
    }
    return text;
  }

  private Sql dayOfYear(Filter.Condition c, Sql column) {
    Sql local = local(c.field(), column);
    if (c.operator() == Operator.IN_MONTH) {
      int month = Operand.month(c.operand(), asOf.today());
      return Sql.of(
          "%s is not null and extract(month from %s) = %s", column, local, Sql.param(month));
    }
    Set<MonthDay> days = YearDays.within(asOf.today(), ((Operand.Count) c.operand()).days());
    Long[] numbers =
        days.stream().map(d -> 100L * d.getMonthValue() + d.getDayOfMonth()).toArray(Long[]::new);
    return Sql.of(
        "%1$s is not null"
            + " and (extract(month from %2$s) * 100 + extract(day from %2$s))::bigint = any(%3$s)",
        column, local, Sql.param(numbers));
  }

  /** Walks down from the one who introduced, as far as asked; a circle ends with the steps. */
  private Sql introduced(Operand.Steps asked) {
    PersonId by = asked.person() == null ? asOf.person() : asked.person();
    if (by == null) {
      throw new FilterException(
          "introduced_by",
          "You are not among the people on record; ask an administrator to say which is yours.");
    }
    return Sql.of(
        """
        p.id in (
          with recursive brought (id, step) as (
            select b.id, 1 from offered.person b where b.introduced_by = %s::bigint
            union
            select b.id, step + 1 from offered.person b join brought on b.introduced_by = brought.id
            where step < %s)
          select id from brought)""",
        Sql.param(by), Sql.param(asked.steps()));
  }

  private Sql local(Field field, Sql column) {
    return field.type() == FieldType.INSTANT
        ? Sql.of("(%s at time zone %s)", column, Sql.param(asOf.zone().getId()))
        : column;
  }

  /** The stored spelling of each choice, or the keys; a word that is no choice fits nobody. */
  private static Sql choices(Filter.Condition c) {
    List<String> words = ((Operand.Words) c.operand()).words();
    if (c.field().name().equals("mailing")) {
      return Sql.param(words.stream().map(FilterSql::id).toArray(Long[]::new));
    }
    List<String> known = new ArrayList<>();
    for (String word : words) {
      if (c.field().type() == FieldType.REFERENCE) {
        known.add(fold(word));
      }
      c.field().choices().stream().filter(x -> fold(x).equals(fold(word))).forEach(known::add);
    }
    return Sql.of("%s::text[]", Sql.param(known.toArray(String[]::new)));
  }

  /** A key that is no number is nobody's. */
  private static Long id(String key) {
    return key.matches("\\d{1,18}") ? Long.valueOf(key) : Long.valueOf(-1);
  }

  private static Sql folded(Filter.Condition c) {
    List<String> words = ((Operand.Words) c.operand()).words();
    return Sql.of("%s::text[]", Sql.param(words.stream().map(w -> fold(w)).toArray(String[]::new)));
  }
}
