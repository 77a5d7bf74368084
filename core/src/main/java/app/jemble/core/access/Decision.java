package app.jemble.core.access;

import java.util.List;
import java.util.Locale;

/** Whether somebody may. */
public sealed interface Decision {

  record Yes() implements Decision {}

  /**
   * No.
   *
   * @param reason why, as a sentence
   * @param most how many they may, where fewer would do; null where none would
   */
  record No(String reason, Integer most) implements Decision {

    public No(String reason) {
      this(reason, null);
    }

    /**
     * Why, and whom to ask.
     *
     * @param others who may change it, by name
     */
    public String sentence(List<String> others) {
      String whom = others.isEmpty() ? "an administrator" : String.join(" or ", others);
      String instead =
          most == null ? "" : String.format(Locale.ROOT, ", or take the first %,d", most);
      return reason + " Ask " + whom + instead + ".";
    }
  }

  /**
   * Yes, when another colleague nods.
   *
   * @param above how many people it takes
   */
  record WithNod(int above) implements Decision {}

  /** To whoever asks it does not exist. */
  record Unknown() implements Decision {}

  default boolean isYes() {
    return this instanceof Yes;
  }
}
