package app.jemble.storage;

import app.jemble.core.record.ErasedPerson;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;

/**
 * Somebody who is erased, and by what they can be known.
 *
 * @param people their record, and those that became part of it
 * @param causes what was written to them and to nobody else
 * @param addresses where they were ever written to, as addresses are compared
 * @param pictures keys of their pictures
 * @param addressPattern finds their addresses in words (an expression of PostgreSQL)
 * @param pattern finds their names as well
 */
public record Forgotten(
    List<PersonId> people,
    List<Long> causes,
    List<String> addresses,
    List<String> pictures,
    String addressPattern,
    String pattern,
    Instant at) {

  /** Whether a column holds their id. */
  public Sql isTheirs(Sql column) {
    return Sql.of("%s = any(%s::bigint[])", column, ids());
  }

  /** Their ids, an array. */
  public Sql ids() {
    return Sql.param(people.toArray(PersonId[]::new));
  }

  /** Whether they are in a column that is a list of people. */
  public Sql areIn(Sql column) {
    return Sql.of("%s && %s::bigint[]", column, ids());
  }

  /** A column that is a list of people, without them. */
  public Sql withoutThem(Sql column) {
    return Sql.of(
        """
        array(select p from unnest(%s) with ordinality as u (p, n)
              where not %s order by n)""",
        column, isTheirs(Sql.of("p")));
  }

  /** Whether a column holds the id of what was written to them alone. */
  public Sql isTheirCause(Sql column) {
    return Sql.of("%s = any(%s::bigint[])", column, Sql.param(causes.toArray(Long[]::new)));
  }

  /** Whether a column holds an address of theirs, as addresses are compared. */
  public Sql isTheirAddress(Sql column) {
    return Sql.of("%s = any(%s::text[])", column, array(addresses));
  }

  /** Whether a column holds the key of a picture of theirs. */
  public Sql isTheirPicture(Sql column) {
    return Sql.of("%s = any(%s::text[])", column, array(pictures));
  }

  /** Whether an address of theirs stands in words. */
  public Sql isAddressIn(Sql words) {
    return Sql.of("%s ~* %s", words, Sql.param(addressPattern));
  }

  /** Whether an address or a name of theirs stands in words. */
  public Sql isNamedIn(Sql words) {
    return Sql.of("%s ~* %s", words, Sql.param(pattern));
  }

  /** Words without their addresses and names. */
  public Sql without(Sql words) {
    return Sql.of(
        "regexp_replace(%s, %s, %s, 'gi')",
        words, Sql.param(pattern), Sql.param(ErasedPerson.NAME));
  }

  private static Sql array(List<String> values) {
    return Sql.param(values.toArray(String[]::new));
  }
}
