package app.jemble.outbox;

import app.jemble.core.message.MessageComposer;
import app.jemble.core.record.Values;
import java.util.Locale;

/**
 * What the outbox needs to know of causes to write their messages. Their side implements it, so
 * that the outbox leans on no other subject.
 */
public interface SharedTexts {

  /**
   * What one person's message is made of.
   *
   * @param shared the cause's, with this person's own words where there are such
   * @param language the person's
   * @param values the person's, as they were at release
   */
  record Ready(MessageComposer.Shared shared, Locale language, Values values) {}

  /**
   * @param frozen what was frozen at release
   */
  Ready ready(long causeId, long personId, String frozen);
}
