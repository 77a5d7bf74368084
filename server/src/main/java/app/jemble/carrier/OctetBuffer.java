package app.jemble.carrier;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** Octets written one after another; for one thread. */
public final class OctetBuffer {

  private static final byte[] LINE_END = {'\r', '\n'};

  private byte[] octets;
  private int length;

  public OctetBuffer(int likely) {
    octets = new byte[Math.max(64, likely)];
  }

  public int length() {
    return length;
  }

  /** For one who has written into {@link #withRoom} up to there. */
  public void setLength(int length) {
    this.length = length;
  }

  /** All octets, with room for so many more after those written. */
  public byte[] withRoom(int more) {
    if (octets.length - length < more) {
      octets = Arrays.copyOf(octets, Math.max(octets.length * 2, length + more));
    }
    return octets;
  }

  public void add(byte[] more) {
    System.arraycopy(more, 0, withRoom(more.length), length, more.length);
    length += more.length;
  }

  /** One line of a header, its end added. ASCII, or an address in another alphabet (RFC 6532). */
  public void addLine(String line) {
    add(line.getBytes(StandardCharsets.UTF_8));
    add(LINE_END);
  }

  /** The octets written. */
  public byte[] toOctets() {
    return Arrays.copyOf(octets, length);
  }
}
