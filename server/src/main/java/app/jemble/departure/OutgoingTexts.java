package app.jemble.departure;

import app.jemble.core.message.Outgoing;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Address;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;

/**
 * Writes messages as they leave. The side of those who know what is said implements it, so that the
 * outbox leans on no other subject.
 */
public interface OutgoingTexts {

  /**
   * A message to be written.
   *
   * @param recipient the name beside the address
   * @param token its public token
   * @param frozen what its texts ask for, as it was at release
   */
  record ToWrite(
      long causeId,
      PersonId personId,
      Address to,
      String recipient,
      String token,
      String frozen,
      ThreadPlace thread) {}

  /** Writes one of the messages that it was begun for. */
  interface Writing {

    /**
     * @param now when it leaves
     */
    Outgoing write(ToWrite message, Instant now);
  }

  /** What is needed for several is asked once. */
  Writing begin(List<ToWrite> messages);
}
