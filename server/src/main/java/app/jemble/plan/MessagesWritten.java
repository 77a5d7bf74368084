package app.jemble.plan;

/** Whether the messages of a released mailing have all been put in the outbox. */
public interface MessagesWritten {

  /** A problem while messages are still being written. */
  void mustBeDone(long mailingId);
}
