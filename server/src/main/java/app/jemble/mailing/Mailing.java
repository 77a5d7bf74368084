package app.jemble.mailing;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;

/** One message to one audience. */
public record Mailing(
    long id,
    String name,
    String subject,
    String body,
    Long templateId,
    String templateName,
    long topicId,
    long senderId,
    String senderName,
    Long followsId,
    String audienceFilter,
    Long[] audiencePicks,
    Long[] leftOut,
    LocalDateTime startWall,
    boolean countOpens,
    boolean countClicks,
    State state,
    Instant releasedAt,
    Instant heldUntil,
    Instant dueAt,
    int version) {

  /** Where a mailing stands. */
  public enum State {
    DRAFT,
    /** a draft put away; it can be taken back */
    DISCARDED,
    RELEASED,
    WITHDRAWN
  }

  public List<Long> picks() {
    return List.of(audiencePicks);
  }

  public boolean hasBeenReleased() {
    return state == State.RELEASED || state == State.WITHDRAWN;
  }

  /** Released, and still to be taken back as if it had never been. */
  public boolean isHeld(Instant now) {
    return state == State.RELEASED && now.isBefore(heldUntil);
  }
}
