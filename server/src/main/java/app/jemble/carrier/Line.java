package app.jemble.carrier;

/** One way out, kept from message to message. For one thread at a time. */
public interface Line {

  /**
   * Hands a message over.
   *
   * @param next which is handed over next and without fail, or null
   * @param begin told right before the first octet of the message leaves; what it throws stops that
   */
  HandoverResult send(Parcel parcel, Parcel next, Runnable begin);
}
