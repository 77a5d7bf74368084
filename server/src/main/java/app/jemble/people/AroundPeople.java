package app.jemble.people;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** What stands around people goes along with them. */
@Component
class AroundPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows("QUOTE", Sql.of("quote"), Sql.of("t.id"), null),
        HangsOnPerson.rows("OFFICE", Sql.of("office"), Sql.of("t.id"), null),
        HangsOnPerson.rows(
            "ATTENDANCE", Sql.of("attendance"), Sql.of("t.id"), Sql.of("k.event_id = t.event_id")));
  }
}
