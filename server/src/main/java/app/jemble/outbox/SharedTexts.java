package app.jemble.outbox;

import app.jemble.core.message.MessageComposer;
import app.jemble.core.record.Values;
import java.util.Locale;

/**
 * What the outbox needs to know of mailings to write their messages. The mailing's side implements
 * it, so that the outbox leans on no other subject.
 */
public interface SharedTexts {

  /** A person's values as they were at release. */
  record Frozen(Locale language, Values values) {}

  /** What is the same for all messages of a released mailing. */
  MessageComposer.Shared of(long mailingId);

  /** Reads what was frozen at release. */
  Frozen thaw(String frozen);
}
