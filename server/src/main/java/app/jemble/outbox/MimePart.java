package app.jemble.outbox;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** A part of a message, and the parts inside it (RFC 2046), written as octets. */
sealed interface MimePart {

  /** Header lines without their ends, and a body already encoded. */
  record Leaf(List<String> header, byte[] body) implements MimePart {}

  /**
   * Parts one after another.
   *
   * @param type such as {@code multipart/mixed}, with parameters other than the boundary
   */
  record Several(String type, List<MimePart> parts) implements MimePart {}

  /**
   * Writes header lines, an empty line and the body.
   *
   * @param depth how many parts stand around it; keeps boundaries apart. None occurs in a body,
   *     since "=_" is not in quoted-printable nor in base64 (RFC 2045 section 6.7).
   */
  default void writeTo(ByteArrayOutputStream out, int depth) {
    if (this instanceof Leaf leaf) {
      leaf.header().forEach(line -> line(out, line));
      line(out, "");
      out.writeBytes(leaf.body());
    } else if (this instanceof Several several) {
      String boundary = "=_part_" + depth;
      line(out, "Content-Type: " + several.type() + "; boundary=\"" + boundary + "\"");
      line(out, "");
      for (MimePart part : several.parts()) {
        line(out, "--" + boundary);
        part.writeTo(out, depth + 1);
        line(out, "");
      }
      line(out, "--" + boundary + "--");
    }
  }

  /** Header lines are ASCII, except an address in another alphabet (RFC 6532). */
  static void line(ByteArrayOutputStream out, String line) {
    out.writeBytes(line.getBytes(StandardCharsets.UTF_8));
    out.write('\r');
    out.write('\n');
  }
}
