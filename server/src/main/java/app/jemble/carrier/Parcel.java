package app.jemble.carrier;

import app.jemble.core.message.Outgoing;

/**
 * A message to be handed over.
 *
 * @param from where it comes back to when it cannot be delivered
 * @param to where it goes
 * @param message it, as it was composed; null where the octets are all that is handed over
 */
public record Parcel(byte[] octets, String from, String to, Outgoing message) {
  public Parcel(byte[] octets, String from, String to) {
    this(octets, from, to, null);
  }
}
