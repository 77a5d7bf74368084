package app.jemble.mailing;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Who was picked or left out by hand goes along. */
@Component
class PicksOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.writtenList(
            "PICK", Sql.of("mailing"), Sql.of("t.id"), Sql.of("audience_picks")),
        HangsOnPerson.writtenList(
            "LEFT_OUT", Sql.of("mailing"), Sql.of("t.id"), Sql.of("left_out")));
  }
}
