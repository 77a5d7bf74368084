package app.jemble.carrier;

/**
 * A message to be handed over.
 *
 * @param from where it comes back to when it cannot be delivered
 * @param to where it goes
 */
public record Parcel(byte[] octets, String from, String to) {}
