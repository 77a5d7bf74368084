package app.jemble.storage;

import com.google.errorprone.annotations.CompileTimeConstant;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Where a field of people stands. Filters, lists, whole records, merge fields and changes all ask
 * here, so that it is said once; what the field is (its label, type and uses) says {@link
 * app.jemble.core.record.FieldCatalogue}.
 *
 * @param field its name in the catalogue
 * @param table the table it stands in
 * @param name the column there
 * @param as its name in a whole record
 */
public record PersonColumn(String field, Table table, Sql name, Sql as) {

  /** A table that a question about people joins, under the letter it has there. */
  public enum Table {
    PERSON("p"),
    MEMBERSHIP("m"),
    ORGANISATION("o"),
    OWNER("w");

    private final String letter;
    private final Sql alias;

    Table(@CompileTimeConstant String letter) {
      this.letter = letter;
      this.alias = Sql.of(letter);
    }

    public String letter() {
      return letter;
    }
  }

  public static final List<PersonColumn> ALL =
      List.of(
          person("kind", "kind"),
          person("name", "name"),
          person("honorific", "honorific"),
          person("first_name", "first_name"),
          person("last_name", "last_name"),
          person("email", "email"),
          person("phone", "phone"),
          person("number", "number"),
          membership("plan"),
          membership("status"),
          membership("joined_on"),
          membership("renews_on"),
          membership("dues_owed"),
          person("last_visit", "last_visit_at"),
          person("created", "created_at"),
          person("birthday", "birthday"),
          person("tags", "tags"),
          person("stage", "stage"),
          person("source", "source"),
          person("introduced_by", "introduced_by"),
          of("organisation.name", Table.ORGANISATION, "name", "organisation_name"),
          of("owner", Table.OWNER, "login", "owner_login"),
          of("owner.name", Table.OWNER, "name", "owner_name"),
          person("address.street", "address_street"),
          person("address.postcode", "address_postcode"),
          person("address.place", "address_place"),
          person("address.country", "address_country"),
          person("time_zone", "time_zone"),
          person("language", "language"),
          person("asked_not", "asked_not"),
          person("app_installed", "app_installed"),
          person("picture", "picture_key"));

  private static final Map<String, PersonColumn> BY_FIELD = by(PersonColumn::field);
  private static final Map<String, PersonColumn> BY_RECORD = by(c -> c.as().toString());

  /** The column of a field of the catalogue, or null when it is none that a column holds. */
  public static PersonColumn of(String field) {
    return BY_FIELD.get(field);
  }

  /** The column of a component of a whole record, or null. */
  public static PersonColumn as(String name) {
    return BY_RECORD.get(name);
  }

  /** Its value, in a question that joins the table under its letter. */
  public Sql value() {
    return Sql.of("%s.%s", table.alias, name);
  }

  private static Map<String, PersonColumn> by(Function<PersonColumn, String> key) {
    return ALL.stream().collect(Collectors.toMap(key, c -> c));
  }

  private static PersonColumn person(String field, @CompileTimeConstant String name) {
    return of(field, Table.PERSON, name, name);
  }

  private static PersonColumn membership(@CompileTimeConstant String name) {
    return of(name, Table.MEMBERSHIP, name, name);
  }

  private static PersonColumn of(
      String field, Table table, @CompileTimeConstant String name, @CompileTimeConstant String as) {
    return new PersonColumn(field, table, Sql.of(name), Sql.of(as));
  }
}
