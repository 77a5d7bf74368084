package app.jemble.filter;

/**
 * Where a field stands in the tables.
 *
 * @param value its value in SQL
 * @param join the alias of a table that must be joined for it, or empty
 * @param shown what a list shows of it, as text; null when that is the value itself
 * @param folded the value without case and accents where it is stored so, or null
 */
record Column(String value, String join, String shown, String folded) {

  static Column of(String value) {
    return new Column(value, "", null, null);
  }

  static Column joined(String value, String join) {
    return new Column(value, join, null, null);
  }

  Column shownAs(String text) {
    return new Column(value, join, text, folded);
  }

  Column foldedAs(String text) {
    return new Column(value, join, shown, text);
  }

  /** The value without case and accents. */
  String fold() {
    return folded == null ? "fold(" + value + ")" : folded;
  }
}
