package app.jemble.message;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Words for one person alone go along with them. */
@Component
class WordingsOfPeople implements HangsOnPerson.Room {

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
}
