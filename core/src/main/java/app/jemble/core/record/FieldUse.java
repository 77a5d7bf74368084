package app.jemble.core.record;

/** Where a field may be used. */
public enum FieldUse {
  FILTER,
  MERGE,
  SORT
}
