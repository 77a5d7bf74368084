package app.jemble.carrier.mail;

import app.jemble.carrier.OctetBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;

/** A part of a message, and the parts inside it (RFC 2046), written as octets. */
sealed interface MimePart {

  /** Text of a kind such as {@code plain}. */
  record Text(String subtype, String text) implements MimePart {}

  /** Anything else, under header lines without their ends. */
  record Octets(List<String> header, byte[] octets) implements MimePart {}

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
  default void writeTo(OctetBuffer out, int depth) {
    if (this instanceof Text text) {
      out.addLine("Content-Type: text/" + text.subtype() + "; charset=UTF-8");
      byte[] octets = text.text().getBytes(StandardCharsets.UTF_8);
      if (PlainLines.are(text.text(), octets.length)) {
        out.addLine("Content-Transfer-Encoding: 7bit");
        out.addLine("");
        PlainLines.add(text.text(), out);
      } else {
        out.addLine("Content-Transfer-Encoding: quoted-printable");
        out.addLine("");
        QuotedPrintable.encode(octets, out);
      }
    } else if (this instanceof Octets octets) {
      octets.header().forEach(out::addLine);
      out.addLine("Content-Transfer-Encoding: base64");
      out.addLine("");
      out.add(Base64.getMimeEncoder().encode(octets.octets()));
    } else if (this instanceof Several several) {
      String boundary = "=_part_" + depth;
      out.addLine("Content-Type: " + several.type() + "; boundary=\"" + boundary + "\"");
      out.addLine("");
      for (MimePart part : several.parts()) {
        out.addLine("--" + boundary);
        part.writeTo(out, depth + 1);
        out.addLine("");
      }
      out.addLine("--" + boundary + "--");
    }
  }
}
