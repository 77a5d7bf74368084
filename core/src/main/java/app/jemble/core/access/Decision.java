package app.jemble.core.access;

/** Whether somebody may. */
public sealed interface Decision {

  record Yes() implements Decision {}

  /**
   * No.
   *
   * @param sentence why, and whom to ask
   */
  record No(String sentence) implements Decision {}

  /** To whoever asks it does not exist. */
  record Unknown() implements Decision {}

  default boolean isYes() {
    return this instanceof Yes;
  }
}
