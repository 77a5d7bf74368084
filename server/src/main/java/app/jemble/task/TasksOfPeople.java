package app.jemble.task;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Tasks go along with their people. */
@Component
class TasksOfPeople implements HangsOnPerson.Room, ForgetsPeople {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(HangsOnPerson.rows("TASK", Sql.of("task"), Sql.of("t.id"), null));
  }

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(Sql.of("delete from task where %s", who.isTheirs(Sql.of("person_id"))));
  }
}
