package app.jemble.device;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Devices go along. */
@Component
class DevicesOfPeople implements HangsOnPerson.Room, ForgetsPeople {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(HangsOnPerson.rows("DEVICE", Sql.of("device"), Sql.of("id"), null));
  }

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(Sql.of("delete from device where %s", who.isTheirs(Sql.of("person_id"))));
  }
}
