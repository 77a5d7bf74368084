package app.jemble.record;

import app.jemble.core.record.ErasedPerson;
import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** A person's own values, and what was changed of them; before what these point to. */
@Component
@Order(0)
class RecordsOfPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            update change_batch set words = %s
            where %s and id in (select c.batch_id from change c where %s)""",
            who.without(Sql.of("words")),
            who.isNamedIn(Sql.of("words")),
            who.isTheirs(Sql.of("c.person_id"))),
        Sql.of("delete from change where %s", who.isTheirs(Sql.of("person_id"))),
        Sql.of(
            "update person set introduced_by = null where %s",
            who.isTheirs(Sql.of("introduced_by"))),
        organisations(who),
        person(who));
  }

  /** One to which nobody else belongs goes along. */
  private static Sql organisations(Forgotten who) {
    return Sql.of(
        """
        with left_by as (
          select distinct organisation_id as id from person where %1$s
        ), leave as (
          update person set organisation_id = null where %1$s
        )
        delete from organisation o
        using left_by l
        where o.id = l.id
          and not exists (select from person p where p.organisation_id = o.id and not %2$s)""",
        who.isTheirs(Sql.of("id")), who.isTheirs(Sql.of("p.id")));
  }

  private static Sql person(Forgotten who) {
    return Sql.of(
        """
        update person
        set honorific = null, first_name = null, last_name = %1$s, email = null, phone = null,
            number = null, language = default, time_zone = null, birthday = null,
            address_street = null, address_postcode = null, address_place = null,
            address_country = null, owner_id = null, introduced_by = null, tags = '{}',
            source = null, stage = null, last_visit_at = null, created_at = %2$s,
            asked_not = false, attributes = '{}', picture_key = null, email_valid = true,
            phone_valid = true, app_link_number = app_link_number + 1,
            archived_at = coalesce(archived_at, %2$s), erased_at = %2$s
        where %3$s""",
        Sql.param(ErasedPerson.NAME), Sql.param(who.at()), who.isTheirs(Sql.of("id")));
  }
}
