package app.jemble.filter;

import app.jemble.storage.PersonColumn;
import app.jemble.storage.Sql;
import com.google.errorprone.annotations.CompileTimeConstant;

/**
 * Where a field stands in the tables.
 *
 * @param value its value in SQL
 * @param join the alias of a table that must be joined for it, or empty
 * @param shown what a list shows of it, as text; null when that is the value itself
 * @param folded the value without case and accents where it is stored so, or null
 */
record Column(Sql value, String join, Sql shown, Sql folded) {

  static Column of(@CompileTimeConstant String value) {
    return of(Sql.of(value));
  }

  static Column of(Sql value) {
    return new Column(value, "", null, null);
  }

  /** The column of a field of people; only their own table needs no join. */
  static Column of(PersonColumn column) {
    boolean own = column.table() == PersonColumn.Table.PERSON;
    return new Column(column.value(), own ? "" : column.table().letter(), null, null);
  }

  Column shownAs(@CompileTimeConstant String text) {
    return shownAs(Sql.of(text));
  }

  Column shownAs(Sql text) {
    return new Column(value, join, text, folded);
  }

  Column foldedAs(@CompileTimeConstant String text) {
    return new Column(value, join, shown, Sql.of(text));
  }

  /** The value without case and accents. */
  Sql fold() {
    return folded == null ? Sql.of("fold(%s)", value) : folded;
  }
}
