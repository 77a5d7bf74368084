package app.jemble.core.response;

import java.util.Collection;
import java.util.Comparator;
import java.util.Set;

/**
 * Where one sent message stands after all that came back: one answer a message, so that the counts
 * of a mailing add up to what was sent. The constants stand in the order in which they are asked;
 * the first that holds is the answer.
 */
public enum Standing {
  RETURNED("returned"),
  REPLIED("replied"),
  LEFT("left the list"),
  CLICKED("clicked, no reply"),
  OPENED("opened, no reply"),
  AUTO_REPLIED("auto-reply"),
  MACHINE_OPENED("opened by a machine"),
  NOTHING("nothing yet");

  private final String words;

  Standing(String words) {
    this.words = words;
  }

  /** As people read it. */
  public String words() {
    return words;
  }

  /** No sign of a person reading, and no reply of any kind. */
  public boolean isQuiet() {
    return this == MACHINE_OPENED || this == NOTHING;
  }

  /** It did not come back. */
  public boolean isDelivered() {
    return this != RETURNED;
  }

  /** A person has read it, and nothing stronger came of it than what reading people do. */
  public boolean wasRead() {
    return this == REPLIED || this == CLICKED || this == OPENED;
  }

  /** Where several messages of one thread stand together; nothing of none. */
  public static Standing strongest(Collection<Standing> messages) {
    return messages.stream().min(Comparator.naturalOrder()).orElse(NOTHING);
  }

  /** A reply outweighs a soft return: somebody read it after all. */
  public static Standing of(Set<ResponseKind> kinds) {
    boolean replied = kinds.contains(ResponseKind.REPLIED);
    if (kinds.contains(ResponseKind.RETURNED_HARD)
        || (kinds.contains(ResponseKind.RETURNED_SOFT) && !replied)) {
      return RETURNED;
    }
    if (replied) {
      return REPLIED;
    }
    if (kinds.contains(ResponseKind.LEFT) || kinds.contains(ResponseKind.COMPLAINED)) {
      return LEFT;
    }
    if (kinds.contains(ResponseKind.CLICKED)) {
      return CLICKED;
    }
    if (kinds.contains(ResponseKind.OPENED)) {
      return OPENED;
    }
    if (kinds.contains(ResponseKind.AUTO_REPLIED)) {
      return AUTO_REPLIED;
    }
    return kinds.isEmpty() ? NOTHING : MACHINE_OPENED;
  }
}
