package app.jemble.carrier.mail;

import app.jemble.carrier.OctetBuffer;
import java.nio.charset.StandardCharsets;

/** Text that can go as it is (7bit, RFC 2045 section 6.2): ASCII in short lines. */
final class PlainLines {

  /** RFC 5322 section 2.1.1, with some to spare for a full stop that is doubled on the way. */
  private static final int LONGEST = 900;

  /** What every boundary of ours begins with; quoted-printable writes it otherwise. */
  private static final String BOUNDARY = "--=_";

  private PlainLines() {}

  /**
   * Whether a text is such: also none of its lines may end in a blank, which some hosts cut off, or
   * begin with "From ", which some change (RFC 2049 section 3), or like one of our boundaries.
   *
   * @param octets how many it has in UTF-8
   */
  static boolean are(String text, int octets) {
    boolean encoded =
        octets != text.length()
            || text.indexOf('\r') >= 0
            || text.indexOf('\0') >= 0
            || text.contains(BOUNDARY);
    if (encoded) {
      return false;
    }
    int from = 0;
    while (from < octets) {
      int end = text.indexOf('\n', from);
      end = end < 0 ? octets : end;
      boolean blankAtEnd = end > from && isBlank(text.charAt(end - 1));
      if (end - from > LONGEST || blankAtEnd || text.startsWith("From ", from)) {
        return false;
      }
      from = end + 1;
    }
    return true;
  }

  private static boolean isBlank(char c) {
    return c == ' ' || c == '\t';
  }

  /** Adds it, each line's end as CRLF. */
  static void add(String text, OctetBuffer out) {
    out.add(text.replace("\n", "\r\n").getBytes(StandardCharsets.US_ASCII));
  }
}
