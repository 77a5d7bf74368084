package app.jemble.exchange;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Rows of files: those that became the person, and those that were left since they were alike. */
@Component
class RowsOfPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            update import_row
            set cells = array_fill(''::text, array[cardinality(cells)]), values = null,
                match_key = null, problem = null, note = null
            where %s or %s""",
            who.isTheirs(Sql.of("person_id")),
            who.isAddressIn(Sql.of("array_to_string(cells, ' ')"))));
  }
}
