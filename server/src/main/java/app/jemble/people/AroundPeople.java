package app.jemble.people;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** What stands around people goes along with them. */
@Component
class AroundPeople implements HangsOnPerson.Room, ForgetsPeople {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows("QUOTE", Sql.of("quote"), Sql.of("t.id"), null),
        HangsOnPerson.rows("OFFICE", Sql.of("office"), Sql.of("t.id"), null),
        HangsOnPerson.rows(
            "ATTENDANCE", Sql.of("attendance"), Sql.of("t.id"), Sql.of("k.event_id = t.event_id")));
  }

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of("delete from quote where %s", who.isTheirs(Sql.of("person_id"))),
        Sql.of("delete from office where %s", who.isTheirs(Sql.of("person_id"))),
        Sql.of("delete from attendance where %s", who.isTheirs(Sql.of("person_id"))));
  }
}
