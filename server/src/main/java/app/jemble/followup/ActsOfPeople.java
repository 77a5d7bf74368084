package app.jemble.followup;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** What rules did goes where its message went. */
@Component
class ActsOfPeople implements HangsOnPerson.Room {

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
}
