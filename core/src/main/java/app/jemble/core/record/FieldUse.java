package app.jemble.core.record;

/** Where a field may be used. */
public enum FieldUse {
  FILTER,
  MERGE,
  /** Shown as a column of a list, which can then be sorted by it, and exported. */
  COLUMN,
  /** Set by hand, by an act on many, or by an import. */
  EDIT,
  /** Set by a column of a file that is brought in; by hand it is set elsewhere. */
  BRING_IN
}
