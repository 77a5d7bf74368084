package app.jemble.history;

/** What something that was done is about. */
public enum EventKind {
  /** signing in, failing to, and signing out */
  SIGN_IN,
  /** what a colleague asked for and may not */
  REFUSED,
  /** colleagues, their roles, passwords and second factors */
  COLLEAGUES,
  /** how the house works */
  SETTINGS,
  /** people's data that left the house as a file */
  EXPORT,
  /** people who were erased, and what went since it was kept long enough */
  PRIVACY
}
