package app.jemble.filter;

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

  static Column joined(@CompileTimeConstant String value, String join) {
    return new Column(Sql.of(value), join, null, null);
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
