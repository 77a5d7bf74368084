package app.jemble.filter;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Kept filters that ask for somebody by name or address ask for them no more. */
@Component
class FiltersAboutPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            update kept_filter set name = %s, filter = %s::jsonb
            where %s or %s""",
            who.without(Sql.of("name")),
            who.without(Sql.of("filter::text")),
            who.isNamedIn(Sql.of("name")),
            who.isNamedIn(Sql.of("filter::text"))));
  }
}
