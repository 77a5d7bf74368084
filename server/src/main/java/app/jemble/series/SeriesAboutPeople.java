package app.jemble.series;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Who enters a series, and when it ends, may be asked by somebody's name. */
@Component
class SeriesAboutPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            "update series set enters_parts = %s::jsonb where %s",
            who.without(Sql.of("enters_parts::text")), who.isNamedIn(Sql.of("enters_parts::text"))),
        Sql.of(
            "update series set ends_parts = %s::jsonb where %s",
            who.without(Sql.of("ends_parts::text")), who.isNamedIn(Sql.of("ends_parts::text"))));
  }
}
