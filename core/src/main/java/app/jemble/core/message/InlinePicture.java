package app.jemble.core.message;

/**
 * A picture that travels inside the message (RFC 2387).
 *
 * @param contentId what the HTML names it by, without angle brackets
 * @param path where it is found at the application
 * @param type its media type, for example {@code image/png}
 * @param octets the file; shared by all messages that carry it, never changed
 */
public record InlinePicture(String contentId, String path, String type, byte[] octets) {

  /** A picture on record, before it has a place in a message. */
  public record Stored(String type, byte[] octets) {}
}
