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

  @Override
  public Sql openTo(String name, long colleague) {
    return Sql.of(
        """
        exists (
          select from offered.series s
          where s.id = t.series_id and (not s.private or s.sender_id = %s))""",
        Sql.param(colleague));
  }
}
