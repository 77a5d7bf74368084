package app.jemble.occasion;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Somebody's days go along with them; where both had one in a year, it was said once. */
@Component
class OccasionsOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows(
            "OCCASION_TURN",
            Sql.of("occasion_turn"),
            Sql.of("t.id"),
            Sql.of("k.occasion_id = t.occasion_id and k.year = t.year")));
  }

  @Override
  public Sql openTo(String name, long colleague) {
    return HangsOnPerson.ofOpenCause(
        Sql.of("(select o.cause_id from occasion o where o.id = t.occasion_id)"), colleague);
  }
}
