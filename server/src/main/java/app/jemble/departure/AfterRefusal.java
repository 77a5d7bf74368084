package app.jemble.departure;

import app.jemble.core.message.MessageId;

/**
 * What follows when a mail server refuses a message for good. Others know it, so that the outbox
 * leans on no other subject.
 */
public interface AfterRefusal {

  /**
   * A message was refused, in the same transaction that says so.
   *
   * @param words what the mail server answered, its code first
   */
  void refused(MessageId messageId, String words);
}
