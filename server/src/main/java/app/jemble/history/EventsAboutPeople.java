package app.jemble.history;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** What was done stays in the history; to whom does not. */
@Component
class EventsAboutPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            "update house_event set about = %s where %s",
            who.without(Sql.of("about")), who.isNamedIn(Sql.of("about"))),
        Sql.of(
            """
            update house_event set before = %s, after = %s
            where %s or %s""",
            who.without(Sql.of("before")),
            who.without(Sql.of("after")),
            who.isNamedIn(Sql.of("before")),
            who.isNamedIn(Sql.of("after"))));
  }
}
