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

  public boolean isList() {
    return kind == Kind.LIST;
  }
}
