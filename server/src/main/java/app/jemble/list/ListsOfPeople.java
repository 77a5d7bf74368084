package app.jemble.list;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Places in lists go along with their people. */
@Component
class ListsOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows(
            "LIST", Sql.of("list_member"), Sql.of("t.list_id"), Sql.of("k.list_id = t.list_id")));
  }
}
