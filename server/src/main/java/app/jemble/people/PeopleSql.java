package app.jemble.people;

import app.jemble.core.record.PersonId;
import app.jemble.filter.FilterSql;
import app.jemble.storage.PersonColumn;
import app.jemble.storage.Sql;
import java.util.Arrays;
import java.util.Map;

/** The question for whole records of people; the condition of a filter stands in its middle. */
final class PeopleSql {

  private PeopleSql() {}

  /** What a whole record holds besides the columns of fields. */
  private static final Map<String, Sql> BESIDES =
      Map.of(
          "id", Sql.of("p.id"),
          "owner_email", Sql.of("w.email as owner_email"),
          "do_not_write", Sql.of("d.address_key is not null as do_not_write"),
          "attributes", Sql.of("p.attributes::text as attributes"),
          "currency", Sql.of("m.currency"),
          "app_link_number", Sql.of("p.app_link_number"));

  private static final Sql SHOWN =
      Sql.join(
          ", ",
          Arrays.stream(PersonRecord.class.getRecordComponents())
              .map(PersonRecordMap::column)
              .map(name -> BESIDES.containsKey(name) ? BESIDES.get(name) : shown(name))
              .toList());

  private static Sql shown(String name) {
    PersonColumn column = PersonColumn.as(name);
    return Sql.of("%s as %s", column.value(), column.as());
  }

  static Sql records(Sql whom) {
    return Sql.of("select %s\n%s\norder by p.name_key collate \"C\", p.id", SHOWN, from(whom));
  }

  static Sql count(Sql whom) {
    return Sql.of("select count(*)\n%s", from(whom));
  }

  /** People picked one by one, whoever they are. */
  static Sql picked(PersonId[] picks) {
    return Sql.of("p.id = any(%s)", Sql.param(picks));
  }

  /** Those a filter picks, and those picked besides. */
  static Sql pickedBy(FilterSql.Fragment filter, PersonId[] picks) {
    return Sql.of("(%s or %s)", filter.condition(), picked(picks));
  }

  /** Of those whom the one who asks sees, some. */
  static Sql of(FilterSql.Fragment seen, Sql some) {
    return Sql.of("(%s and %s)", seen.condition(), some);
  }

  /** Everything a condition may speak of; a table that none speaks of is not read. */
  private static Sql from(Sql whom) {
    return Sql.of(
        """
        from offered.person p
        left join offered.membership m on m.person_id = p.id
        left join offered.organisation o on o.id = p.organisation_id
        left join offered.account w on w.id = p.owner_id
        left join offered.do_not_write d on d.address_key = p.email_key
        where p.archived_at is null and %s""",
        whom);
  }
}
