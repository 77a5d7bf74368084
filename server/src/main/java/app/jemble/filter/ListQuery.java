package app.jemble.filter;

import app.jemble.core.filter.AsOf;
import app.jemble.core.record.Field;
import app.jemble.core.record.Related;
import java.util.List;

/**
 * A question about a list of people or of the records around them.
 *
 * @param kind the records of the list; null for people
 * @param filter the filter's condition
 * @param picks only these records, or null
 * @param leftOut without these records, or null
 * @param archived people who were put away, instead of the others
 * @param reach only people of this reach, or null
 * @param cells the fields to show
 * @param order what the list is sorted by
 * @param afterKey with afterId: only records that come after this one; null when it has no value
 * @param fromId with toId: only people whose id lies from here to before there, or null
 * @param asOf when, and by whom, it is asked
 * @param limit at most so many
 */
record ListQuery(
    Related kind,
    FilterSql.Fragment filter,
    Long[] picks,
    Long[] leftOut,
    boolean archived,
    String reach,
    List<Field> cells,
    ListSql.Order order,
    String afterKey,
    Long afterId,
    Long fromId,
    Long toId,
    AsOf asOf,
    int limit) {

  static ListQuery of(Related kind, FilterSql.Fragment filter, AsOf asOf) {
    return new ListQuery(
        kind,
        filter,
        null,
        null,
        false,
        null,
        List.of(),
        ListSql.order(kind, null, false, asOf),
        null,
        null,
        null,
        null,
        asOf,
        0);
  }

  ListQuery of(String wantedReach, Long[] wanted, Long[] unwanted, boolean away) {
    return new ListQuery(
        kind,
        filter,
        wanted,
        unwanted,
        away,
        wantedReach,
        cells,
        order,
        null,
        null,
        null,
        null,
        asOf,
        limit);
  }

  ListQuery page(List<Field> shown, ListSql.Order by, String key, Long id, int most) {
    return new ListQuery(
        kind, filter, picks, leftOut, archived, reach, shown, by, key, id, null, null, asOf, most);
  }

  /** Only people with ids from here to before there. */
  ListQuery slice(long from, long to) {
    return new ListQuery(
        kind, filter, picks, leftOut, archived, reach, cells, order, null, null, from, to, asOf,
        limit);
  }

  /** Whether all people on record are meant whom the filter picks. */
  boolean isWhole() {
    return kind == null
        && picks == null
        && leftOut == null
        && reach == null
        && fromId == null
        && !archived;
  }
}
