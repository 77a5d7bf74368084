package app.jemble.people;

import app.jemble.filter.FilterSql;

/**
 * A question for the records of people.
 *
 * @param sql the filter's condition
 * @param picks people asked for besides the filter
 */
public record PeopleQuery(FilterSql.Fragment sql, Long[] picks) {}
