package app.jemble.core.record;

/** What kind of value a field holds; decides its operators in a filter and its format in a text. */
public enum FieldType {
  TEXT,
  NUMBER,
  MONEY,
  DAY,
  INSTANT,
  FLAG,
  CHOICE,
  TAGS,
  /** A picture that was put on record; stands where a picture's address stands. */
  PICTURE,
  /** A colleague by login, or a mailing by number; compared by that key. */
  REFERENCE,
  /** Another person, and whoever stands behind that one: who introduced whom. */
  INTRODUCER
}
