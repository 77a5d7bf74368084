package app.jemble.core.access;

/** What a colleague is in the house. */
public enum Role {
  ADMINISTRATOR,
  COORDINATOR,
  REPRESENTATIVE,
  /** looks, and changes nothing */
  READER
}
