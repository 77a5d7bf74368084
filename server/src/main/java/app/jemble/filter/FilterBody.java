package app.jemble.filter;

import app.jemble.core.filter.Filter;
import app.jemble.core.filter.FilterException;
import app.jemble.core.filter.Operand;
import app.jemble.core.filter.Operator;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * A filter as the API and the database write it: conditions that all, any or none must hold.
 *
 * @param match how the parts hold together
 * @param conditions single comparisons
 * @param groups groups inside this one
 */
@Schema(name = "Filter")
public record FilterBody(
    Filter.Match match, List<ConditionBody> conditions, List<FilterBody> groups) {

  private static final int DEEPEST = 8;

  /**
   * One comparison.
   *
   * @param values what the operator takes, as texts: days as 2025-05-01, numbers as 42.50
   */
  @Schema(name = "Condition")
  public record ConditionBody(String field, Operator operator, List<String> values) {}

  public static final FilterBody EVERYONE = new FilterBody(Filter.Match.ALL, List.of(), List.of());

  /** The one filter with these conditions, all of which must hold. */
  public static FilterBody all(List<ConditionBody> conditions) {
    return new FilterBody(Filter.Match.ALL, conditions, List.of());
  }

  /**
   * Reads it into core's tree.
   *
   * @throws FilterException with a sentence when a field, an operator or a value is wrong
   */
  public Filter toFilter(FieldCatalogue fields) {
    return read(this, fields, 0);
  }

  private static Filter read(FilterBody body, FieldCatalogue fields, int depth) {
    if (depth > DEEPEST) {
      throw new FilterException("", "Groups may be nested " + DEEPEST + " deep.");
    }
    if (body.match() == null) {
      throw new FilterException("", "Say whether all, any or none of the conditions must hold.");
    }
    List<Filter> parts = new java.util.ArrayList<>();
    for (ConditionBody condition : orNone(body.conditions())) {
      parts.add(read(condition, fields));
    }
    for (FilterBody group : orNone(body.groups())) {
      parts.add(read(group, fields, depth + 1));
    }
    return new Filter.Group(body.match(), parts);
  }

  private static Filter.Condition read(ConditionBody body, FieldCatalogue fields) {
    Field field =
        fields
            .find(body.field() == null ? "" : body.field())
            .filter(f -> f.allows(FieldUse.FILTER))
            .orElseThrow(
                () ->
                    new FilterException(
                        body.field(),
                        "There is no field named “" + body.field() + "” to filter by."));
    if (body.operator() == null) {
      throw new FilterException(field.name(), "Say how " + field.label() + " is compared.");
    }
    return new Filter.Condition(
        field, body.operator(), Operand.read(field, body.operator(), orNone(body.values())));
  }

  private static <T> List<T> orNone(List<T> list) {
    return list == null ? List.of() : list;
  }
}
