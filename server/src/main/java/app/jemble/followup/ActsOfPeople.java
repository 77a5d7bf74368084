package app.jemble.followup;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** What rules did goes where its message went. */
@Component
class ActsOfPeople implements HangsOnPerson.Room, ForgetsPeople {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.ofMessages("FOLLOW_ACT", Sql.of("follow_act"), Sql.of("t.message_id")));
  }

  @Override
  public Sql openTo(String name, long colleague) {
    return HangsOnPerson.ofOpenCause(
        Sql.of("(select r.mailing_id from follow_rule r where r.id = t.rule_id)"), colleague);
  }

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            update follow_act
            set words = '', state = case when state = 'due' then 'not' else state end
            where %s""",
            who.isTheirs(Sql.of("person_id"))),
        Sql.of(
            """
            update follow_rule set except_parts = %s::jsonb
            where %s""",
            who.without(Sql.of("except_parts::text")),
            who.isNamedIn(Sql.of("except_parts::text"))));
  }
}
