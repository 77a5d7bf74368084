package app.jemble.carrier.mail;

import app.jemble.carrier.OctetBuffer;
import java.nio.charset.StandardCharsets;

/**
 * Text as quoted-printable (RFC 2045 section 6.7), in UTF-8. Every kind of line end becomes CRLF;
 * no line is longer than 76 characters. A full stop that begins a line is encoded, so that no host
 * on the way takes it for the end of the message (common practice).
 */
final class QuotedPrintable {

  /** One less than a line may have: a soft break ends in "=". */
  private static final int FULL = 75;

  private static final byte[] HEX = "0123456789ABCDEF".getBytes(StandardCharsets.US_ASCII);

  /** Octets that stand for themselves within a line. */
  private static final boolean[] PLAIN = new boolean[256];

  static {
    for (int octet = ' '; octet <= '~'; octet++) {
      PLAIN[octet] = octet != '=';
    }
    PLAIN['\t'] = true;
  }

  /** More than one line, its end and a blank that is encoded. */
  private static final int ROOM = 96;

  private QuotedPrintable() {}

  /** Adds octets of UTF-8 to others, encoded: ASCII alone. */
  static void encode(byte[] in, OctetBuffer buffer) {
    byte[] out = buffer.withRoom(ROOM);
    int to = buffer.length();
    int line = to;
    int i = 0;
    while (i < in.length) {
      int full = Math.min(in.length, i + FULL - (to - line));
      boolean stop = to == line && in[i] == '.';
      while (!stop && i < full && PLAIN[in[i] & 255]) {
        out[to++] = in[i++];
      }
      if (i == in.length) {
        break;
      }
      byte octet = in[i];
      if (octet == '\r' || octet == '\n') {
        to = withoutBlankAtEnd(out, line, to);
        i += octet == '\r' && i + 1 < in.length && in[i + 1] == '\n' ? 2 : 1;
        to = endLine(out, to);
        line = to;
      } else if (to - line + (PLAIN[octet & 255] ? 1 : 3) > FULL) {
        out[to] = '=';
        to = endLine(out, to + 1);
        line = to;
      } else {
        to = encodeOne(octet, out, to);
        i++;
      }
      if (to == line) {
        buffer.setLength(to);
        out = buffer.withRoom(ROOM);
      }
    }
    buffer.setLength(withoutBlankAtEnd(out, line, to));
  }

  private static int endLine(byte[] out, int to) {
    out[to] = '\r';
    out[to + 1] = '\n';
    return to + 2;
  }

  private static int encodeOne(byte octet, byte[] out, int to) {
    out[to] = '=';
    out[to + 1] = HEX[(octet >> 4) & 15];
    out[to + 2] = HEX[octet & 15];
    return to + 3;
  }

  /** A blank that would end a line is encoded, on a line of its own where this one is too full. */
  private static int withoutBlankAtEnd(byte[] out, int line, int to) {
    if (to == line || (out[to - 1] != ' ' && out[to - 1] != '\t')) {
      return to;
    }
    byte blank = out[to - 1];
    int at = to - 1;
    if (at - line + 3 > FULL) {
      out[at] = '=';
      at = endLine(out, at + 1);
    }
    return encodeOne(blank, out, at);
  }
}
