package app.jemble.outbox;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** Octets written one after another; for one thread. */
final class OctetBuffer {

  private static final byte[] LINE_END = {'\r', '\n'};

  private byte[] octets;
  private int length;

  OctetBuffer(int likely) {
    octets = new byte[Math.max(64, likely)];
  }

  int length() {
    return length;
  }

  /** For one who has written into {@link #withRoom} up to there. */
  void setLength(int length) {
    this.length = length;
  }

  /** All octets, with room for so many more after those written. */
  byte[] withRoom(int more) {
    if (octets.length - length < more) {
      octets = Arrays.copyOf(octets, Math.max(octets.length * 2, length + more));
    }
    return octets;
  }

  void add(byte[] more) {
    System.arraycopy(more, 0, withRoom(more.length), length, more.length);
    length += more.length;
  }

  /** One line of a header, its end added. ASCII, or an address in another alphabet (RFC 6532). */
  void addLine(String line) {
    add(line.getBytes(StandardCharsets.UTF_8));
    add(LINE_END);
  }

  /** The octets written. */
  byte[] toOctets() {
    return Arrays.copyOf(octets, length);
  }
}
