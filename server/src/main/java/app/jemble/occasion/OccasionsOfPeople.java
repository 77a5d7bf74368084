package app.jemble.occasion;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Somebody's days go along with them; where both had one in a year, it was said once. */
@Component
class OccasionsOfPeople implements HangsOnPerson.Room, ForgetsPeople {

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

  /** What was said goes on counting, without the day and the years. */
  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            "delete from occasion_turn where state in ('AWAITS', 'NODDED', 'TASK') and %s",
            who.isTheirs(Sql.of("person_id"))),
        Sql.of(
            """
            update occasion_turn
            set day = date_trunc('year', day)::date, years = 0, reason = ''
            where %s""",
            who.isTheirs(Sql.of("person_id"))),
        Sql.of(
            "update occasion set whom = %s::jsonb where %s",
            who.without(Sql.of("whom::text")), who.isNamedIn(Sql.of("whom::text"))));
  }
}
