package app.jemble.print;

/** How far a print run has come. */
public enum RunState {
  DRAFT,
  /** its file is being written */
  PRINTING,
  PRINTED,
  DISCARDED
}
