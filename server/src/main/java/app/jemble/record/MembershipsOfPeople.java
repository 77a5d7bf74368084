package app.jemble.record;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** A membership goes along, unless the one who stays has one. */
@Component
class MembershipsOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows("MEMBERSHIP", Sql.of("membership"), Sql.of("0"), Sql.of("true")));
  }
}
