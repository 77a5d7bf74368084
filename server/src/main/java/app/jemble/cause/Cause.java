package app.jemble.cause;

import app.jemble.core.message.CauseState;
import app.jemble.core.reach.Ways;
import java.time.Instant;

/**
 * Why messages exist: what all that writes to people has in common.
 *
 * @param isPrivate whether its sender alone knows of it
 * @param followsId the cause in whose threads its messages go, or null
 * @param ways on which its messages go, in their order
 * @param heldUntil nothing leaves before it; null before the release
 * @param dueAt when its first message is to leave; null before the release
 * @param pausedAt since when its messages are held back by hand, or null
 */
public record Cause(
    long id,
    Kind kind,
    String name,
    long topicId,
    long senderId,
    boolean isPrivate,
    Long followsId,
    long wordingId,
    Ways ways,
    CauseState state,
    Instant releasedAt,
    Instant heldUntil,
    Instant dueAt,
    Instant pausedAt,
    int version) {

  /** What makes somebody write. */
  public enum Kind {
    /** one message to one audience */
    MAILING,
    /** a rule of what is done after a mailing is out */
    RULE,
    /** a colleague who answers one mail by hand */
    ANSWER,
    /** a step of a series */
    STEP,
    /** a standing mailing on days that come round */
    OCCASION
  }

  /** Whether it goes on while its text is changed, where a mailing is one moment. */
  public boolean goesOn() {
    return kind == Kind.STEP || kind == Kind.OCCASION;
  }

  public boolean isRule() {
    return kind == Kind.RULE;
  }

  public boolean hasBeenReleased() {
    return state.wasReleased();
  }

  /** Released, and still to be taken back as if it had never been. */
  public boolean isHeld(Instant now) {
    return state == CauseState.RELEASED && now.isBefore(heldUntil);
  }
}
