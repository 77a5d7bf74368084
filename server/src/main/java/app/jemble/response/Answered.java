package app.jemble.response;

import java.time.Instant;
import java.util.List;

/** What a response needs to know of its message. */
public record Answered(
    long id,
    long mailingId,
    long personId,
    String address,
    String state,
    Instant sentAt,
    Instant firstTryAt,
    long topicId,
    List<String> links) {

  /** When the hand-over was made or begun. */
  public Instant handedOver() {
    return sentAt != null ? sentAt : firstTryAt;
  }
}
