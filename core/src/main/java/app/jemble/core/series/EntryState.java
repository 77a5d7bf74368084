package app.jemble.core.series;

/** How somebody stands in a series. */
public enum EntryState {
  /** waits for a step */
  IN,
  /** is past the last step */
  FINISHED,
  /** it ended for them before */
  ENDED
}
