package app.jemble.people;

import app.jemble.core.reach.Reach;
import app.jemble.filter.FilterSql;

/**
 * A question about people.
 *
 * @param sql the filter's condition
 * @param picks people asked for besides the filter
 * @param reach only people of this reach, or null
 * @param afterKey with afterId: only people who come after this one in the list, or null
 * @param limit at most so many
 */
public record PeopleQuery(
    FilterSql.Fragment sql, Long[] picks, String reach, String afterKey, Long afterId, int limit) {

  static PeopleQuery of(FilterSql.Fragment sql) {
    return new PeopleQuery(sql, new Long[0], null, null, null, 0);
  }

  PeopleQuery withPicks(Long[] wanted) {
    return new PeopleQuery(sql, wanted, reach, afterKey, afterId, limit);
  }

  PeopleQuery withReach(Reach wanted) {
    return new PeopleQuery(
        sql, picks, wanted == null ? null : wanted.name(), afterKey, afterId, limit);
  }

  PeopleQuery page(String key, Long id, int most) {
    return new PeopleQuery(sql, picks, reach, key, id, most);
  }
}
