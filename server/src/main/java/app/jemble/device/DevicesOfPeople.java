package app.jemble.device;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Devices go along. */
@Component
class DevicesOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(HangsOnPerson.rows("DEVICE", Sql.of("device"), Sql.of("id"), null));
  }
}
