package app.jemble.carrier.mail;

import java.nio.charset.StandardCharsets;

/**
 * A line that begins with a full stop gets another, so that none ends the text (RFC 5321 4.5.2).
 */
final class Dots {

  private Dots() {}

  /**
   * @param octets lines that end in CRLF
   * @return the same octets when nothing is to be added; the last line's end is added if missing
   */
  static byte[] stuffed(byte[] octets) {
    String text = new String(octets, StandardCharsets.ISO_8859_1);
    boolean ended = text.endsWith("\r\n");
    boolean none = !text.startsWith(".") && text.indexOf("\n.") < 0;
    if (none && ended) {
      return octets;
    }
    String stuffed = (text.startsWith(".") ? "." + text : text).replace("\n.", "\n..");
    return (ended ? stuffed : stuffed + "\r\n").getBytes(StandardCharsets.ISO_8859_1);
  }
}
