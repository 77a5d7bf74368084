package app.jemble.phone;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Texts that came in parts, and what the network said of those that went. */
@Component
class TextsOfPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            "delete from text_arrival where %s",
            who.isTheirAddress(Sql.of("regexp_replace(sender, '[^+0-9]', '', 'g')"))),
        Sql.of(
            """
            update text_receipt set words = ''
            where message_id in (select m.id from offered.message m where %s)""",
            who.isTheirs(Sql.of("m.person_id"))));
  }
}
