package app.jemble.filter;

import static app.jemble.core.record.Words.fold;

import app.jemble.core.filter.AsOf;
import app.jemble.core.filter.DayRange;
import app.jemble.core.filter.Filter;
import app.jemble.core.filter.Operand;
import app.jemble.core.filter.Operator;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A filter as an SQL condition over {@code person p left join membership m left join organisation o
 * left join account w}. Picks the same people as {@link app.jemble.core.filter.FilterMatch}. Every
 * value a person gave is a parameter; the text is made of this class's own words alone.
 */
public final class FilterSql {

  /**
   * A condition and its parameters.
   *
   * @param text with a placeholder {@code #{sql.params[i]}} for each parameter
   */
  public record Fragment(String text, List<Object> params) {}

  private final List<Object> params = new ArrayList<>();
  private final AsOf asOf;

  private FilterSql(AsOf asOf) {
    this.asOf = asOf;
  }

  public static Fragment of(Filter filter, AsOf asOf) {
    FilterSql sql = new FilterSql(asOf);
    String text = sql.phrase(filter);
    return new Fragment(text, List.copyOf(sql.params));
  }

  private String phrase(Filter filter) {
    if (filter instanceof Filter.Condition condition) {
      return "(" + condition(condition) + ")";
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

  /** Never null in SQL: an empty value gives true or false, so that "not" means what it says. */
  private String condition(Filter.Condition c) {
    String column = Columns.of(c.field(), this::param);
    return switch (c.operator()) {
      case EMPTY -> Columns.isEmpty(c.field(), column);
      case FILLED -> "not (" + Columns.isEmpty(c.field(), column) + ")";
      case YES -> "coalesce(" + column + ", false)";
      case NO -> "coalesce(not " + column + ", false)";
      case IS, IS_NOT, CONTAINS, STARTS_WITH -> text(c, column);
      case ANY_OF -> column + " is not null and " + column + " = any(" + choices(c) + ")";
      case NONE_OF -> column + " is null or " + column + " <> all(" + choices(c) + ")";
      case HAS_ANY -> column + " && " + folded(c);
      case HAS_ALL -> column + " @> " + folded(c);
      case HAS_NONE -> "not (" + column + " && " + folded(c) + ")";
      case IN_MONTH ->
          column
              + " is not null and extract(month from "
              + local(c.field(), column)
              + ") = "
              + param(((Operand.Count) c.operand()).number());
      default -> c.operand() instanceof Operand.Numbers ? number(c, column) : days(c, column);
    };
  }

  private String text(Filter.Condition c, String column) {
    String asked = fold(((Operand.Text) c.operand()).text());
    String has = "fold(" + column + ")";
    return switch (c.operator()) {
      case IS -> column + " is not null and " + has + " = " + param(asked);
      case IS_NOT -> column + " is null or " + has + " <> " + param(asked);
      case CONTAINS ->
          column + " is not null and position(" + param(asked) + " in " + has + ") > 0";
      default -> column + " is not null and starts_with(" + has + ", " + param(asked) + ")";
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

  private String local(Field field, String column) {
    return field.type() == FieldType.INSTANT
        ? "(" + column + " at time zone " + param(asOf.zone().getId()) + ")"
        : column;
  }

  /** The stored spelling of each choice; a word that is no choice fits nobody. */
  private String choices(Filter.Condition c) {
    List<String> known = new ArrayList<>();
    for (String word : ((Operand.Words) c.operand()).words()) {
      c.field().choices().stream().filter(x -> fold(x).equals(fold(word))).forEach(known::add);
    }
    return param(known.toArray(String[]::new)) + "::text[]";
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
