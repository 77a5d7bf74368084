package app.jemble.filter;

import app.jemble.core.filter.Filter;
import app.jemble.core.filter.FilterException;
import app.jemble.core.filter.Operand;
import app.jemble.core.filter.Operator;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Related;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;

/**
 * A filter as the API and the database write it: conditions that all, any or none must hold.
 *
 * @param match how the parts hold together
 * @param conditions single comparisons
 * @param related what records around a person must be there, or must not
 * @param groups groups inside this one
 */
@Schema(name = "Filter")
public record FilterBody(
    Filter.Match match,
    List<ConditionBody> conditions,
    @Schema(nullable = true) List<RelatedBody> related,
    List<FilterBody> groups) {

  private static final int DEEPEST = 8;

  /**
   * One comparison.
   *
   * @param values what the operator takes, as texts: days as 2025-05-01, numbers as 42.50
   */
  @Schema(name = "Condition")
  public record ConditionBody(String field, Operator operator, List<String> values) {}

  /**
   * Records around a person.
   *
   * @param kind which records
   * @param atLeast how many of them; 0 for none at all
   * @param where what each of them must hold
   */
  @Schema(name = "RelatedCondition")
  public record RelatedBody(Related kind, int atLeast, FilterBody where) {}

  public static final FilterBody EVERYONE = all(List.of());

  /** The one filter with these conditions, all of which must hold. */
  public static FilterBody all(List<ConditionBody> conditions) {
    return new FilterBody(Filter.Match.ALL, conditions, List.of(), List.of());
  }

  /** A tree of core's as the API writes it; parts of one kind stand together. */
  public static FilterBody of(Filter.Group group) {
    List<ConditionBody> conditions = new ArrayList<>();
    List<RelatedBody> related = new ArrayList<>();
    List<FilterBody> groups = new ArrayList<>();
    for (Filter part : group.parts()) {
      if (part instanceof Filter.Condition c) {
        List<String> values = c.operand().texts(c.operator().takes());
        conditions.add(new ConditionBody(c.field().name(), c.operator(), values));
      } else if (part instanceof Filter.Has has) {
        related.add(new RelatedBody(has.kind(), has.atLeast(), of(has.where())));
      } else if (part instanceof Filter.HasNo none) {
        related.add(new RelatedBody(none.kind(), 0, of(none.where())));
      } else {
        groups.add(of((Filter.Group) part));
      }
    }
    return new FilterBody(group.match(), conditions, related, groups);
  }

  /**
   * Reads it into core's tree.
   *
   * @throws FilterException with a sentence when a field, an operator or a value is wrong
   */
  public Filter.Group toFilter(FieldCatalogue fields) {
    return read(this, fields, true, 0);
  }

  /** Reads it as a filter of the records of one kind; those have no records around them. */
  public Filter.Group toFilter(Related kind, FieldCatalogue people) {
    return read(this, people.around(kind), false, 0);
  }

  private static Filter.Group read(
      FilterBody body, FieldCatalogue fields, boolean people, int depth) {
    if (depth > DEEPEST) {
      throw new FilterException("", "Groups may be nested " + DEEPEST + " deep.");
    }
    if (body.match() == null) {
      throw new FilterException("", "Say whether all, any or none of the conditions must hold.");
    }
    List<Filter> parts = new ArrayList<>();
    for (ConditionBody condition : orNone(body.conditions())) {
      parts.add(read(condition, fields));
    }
    for (RelatedBody related : orNone(body.related())) {
      if (!people) {
        throw new FilterException("", "Only people have records around them.");
      }
      parts.add(read(related, fields, depth + 1));
    }
    for (FilterBody group : orNone(body.groups())) {
      parts.add(read(group, fields, people, depth + 1));
    }
    return new Filter.Group(body.match(), parts);
  }

  private static Filter read(RelatedBody body, FieldCatalogue people, int depth) {
    if (body.kind() == null || body.where() == null) {
      throw new FilterException("", "Say which records are meant, and what they must hold.");
    }
    Filter.Group where = read(body.where(), people.around(body.kind()), false, depth);
    return body.atLeast() == 0
        ? new Filter.HasNo(body.kind(), where)
        : new Filter.Has(body.kind(), body.atLeast(), where);
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
