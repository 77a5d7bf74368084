package app.jemble.request;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Answers that are kept for a day, should they not have arrived. */
@Component
class AnswersAboutPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            delete from idempotent_request
            where body is not null and %s""",
            who.isNamedIn(
                Sql.of(
                    "case when starts_with(type, 'application/json')"
                        + " then convert_from(body, 'UTF8') else '' end"))));
  }
}
