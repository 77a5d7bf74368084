package app.jemble.print;

import app.jemble.core.record.PersonId;

/**
 * Something about one label that wants a look.
 *
 * @param page on which it lies, from 0
 * @param words in a sentence
 */
record LabelFinding(PersonId personId, String name, Kind kind, int page, String words) {

  /** What there is to find, the gravest first. */
  enum Kind {
    /** its text does not fit at the smallest size */
    TOO_LONG,
    /** letters that no font has */
    LETTERS,
    /** there is nothing to print */
    EMPTY,
    /** a field without a value and without a fallback */
    MISSING,
    /** its text is smaller than that of the others */
    SHRUNK
  }
}
