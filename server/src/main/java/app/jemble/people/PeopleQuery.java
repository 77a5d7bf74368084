package app.jemble.people;

import app.jemble.filter.FilterSql;
import java.util.List;

/**
 * A question for the records of people.
 *
 * @param sql the filter's condition
 * @param picks people asked for besides the filter
 */
public record PeopleQuery(FilterSql.Fragment sql, Long[] picks) {

  /** People picked one by one, whoever they are. */
  static PeopleQuery of(List<Long> picks) {
    return new PeopleQuery(FilterSql.Fragment.NOBODY, picks.toArray(Long[]::new));
  }

  /** Whether no filter picks anybody. */
  boolean isOfPicks() {
    return sql.equals(FilterSql.Fragment.NOBODY);
  }
}
