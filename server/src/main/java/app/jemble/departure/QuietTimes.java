package app.jemble.departure;

import app.jemble.core.message.MessageId;
import app.jemble.core.reach.Channel;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * Hours in which a message may not reach somebody though it is due. Others know people's clocks, so
 * that the outbox leans on no other subject.
 */
public interface QuietTimes {

  /** A message about to leave. */
  record Due(MessageId id, PersonId personId, Channel channel) {}

  /** Those of the messages that have to wait, and until when. */
  Map<MessageId, Instant> until(List<Due> messages, Instant now);
}
