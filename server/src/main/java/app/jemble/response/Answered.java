package app.jemble.response;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.MessageState;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;

/** What a response needs to know of its message. */
public record Answered(
    MessageId id,
    long causeId,
    PersonId personId,
    String address,
    Channel channel,
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
