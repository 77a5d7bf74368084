package app.jemble.signup;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** What somebody agreed to goes along with them. */
@Component
class SignUpsOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(
        HangsOnPerson.rows("SIGN_UP", Sql.of("sign_up"), Sql.of("t.id"), Sql.of("false")));
  }
}
