package app.jemble.series.entry;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * A person's way through a series goes along with them; where both are in one, the other's ends.
 */
@Component
class EntriesOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows(
            "SERIES_ENTRY",
            Sql.of("series_entry"),
            Sql.of("t.id"),
            Sql.of("k.series_id = t.series_id")));
  }
}
