package app.jemble.people;

import app.jemble.filter.FilterSql;
import app.jemble.storage.Sql;

/** The question for whole records of people; the condition of a filter stands in its middle. */
final class PeopleSql {

  private PeopleSql() {}

  static Sql records(Sql whom) {
    return Sql.of(
        """
        select p.id, p.name, p.kind, p.honorific, p.first_name, p.last_name, p.email, p.phone,
               p.number, p.language, p.time_zone, p.birthday, p.address_street,
               p.address_postcode, p.address_place, p.address_country, w.name as owner_name,
               w.email as owner_email, p.picture_key, o.name as organisation_name, p.tags,
               p.source, p.stage, p.last_visit_at, p.created_at, p.asked_not,
               d.email_key is not null as do_not_write, p.attributes::text as attributes, m.plan,
               m.status, m.joined_on, m.renews_on, m.dues_owed, m.currency
        %s
        order by p.name_key collate "C", p.id""",
        from(whom));
  }

  static Sql count(Sql whom) {
    return Sql.of("select count(*)\n%s", from(whom));
  }

  /** People picked one by one, whoever they are. */
  static Sql picked(Long[] picks) {
    return Sql.of("p.id = any(%s)", Sql.param(picks));
  }

  /** Those a filter picks, and those picked besides. */
  static Sql pickedBy(FilterSql.Fragment filter, Long[] picks) {
    return Sql.of("(%s or %s)", filter.condition(), picked(picks));
  }

  /** Everything a condition may speak of; a table that none speaks of is not read. */
  private static Sql from(Sql whom) {
    return Sql.of(
        """
        from offered.person p
        left join offered.membership m on m.person_id = p.id
        left join offered.organisation o on o.id = p.organisation_id
        left join offered.account w on w.id = p.owner_id
        left join do_not_write d on d.email_key = p.email_key
        where p.archived_at is null and %s""",
        whom);
  }
}
