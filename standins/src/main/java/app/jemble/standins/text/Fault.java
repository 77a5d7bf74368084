package app.jemble.standins.text;

/** What a message centre does wrong with a submit. */
public enum Fault {
  NONE,
  /** asks to slow down (0x58) */
  THROTTLES,
  /** there is no such number (0x0B) */
  REFUSES,
  /** the connection is gone before it has taken the text */
  DROPS_BEFORE,
  /** it took the text, and the connection is gone before it says so */
  DROPS_AFTER
}
