package app.jemble.outbox;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Messages go along with their people. */
@Component
class MessagesOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows(
            "MESSAGE", Sql.of("message"), Sql.of("t.id"), Sql.of("k.cause_id = t.cause_id")));
  }

  @Override
  public Sql openTo(String name, long colleague) {
    return HangsOnPerson.ofOpenCause(Sql.of("t.cause_id"), colleague);
  }
}
