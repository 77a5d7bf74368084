package app.jemble.record;

import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.storage.PersonColumn;
import app.jemble.storage.Sql;
import com.google.errorprone.annotations.CompileTimeConstant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * Where a field that can be set stands in the tables, read and written as JSON: texts, days and
 * instants as strings, money as "42.00 GBP", numbers and flags as such, tags as an array, nothing
 * as null.
 *
 * @param field its name
 * @param table the table it stands in
 * @param read its value as jsonb, over {@code person p left join membership m}
 * @param written the columns that hold it
 */
record Settable(String field, Table table, Sql read, List<Written> written) {

  /** The tables of a person's own fields. */
  enum Table {
    PERSON(Sql.of("person"), Sql.of("id")),
    MEMBERSHIP(Sql.of("membership"), Sql.of("person_id"));

    private final Sql table;
    private final Sql key;

    Table(Sql table, Sql key) {
      this.table = table;
      this.key = key;
    }

    Sql table() {
      return table;
    }

    Sql key() {
      return key;
    }
  }

  /**
   * A column that is written.
   *
   * @param column its name
   * @param value what it becomes, out of a jsonb value
   */
  record Written(Sql column, UnaryOperator<Sql> value) {}

  /** Those that are more than a column of their type. */
  private static final List<Settable> OTHERS =
      List.of(
          person("language", "language", json -> Sql.of("coalesce(%s #>> '{}', 'en-GB')", json)),
          instant("archived", Sql.of("archived_at")),
          number("introduced_by"),
          number("merged_into"),
          new Settable(
              "tags",
              Table.PERSON,
              Sql.of("case when p.tags <> '{}' then to_jsonb(p.tags) end"),
              written(
                  "tags",
                  json ->
                      Sql.of(
                          "array(select jsonb_array_elements_text(coalesce(nullif(%s, 'null'), '[]')))",
                          json))),
          new Settable(
              "owner",
              Table.PERSON,
              Sql.of("(select to_jsonb(w.login) from offered.account w where w.id = p.owner_id)"),
              written(
                  "owner_id",
                  json ->
                      Sql.of(
                          "(select w.id from offered.account w where w.login = %s #>> '{}')",
                          json))),
          new Settable(
              "organisation.name",
              Table.PERSON,
              Sql.of(
                  "(select to_jsonb(o.name) from organisation o where o.id = p.organisation_id)"),
              written(
                  "organisation_id",
                  json ->
                      Sql.of(
                          "(select o.id from organisation o where o.name = %s #>> '{}' order by o.id limit 1)",
                          json))),
          new Settable(
              "dues_owed",
              Table.MEMBERSHIP,
              Sql.of("to_jsonb(m.dues_owed || ' ' || m.currency)"),
              List.of(
                  new Written(
                      Sql.of("dues_owed"),
                      json -> Sql.of("split_part(%s #>> '{}', ' ', 1)::numeric", json)),
                  new Written(
                      Sql.of("currency"),
                      json -> Sql.of("split_part(%s #>> '{}', ' ', 2)", json)))));

  private static final Map<String, Settable> KNOWN = new HashMap<>();

  static {
    for (Field field : FieldCatalogue.standard().all(FieldUse.EDIT)) {
      KNOWN.put(field.name(), column(field, PersonColumn.of(field.name())));
    }
    OTHERS.forEach(settable -> KNOWN.put(settable.field(), settable));
  }

  /** A column that holds nothing but the value. */
  private static Settable column(Field field, PersonColumn column) {
    if (field.type() == FieldType.INSTANT) {
      return instant(field.name(), column.name());
    }
    return new Settable(
        field.name(),
        column.table() == PersonColumn.Table.MEMBERSHIP ? Table.MEMBERSHIP : Table.PERSON,
        Sql.of("to_jsonb(%s)", column.value()),
        List.of(new Written(column.name(), json -> value(field.type(), json))));
  }

  private static Sql value(FieldType type, Sql json) {
    return switch (type) {
      case DAY -> Sql.of("(%s #>> '{}')::date", json);
      case FLAG -> Sql.of("coalesce((%s #>> '{}')::boolean, false)", json);
      default -> Sql.of("%s #>> '{}'", json);
    };
  }

  static Settable of(Field field) {
    return named(field.name());
  }

  /** By the name that stands in the history; an attribute may have been taken away since. */
  static Settable named(String field) {
    Settable known = KNOWN.get(field);
    return known == null ? attribute(field) : known;
  }

  private static Settable attribute(String name) {
    Sql key = Sql.of("%s::text", Sql.param(name));
    return new Settable(
        name,
        Table.PERSON,
        Sql.of("p.attributes -> %s", key),
        List.of(
            new Written(
                Sql.of("attributes"),
                json ->
                    Sql.of(
                        """
                        case when %1$s is null or %1$s = 'null' then attributes - %2$s
                             else attributes || jsonb_build_object(%2$s, %1$s) end""",
                        json, key))));
  }

  /** Whether it stands among the attributes that the workspace added. */
  boolean isAttribute() {
    return !KNOWN.containsKey(field);
  }

  /** The assignment of a jsonb value. */
  Sql assign(Sql json) {
    return Sql.join(
        ", ",
        written.stream().map(w -> Sql.of("%s = %s", w.column(), w.value().apply(json))).toList());
  }

  private static List<Written> written(
      @CompileTimeConstant String column, UnaryOperator<Sql> value) {
    return List.of(new Written(Sql.of(column), value));
  }

  private static Settable person(
      String field, @CompileTimeConstant String column, UnaryOperator<Sql> value) {
    return new Settable(
        field, Table.PERSON, Sql.of("to_jsonb(p.%s)", Sql.of(column)), written(column, value));
  }

  private static Settable number(@CompileTimeConstant String column) {
    return person(column, column, json -> Sql.of("(%s #>> '{}')::bigint", json));
  }

  private static Settable instant(String field, Sql column) {
    return new Settable(
        field,
        Table.PERSON,
        Sql.of(
            "to_jsonb(to_char(p.%s at time zone 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS.US\"Z\"'))",
            column),
        List.of(new Written(column, json -> Sql.of("(%s #>> '{}')::timestamptz", json))));
  }
}
