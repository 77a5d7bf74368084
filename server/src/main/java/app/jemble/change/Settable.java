package app.jemble.change;

import app.jemble.core.record.Field;
import java.util.Map;

/**
 * Where a field that can be set stands in the tables, read and written as JSON: texts, days and
 * instants as strings, money as "42.00 GBP", numbers and flags as such, tags as an array, nothing
 * as null.
 *
 * @param field its name
 * @param table the table it stands in
 * @param read its value as jsonb, over {@code person p left join membership m}
 * @param write the assignment of a jsonb value, which stands for every {@code %s}
 */
record Settable(String field, Table table, String read, String write) {

  /** The tables of a person's own fields. */
  enum Table {
    PERSON("person", "id"),
    MEMBERSHIP("membership", "person_id");

    private final String table;
    private final String key;

    Table(String table, String key) {
      this.table = table;
      this.key = key;
    }

    String table() {
      return table;
    }

    String key() {
      return key;
    }
  }

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
          entry(
              "language",
              Table.PERSON,
              "to_jsonb(p.language)",
              "language = coalesce(%s #>> '{}', 'en-GB')"),
          text("address.street", "address_street"),
          text("address.postcode", "address_postcode"),
          text("address.place", "address_place"),
          text("address.country", "address_country"),
          entry("birthday", Table.PERSON, "to_jsonb(p.birthday)", "birthday = (%s #>> '{}')::date"),
          entry(
              "last_visit",
              Table.PERSON,
              instant("p.last_visit_at"),
              "last_visit_at = (%s #>> '{}')::timestamptz"),
          entry(
              "archived",
              Table.PERSON,
              instant("p.archived_at"),
              "archived_at = (%s #>> '{}')::timestamptz"),
          flag("asked_not"),
          flag("app_installed"),
          entry(
              "tags",
              Table.PERSON,
              "case when p.tags <> '{}' then to_jsonb(p.tags) end",
              "tags = array(select jsonb_array_elements_text(coalesce(nullif(%s, 'null'), '[]')))"),
          entry(
              "owner",
              Table.PERSON,
              "(select to_jsonb(w.login) from account w where w.id = p.owner_id)",
              "owner_id = (select w.id from account w where w.login = %s #>> '{}')"),
          entry(
              "introduced_by",
              Table.PERSON,
              "to_jsonb(p.introduced_by)",
              "introduced_by = (%s #>> '{}')::bigint"),
          entry(
              "merged_into",
              Table.PERSON,
              "to_jsonb(p.merged_into)",
              "merged_into = (%s #>> '{}')::bigint"),
          entry(
              "organisation.name",
              Table.PERSON,
              "(select to_jsonb(o.name) from organisation o where o.id = p.organisation_id)",
              "organisation_id = (select o.id from organisation o where o.name = %s #>> '{}'"
                  + " order by o.id limit 1)"),
          entry("plan", Table.MEMBERSHIP, "to_jsonb(m.plan)", "plan = %s #>> '{}'"),
          entry("status", Table.MEMBERSHIP, "to_jsonb(m.status)", "status = %s #>> '{}'"),
          entry(
              "joined_on",
              Table.MEMBERSHIP,
              "to_jsonb(m.joined_on)",
              "joined_on = (%s #>> '{}')::date"),
          entry(
              "renews_on",
              Table.MEMBERSHIP,
              "to_jsonb(m.renews_on)",
              "renews_on = (%s #>> '{}')::date"),
          entry(
              "dues_owed",
              Table.MEMBERSHIP,
              "to_jsonb(m.dues_owed || ' ' || m.currency)",
              "dues_owed = split_part(%1$s #>> '{}', ' ', 1)::numeric,"
                  + " currency = split_part(%1$s #>> '{}', ' ', 2)"));

  static Settable of(Field field) {
    Settable known = KNOWN.get(field.name());
    return known == null ? attribute(field) : known;
  }

  /** By the name that stands in the history; an attribute may have been taken away since. */
  static Settable named(String field) {
    Settable known = KNOWN.get(field);
    return known == null ? attribute(field) : known;
  }

  private static Settable attribute(Field field) {
    return attribute(field.name());
  }

  private static Settable attribute(String name) {
    if (!name.matches("[a-z][a-z0-9_]*")) {
      throw new IllegalArgumentException("no attribute is named " + name);
    }
    return new Settable(
        name,
        Table.PERSON,
        "p.attributes -> '" + name + "'",
        "attributes = case when %1$s is null or %1$s = 'null' then attributes - '"
            + name
            + "' else attributes || jsonb_build_object('"
            + name
            + "', %1$s) end");
  }

  /** Whether it stands among the attributes that the workspace added. */
  boolean isAttribute() {
    return !KNOWN.containsKey(field);
  }

  /** The assignment of a value. */
  String assign(String value) {
    return write.contains("%1$s") ? write.formatted(value) : write.replace("%s", value);
  }

  private static Map.Entry<String, Settable> entry(
      String field, Table table, String read, String write) {
    return Map.entry(field, new Settable(field, table, read, write));
  }

  private static Map.Entry<String, Settable> text(String field, String column) {
    return entry(field, Table.PERSON, "to_jsonb(p." + column + ")", column + " = %s #>> '{}'");
  }

  private static Map.Entry<String, Settable> flag(String column) {
    return entry(
        column,
        Table.PERSON,
        "to_jsonb(p." + column + ")",
        column + " = coalesce((%s #>> '{}')::boolean, false)");
  }

  private static String instant(String column) {
    return "to_jsonb(to_char("
        + column
        + " at time zone 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS.US\"Z\"'))";
  }
}
