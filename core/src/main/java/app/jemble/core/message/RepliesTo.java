package app.jemble.core.message;

/** Where replies go. */
public enum RepliesTo {
  SENDER,
  /** each person's owner; the sender where there is none */
  OWNER,
  COLLEAGUE
}
