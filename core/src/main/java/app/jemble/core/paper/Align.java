package app.jemble.core.paper;

/** Where lines stand between the left and the right margin. */
public enum Align {
  /** where the script of a line begins: on the left, or on the right */
  START,
  CENTRE,
  /** where it ends */
  END
}
