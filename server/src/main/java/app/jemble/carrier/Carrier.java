package app.jemble.carrier;

import app.jemble.core.message.Outgoing;
import app.jemble.core.reach.Channel;

/** What takes messages of one channel out of the house. */
public interface Carrier {

  Channel channel();

  /** Where it takes them, for people: such as {@code mail.quay.example:587}. */
  String where();

  /**
   * All that says how it is reached. Where that changes, its lines and workers begin anew; it is
   * compared, and shown to nobody.
   */
  default Object setting() {
    return "";
  }

  /** How many lines of this process lead there. */
  int lineCount();

  /** How many prepare messages for each of them: while one hands over, another prepares. */
  default int workersALine() {
    return 4;
  }

  /** The lines of this process; the caller closes them. */
  Lines lines();

  /** A message exactly as it will leave. */
  byte[] write(Outgoing message);

  /** What is handed over: octets that {@link #write} made, now or before, of a message. */
  Parcel parcel(Outgoing message, byte[] octets);
}
