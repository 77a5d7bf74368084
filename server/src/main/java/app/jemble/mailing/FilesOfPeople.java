package app.jemble.mailing;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Files that went to one person alone. */
@Component
class FilesOfPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of("delete from mailing_file where %s", who.isTheirCause(Sql.of("mailing_id"))));
  }
}
