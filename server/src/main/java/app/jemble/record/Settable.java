package app.jemble.record;

import app.jemble.core.record.Field;
import app.jemble.storage.Sql;
import com.google.errorprone.annotations.CompileTimeConstant;
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

  private static final Map<String, Settable> KNOWN =
      Map.ofEntries(
          text("kind", "kind"),
          text("honorific", "honorific"),
          text("first_name", "first_name"),
          text("last_name", "last_name"),
          text("email", "email"),
          text("phone", "phone"),
          text("number", "number"),
          text("stage", "stage"),
          text("source", "source"),
          text("time_zone", "time_zone"),
          person("language", "language", json -> Sql.of("coalesce(%s #>> '{}', 'en-GB')", json)),
          text("address.street", "address_street"),
          text("address.postcode", "address_postcode"),
          text("address.place", "address_place"),
          text("address.country", "address_country"),
          person("birthday", "birthday", json -> Sql.of("(%s #>> '{}')::date", json)),
          instant("last_visit", "last_visit_at"),
          instant("archived", "archived_at"),
          flag("asked_not"),
          flag("app_installed"),
          entry(
              "tags",
              Table.PERSON,
              Sql.of("case when p.tags <> '{}' then to_jsonb(p.tags) end"),
              new Written(
                  Sql.of("tags"),
                  json ->
                      Sql.of(
                          "array(select jsonb_array_elements_text(coalesce(nullif(%s, 'null'), '[]')))",
                          json))),
          entry(
              "owner",
              Table.PERSON,
              Sql.of("(select to_jsonb(w.login) from offered.account w where w.id = p.owner_id)"),
              new Written(
                  Sql.of("owner_id"),
                  json ->
                      Sql.of(
                          "(select w.id from offered.account w where w.login = %s #>> '{}')",
                          json))),
          number("introduced_by"),
          number("merged_into"),
          entry(
              "organisation.name",
              Table.PERSON,
              Sql.of(
                  "(select to_jsonb(o.name) from organisation o where o.id = p.organisation_id)"),
              new Written(
                  Sql.of("organisation_id"),
                  json ->
                      Sql.of(
                          "(select o.id from organisation o where o.name = %s #>> '{}' order by o.id limit 1)",
                          json))),
          membership("plan", "plan", json -> Sql.of("%s #>> '{}'", json)),
          membership("status", "status", json -> Sql.of("%s #>> '{}'", json)),
          membership("joined_on", "joined_on", json -> Sql.of("(%s #>> '{}')::date", json)),
          membership("renews_on", "renews_on", json -> Sql.of("(%s #>> '{}')::date", json)),
          entry(
              "dues_owed",
              Table.MEMBERSHIP,
              Sql.of("to_jsonb(m.dues_owed || ' ' || m.currency)"),
              new Written(
                  Sql.of("dues_owed"),
                  json -> Sql.of("split_part(%s #>> '{}', ' ', 1)::numeric", json)),
              new Written(
                  Sql.of("currency"), json -> Sql.of("split_part(%s #>> '{}', ' ', 2)", json))));

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

  private static Map.Entry<String, Settable> entry(
      String field, Table table, Sql read, Written... written) {
    return Map.entry(field, new Settable(field, table, read, List.of(written)));
  }

  private static Map.Entry<String, Settable> person(
      String field, @CompileTimeConstant String column, UnaryOperator<Sql> value) {
    Sql at = Sql.of(column);
    return entry(field, Table.PERSON, Sql.of("to_jsonb(p.%s)", at), new Written(at, value));
  }

  private static Map.Entry<String, Settable> membership(
      String field, @CompileTimeConstant String column, UnaryOperator<Sql> value) {
    Sql at = Sql.of(column);
    return entry(field, Table.MEMBERSHIP, Sql.of("to_jsonb(m.%s)", at), new Written(at, value));
  }

  private static Map.Entry<String, Settable> text(
      String field, @CompileTimeConstant String column) {
    return person(field, column, json -> Sql.of("%s #>> '{}'", json));
  }

  private static Map.Entry<String, Settable> number(@CompileTimeConstant String column) {
    return person(column, column, json -> Sql.of("(%s #>> '{}')::bigint", json));
  }

  private static Map.Entry<String, Settable> flag(@CompileTimeConstant String column) {
    return person(column, column, json -> Sql.of("coalesce((%s #>> '{}')::boolean, false)", json));
  }

  private static Map.Entry<String, Settable> instant(
      String field, @CompileTimeConstant String column) {
    Sql at = Sql.of(column);
    return entry(
        field,
        Table.PERSON,
        Sql.of(
            "to_jsonb(to_char(p.%s at time zone 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS.US\"Z\"'))", at),
        new Written(at, json -> Sql.of("(%s #>> '{}')::timestamptz", json)));
  }
}
