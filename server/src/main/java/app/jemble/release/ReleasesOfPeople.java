package app.jemble.release;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Who is in a release that is still being written goes along. */
@Component
class ReleasesOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.list(
            "RELEASE", Sql.of("mailing_release"), Sql.of("t.mailing_id"), Sql.of("person_ids")));
  }
}
