package app.jemble.series.entry;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * A person's way through a series goes along with them; where both are in one, the other's ends.
 */
@Component
class EntriesOfPeople implements HangsOnPerson.Room, ForgetsPeople {

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
          select from offered.open_series s
          where s.id = t.series_id and s.open_to = %s)""",
        Sql.param(colleague));
  }

  /** That somebody went through it goes on counting. */
  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            update series_entry
            set state = 'ended', ended_at = %s, ended_why = 'erased', look_at = null,
                held_until = null
            where state = 'in' and %s""",
            Sql.param(who.at()), who.isTheirs(Sql.of("person_id"))));
  }
}
