package app.jemble.outbox;

import app.jemble.core.message.MessageId;
import java.time.Instant;

/** A place in the order in which messages leave: by when they are due, then by their number. */
record DuePlace(Instant due, MessageId id) {

  /** Before all of them. */
  static final DuePlace START = new DuePlace(Instant.EPOCH, new MessageId(0));
}
