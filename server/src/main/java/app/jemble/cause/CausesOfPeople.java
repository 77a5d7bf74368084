package app.jemble.cause;

import app.jemble.core.record.ErasedPerson;
import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * What was written to one person alone: answers by hand, mailings to nobody else, drafts of them.
 */
@Component
class CausesOfPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            update wording set subject = '', body = ''
            where id in (select c.wording_id from cause c where %s)""",
            who.isTheirCause(Sql.of("c.id"))),
        Sql.of(
            "update way_wording set title = '', words = '', link = '' where %s",
            who.isTheirCause(Sql.of("cause_id"))),
        Sql.of(
            """
            update cause
            set name = %s, version = version + 1,
                state = case when state = 'draft' then 'discarded' else state end
            where %s""",
            Sql.param(ErasedPerson.NAME), who.isTheirCause(Sql.of("id"))),
        // A mailing to several may be called by one of them.
        Sql.of(
            "update cause set name = %s where %s",
            who.without(Sql.of("name")), who.isNamedIn(Sql.of("name"))));
  }
}
