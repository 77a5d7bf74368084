package app.jemble.signup;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** What somebody agreed to goes along with them. */
@Component
class SignUpsOfPeople implements HangsOnPerson.Room, ForgetsPeople {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows("SIGN_UP", Sql.of("sign_up"), Sql.of("t.id"), Sql.of("false")));
  }

  /** Those that were never confirmed as well. */
  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            "delete from sign_up where %s or %s",
            who.isTheirs(Sql.of("person_id")), who.isTheirAddress(Sql.of("address_key"))));
  }
}
