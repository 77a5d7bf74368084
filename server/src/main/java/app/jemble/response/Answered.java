package app.jemble.response;

import app.jemble.core.message.MessageState;
import java.time.Instant;
import java.util.List;

/** What a response needs to know of its message. */
public record Answered(
    long id,
    long causeId,
    long personId,
    String address,
    MessageState state,
    Instant sentAt,
    Instant firstTryAt,
    long topicId,
    List<String> links) {

  /** When the hand-over was made or begun. */
  public Instant handedOver() {
    return sentAt != null ? sentAt : firstTryAt;
  }
}
