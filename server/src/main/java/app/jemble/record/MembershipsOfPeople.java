package app.jemble.record;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** A membership goes along, unless the one who stays has one. */
@Component
class MembershipsOfPeople implements HangsOnPerson.Room, ForgetsPeople {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows("MEMBERSHIP", Sql.of("membership"), Sql.of("0"), Sql.of("true")));
  }

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(Sql.of("delete from membership where %s", who.isTheirs(Sql.of("person_id"))));
  }
}
