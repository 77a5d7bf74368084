package app.jemble.filter;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldType;
import java.util.Map;
import java.util.function.Function;

/** Where each field stands in the tables. */
final class Columns {

  private static final Map<String, String> COLUMNS =
      Map.ofEntries(
          Map.entry("kind", "p.kind"),
          Map.entry("name", "p.name"),
          Map.entry("honorific", "p.honorific"),
          Map.entry("first_name", "p.first_name"),
          Map.entry("last_name", "p.last_name"),
          Map.entry("email", "p.email"),
          Map.entry("phone", "p.phone"),
          Map.entry("number", "p.number"),
          Map.entry("plan", "m.plan"),
          Map.entry("status", "m.status"),
          Map.entry("joined_on", "m.joined_on"),
          Map.entry("renews_on", "m.renews_on"),
          Map.entry("dues_owed", "m.dues_owed"),
          Map.entry("last_visit", "p.last_visit_at"),
          Map.entry("created", "p.created_at"),
          Map.entry("birthday", "p.birthday"),
          Map.entry("tags", "p.tags_key"),
          Map.entry("stage", "p.stage"),
          Map.entry("source", "p.source"),
          Map.entry("organisation.name", "o.name"),
          Map.entry("address.street", "p.address_street"),
          Map.entry("address.postcode", "p.address_postcode"),
          Map.entry("address.place", "p.address_place"),
          Map.entry("address.country", "p.address_country"),
          Map.entry("owner.name", "w.name"));

  private Columns() {}

  /**
   * The SQL of a field's value; an attribute is taken out of its JSON and given its type.
   *
   * @param param makes a placeholder for a value
   */
  static String of(Field field, Function<Object, String> param) {
    String column = COLUMNS.get(field.name());
    if (column != null) {
      return column;
    }
    String value = "(p.attributes ->> " + param.apply(field.name()) + ")";
    return switch (field.type()) {
      case NUMBER, MONEY -> value + "::numeric";
      case DAY -> value + "::date";
      case INSTANT -> value + "::timestamptz";
      case FLAG -> value + "::boolean";
      default -> value;
    };
  }

  static String isEmpty(Field field, String column) {
    return field.type() == FieldType.TAGS ? "cardinality(" + column + ") = 0" : column + " is null";
  }
}
