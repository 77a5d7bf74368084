package app.jemble.core.message;

/** In whose name messages come. */
public enum Voice {
  SENDER,
  /** each person's owner; the sender where there is none */
  OWNER,
  /** the house's own address */
  HOUSE
}
