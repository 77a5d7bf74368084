package app.jemble.account;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** A colleague's own record goes along. */
@Component
class ColleaguesAmongPeople implements HangsOnPerson.Room, ForgetsPeople {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows("ACCOUNT", Sql.of("account"), Sql.of("t.id"), Sql.of("true")));
  }

  /** How a colleague signs in is the house's. */
  @Override
  public boolean isToldToThem(String name) {
    return false;
  }

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of("update account set person_id = null where %s", who.isTheirs(Sql.of("person_id"))));
  }
}
