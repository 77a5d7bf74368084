package app.jemble.core.followup;

import app.jemble.core.response.Standing;
import java.util.Optional;

/** Writing again to people in the thread of a message they had before. */
public final class FollowUp {

  private FollowUp() {}

  /**
   * Why a follow-up must not leave, given where the message it follows stands at that instant;
   * empty when it may. Whoever replied, left or was returned never gets one, however late that
   * came.
   */
  public static Optional<String> stoppedBy(Standing original) {
    return switch (original) {
      case REPLIED -> Optional.of("replied in the meantime");
      case LEFT -> Optional.of("left the list in the meantime");
      case RETURNED -> Optional.of("the first message came back");
      default -> Optional.empty();
    };
  }
}
