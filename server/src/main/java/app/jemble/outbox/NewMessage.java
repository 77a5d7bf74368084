package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import app.jemble.core.message.ThreadPlace;
import app.jemble.core.reach.Address;
import app.jemble.core.record.PersonId;
import java.time.Instant;

/**
 * A message to be put in the outbox.
 *
 * @param token its public token
 * @param frozen what its texts ask for, as JSON
 * @param recordId the record it is about, 0 for none
 * @param due when the plan lets it leave
 * @param followsId the message it follows in a thread, or null
 * @param threadId the first message of that thread, or null
 */
public record NewMessage(
    PersonId personId,
    Address address,
    String recipient,
    String token,
    String frozen,
    MessageId followsId,
    MessageId threadId,
    ThreadPlace thread,
    long recordId,
    Instant due) {

  /** The same as one of several that a person has of one cause, by its number from 0 on. */
  public NewMessage numbered(long number) {
    return new NewMessage(
        personId, address, recipient, token, frozen, followsId, threadId, thread, number, due);
  }
}
