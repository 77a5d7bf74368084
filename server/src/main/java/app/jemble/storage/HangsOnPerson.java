package app.jemble.storage;

import java.util.List;

/**
 * Rows that hang on a person, and go along when two records of one person become one. Each room
 * says so of its own tables.
 *
 * @param name by which what was moved is remembered; never changes
 * @param table the rows, {@code t} in the other pieces
 * @param key what names a row of one person
 * @param alike of rows: which {@code k} of the one who stays is the like of {@code t}, so that
 *     {@code t} stays where it is; null when several are fine. Of lists: the column
 * @param kind how the person stands in them
 */
public record HangsOnPerson(String name, Sql table, Sql key, Sql alike, Kind kind) {

  /** What a room has of people. */
  public interface Room {
    List<HangsOnPerson> ofPeople();

    /**
     * Which of the rows {@code t} a colleague may see at all: what is private to another does not
     * exist for them.
     */
    default Sql openTo(String name, long colleague) {
      return Sql.of("true");
    }

    /** Whether the rows are about the person, and theirs to be told. */
    default boolean isToldToThem(String name) {
      return true;
    }

    /** Rows with these keys were moved, or moved back. */
    default void moved(List<Long> keys) {}
  }

  /** How a person stands in rows. */
  public enum Kind {
    /** a row is of one person */
    ROW,
    /** a row is of a message, and goes where the message went */
    OF_MESSAGE,
    /** a row has a list of people */
    LIST
  }

  public static HangsOnPerson rows(String name, Sql table, Sql key, Sql alike) {
    return new HangsOnPerson(name, table, key, alike, Kind.ROW);
  }

  public static HangsOnPerson ofMessages(String name, Sql table, Sql key) {
    return new HangsOnPerson(name, table, key, null, Kind.OF_MESSAGE);
  }

  public static HangsOnPerson list(String name, Sql table, Sql key, Sql column) {
    return new HangsOnPerson(name, table, key, column, Kind.LIST);
  }

  /** Whether rows of a mailing, a step or a day are open to a colleague. */
  public static Sql ofOpenCause(Sql cause, long colleague) {
    return Sql.of(
        "exists (select from offered.open_cause g where g.id = %s and g.open_to = %s)",
        cause, Sql.param(colleague));
  }

  public boolean isList() {
    return kind == Kind.LIST;
  }
}
