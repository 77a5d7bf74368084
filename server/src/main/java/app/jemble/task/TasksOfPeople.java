package app.jemble.task;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Tasks go along with their people. */
@Component
class TasksOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(HangsOnPerson.rows("TASK", Sql.of("task"), Sql.of("t.id"), null));
  }
}
