package app.jemble.inbound;

import app.jemble.core.record.ErasedPerson;
import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Mails and texts that people wrote, and what came back from their addresses. That something came
 * goes on counting; a mailbox that is read anew brings nothing of it again but what is still in it.
 */
@Component
class MailsOfPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            update inbound_mail
            set identity = 'erased-' || id, sender = %1$s, subject = %1$s, words = '',
                authentication = '', trouble = '', mime = '',
                placed_at = coalesce(placed_at, %2$s)
            where id in (select r.mail_id from offered.response r where %3$s)
               or about_id in (select m.id from offered.message m where %4$s)
               or id in (select a.mail_id from offered.answer a where %5$s)
               or %6$s""",
            Sql.param(ErasedPerson.NAME),
            Sql.param(who.at()),
            who.isTheirs(Sql.of("r.person_id")),
            who.isTheirs(Sql.of("m.person_id")),
            who.isTheirCause(Sql.of("a.id")),
            who.isAddressIn(Sql.of("sender"))));
  }
}
