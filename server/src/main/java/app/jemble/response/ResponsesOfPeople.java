package app.jemble.response;

import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** What came back goes where its message went. */
@Component
class ResponsesOfPeople implements HangsOnPerson.Room {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(HangsOnPerson.ofMessages("RESPONSE", Sql.of("response"), Sql.of("t.id")));
  }

  @Override
  public Sql openTo(String name, long colleague) {
    return HangsOnPerson.ofOpenCause(Sql.of("t.cause_id"), colleague);
  }
}
