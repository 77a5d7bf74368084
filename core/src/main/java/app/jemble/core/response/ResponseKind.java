package app.jemble.core.response;

/** One thing that came back. */
public enum ResponseKind {
  /** a person's mail reader fetched the open mark */
  OPENED,
  /** software fetched the open mark */
  MACHINE_OPENED,
  /** a person followed a link */
  CLICKED,
  /** software followed a link */
  MACHINE_CLICKED,
  REPLIED,
  AUTO_REPLIED,
  /** came back for good */
  RETURNED_HARD,
  /** came back for now */
  RETURNED_SOFT,
  LEFT,
  COMPLAINED
}
