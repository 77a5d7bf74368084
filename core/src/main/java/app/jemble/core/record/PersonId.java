package app.jemble.core.record;

/**
 * Which person: the number of their record, in a type of its own, so that nobody hands over the
 * number of a message or a mailing instead. In words, JSON and the database it is the plain number.
 */
public record PersonId(long value) implements Comparable<PersonId> {

  /**
   * The person of a number as it is written.
   *
   * @throws NumberFormatException when it is no number
   */
  public static PersonId of(String written) {
    return new PersonId(Long.parseLong(written));
  }

  @Override
  public int compareTo(PersonId other) {
    return Long.compare(value, other.value);
  }

  @Override
  public String toString() {
    return Long.toString(value);
  }
}
