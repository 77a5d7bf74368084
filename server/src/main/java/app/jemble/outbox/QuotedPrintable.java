package app.jemble.outbox;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/**
 * Text as quoted-printable (RFC 2045 section 6.7), in UTF-8. Every kind of line end becomes CRLF;
 * no line is longer than 76 characters. A full stop that begins a line is encoded, so that no host
 * on the way takes it for the end of the message (common practice).
 */
final class QuotedPrintable {

  private static final int LONGEST_LINE = 76;
  private static final byte[] HEX = "0123456789ABCDEF".getBytes(StandardCharsets.US_ASCII);

  /** Octets that stand for themselves wherever they are: printable, and not the sign itself. */
  private static final boolean[] PLAIN = new boolean[256];

  static {
    for (int octet = '!'; octet <= '~'; octet++) {
      PLAIN[octet] = octet != '=';
    }
  }

  private final byte[] in;
  private byte[] out;
  private int length;
  private int column;

  private QuotedPrintable(byte[] in) {
    this.in = in;
    this.out = new byte[in.length + in.length / 8 + 64];
  }

  /** The octets, ASCII alone. */
  static byte[] encode(String text) {
    return new QuotedPrintable(text.getBytes(StandardCharsets.UTF_8)).encode();
  }

  private byte[] encode() {
    int i = 0;
    while (i < in.length) {
      int run = plainRun(i);
      if (run > i) {
        System.arraycopy(in, i, out, length, run - i);
        length += run - i;
        column += run - i;
        i = run;
      } else {
        i = encodeOne(i);
      }
      makeSpace();
    }
    return Arrays.copyOf(out, length);
  }

  /** The end of the octets from here on that stand for themselves and fit on this line. */
  private int plainRun(int from) {
    int end = Math.min(in.length, from + LONGEST_LINE - 1 - column);
    int at = from;
    while (at < end) {
      byte octet = in[at];
      boolean plain = PLAIN[octet & 255] || (octet == ' ' && !endsLine(at + 1));
      if (!plain || (octet == '.' && column + at - from == 0)) {
        return at;
      }
      at++;
    }
    return at;
  }

  /** A line end, an octet that is encoded, or one for which the line is full. */
  private int encodeOne(int i) {
    byte octet = in[i];
    if (octet == '\r' || octet == '\n') {
      breakLine();
      return octet == '\r' && i + 1 < in.length && in[i + 1] == '\n' ? i + 2 : i + 1;
    }
    boolean plain = PLAIN[octet & 255] || (isBlank(octet) && !endsLine(i + 1));
    if (column + (plain ? 1 : 3) > LONGEST_LINE - 1) {
      out[length++] = '=';
      breakLine();
      return i;
    }
    if (plain && !(octet == '.' && column == 0)) {
      out[length++] = octet;
      column++;
    } else {
      out[length++] = '=';
      out[length++] = HEX[(octet >> 4) & 15];
      out[length++] = HEX[octet & 15];
      column += 3;
    }
    return i + 1;
  }

  private static boolean isBlank(byte octet) {
    return octet == ' ' || octet == '\t';
  }

  private boolean endsLine(int at) {
    return at == in.length || in[at] == '\r' || in[at] == '\n';
  }

  private void breakLine() {
    out[length++] = '\r';
    out[length++] = '\n';
    column = 0;
  }

  /** Room for a whole line and its end. */
  private void makeSpace() {
    if (out.length - length < LONGEST_LINE + 2) {
      out = Arrays.copyOf(out, out.length * 2);
    }
  }
}
