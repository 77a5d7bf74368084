package app.jemble.message;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Words for one person alone go along with them. */
@Component
class WordingsOfPeople implements HangsOnPerson.Room, ForgetsPeople {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows(
            "OWN_WORDING",
            Sql.of("own_wording"),
            Sql.of("t.mailing_id"),
            Sql.of("k.mailing_id = t.mailing_id and k.channel = t.channel")));
  }

  @Override
  public Sql openTo(String name, long colleague) {
    return HangsOnPerson.ofOpenCause(Sql.of("t.mailing_id"), colleague);
  }

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(Sql.of("delete from own_wording where %s", who.isTheirs(Sql.of("person_id"))));
  }
}
