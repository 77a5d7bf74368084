package app.jemble.list;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Places in lists go along with their people. */
@Component
class ListsOfPeople implements HangsOnPerson.Room, ForgetsPeople {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows(
            "LIST", Sql.of("list_member"), Sql.of("t.list_id"), Sql.of("k.list_id = t.list_id")));
  }

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(Sql.of("delete from list_member where %s", who.isTheirs(Sql.of("person_id"))));
  }
}
