package app.jemble.carrier.mail;

import app.jemble.carrier.OctetBuffer;
import app.jemble.core.message.AttachedFile;
import app.jemble.core.message.InlinePicture;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.OutgoingMessage;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Writes a message as MIME: multipart/alternative with plain text first (RFC 2046 section 5.1.4),
 * both quoted-printable unless they are short lines of ASCII, so that no line passes 998 octets
 * (RFC 5322 section 2.1.1); pictures beside the HTML that shows them, files beside all of it, their
 * names as RFC 2231 says. Plain octets: general writers of mail take longer, and keep neither to
 * these lengths nor to what a header may hold (docs/decisions.md).
 */
final class MimeWriter {

  /** RFC 5322 section 3.3. */
  private static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("EEE, d MMM yyyy HH:mm:ss Z", Locale.ENGLISH)
          .withZone(ZoneOffset.UTC);

  /** So much of a file's name stands on a line. */
  private static final int PIECE = 50;

  private MimeWriter() {}

  /** The octets exactly as they leave; the same at every try. */
  public static byte[] write(OutgoingMessage message) {
    OctetBuffer out = new OctetBuffer(likelySize(message));
    header(message).forEach(out::addLine);
    withFiles(message).writeTo(out, 0);
    return out.toOctets();
  }

  private static List<String> header(OutgoingMessage message) {
    HeaderLines header = new HeaderLines();
    header.add("Date", DATE.format(message.date()));
    header.add("Message-ID", message.messageId());
    header.add("From", address(message.from()));
    header.add("To", address(message.to()));
    message.replyTo().ifPresent(replyTo -> header.add("Reply-To", address(replyTo)));
    header.add("Subject", HeaderWords.pieces(message.subject()));
    if (message.thread().inReplyTo() != null) {
      header.add("In-Reply-To", message.thread().inReplyTo());
      header.add("References", message.thread().references());
    }
    message
        .leaveAddress()
        .ifPresent(
            address -> {
              header.add("List-Unsubscribe", "<" + address + ">");
              header.add("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
            });
    if (message.automatic()) {
      header.add("Auto-Submitted", "auto-generated");
    }
    header.add("MIME-Version", "1.0");
    return header.lines();
  }

  private static MimePart withFiles(OutgoingMessage message) {
    MimePart html = new MimePart.Text("html", message.html());
    MimePart.Several alternatives =
        new MimePart.Several(
            "multipart/alternative",
            List.of(
                new MimePart.Text("plain", message.text()),
                message.pictures().isEmpty() ? html : withPictures(html, message.pictures())));
    if (message.files().isEmpty()) {
      return alternatives;
    }
    List<MimePart> all = new ArrayList<>();
    all.add(alternatives);
    for (AttachedFile file : message.files()) {
      all.add(file(file));
    }
    return new MimePart.Several("multipart/mixed", all);
  }

  /** The HTML and its pictures (RFC 2387). */
  private static MimePart withPictures(MimePart html, List<InlinePicture> pictures) {
    List<MimePart> all = new ArrayList<>();
    all.add(html);
    for (InlinePicture picture : pictures) {
      HeaderLines header = new HeaderLines();
      header.add("Content-Type", picture.type());
      header.add("Content-Disposition", "inline");
      header.add("Content-ID", "<" + picture.contentId() + ">");
      all.add(new MimePart.Octets(header.lines(), picture.octets()));
    }
    return new MimePart.Several("multipart/related; type=\"text/html\"", all);
  }

  private static MimePart file(AttachedFile file) {
    HeaderLines header = new HeaderLines();
    header.add("Content-Type", file.type());
    header.add("Content-Disposition", disposition(file.name()));
    return new MimePart.Octets(header.lines(), file.octets());
  }

  /**
   * A short plain name stands in quotes; any other is written octet by octet, in pieces where it is
   * long (RFC 2231 sections 3 and 4).
   */
  private static List<String> disposition(String name) {
    List<String> parts = new ArrayList<>(List.of("attachment;"));
    boolean plain =
        name.length() <= PIECE && !HeaderWords.mustBeEncoded(name) && name.indexOf('\'') < 0;
    if (plain) {
      parts.add("filename=\"" + quoted(name) + "\"");
      return parts;
    }
    String octets =
        URLEncoder.encode(name, StandardCharsets.UTF_8).replace("+", "%20").replace("*", "%2A");
    if (octets.length() <= PIECE) {
      parts.add("filename*=UTF-8''" + octets);
      return parts;
    }
    int number = 0;
    for (int from = 0; from < octets.length(); number++) {
      int to = Math.min(octets.length(), from + PIECE);
      // An octet is never parted.
      int sign = octets.lastIndexOf('%', to - 1);
      to = to < octets.length() && sign > to - 3 ? sign : to;
      String piece = (number == 0 ? "UTF-8''" : "") + octets.substring(from, to);
      parts.add("filename*" + number + "*=" + piece + (to < octets.length() ? ";" : ""));
      from = to;
    }
    return parts;
  }

  private static int likelySize(OutgoingMessage message) {
    int octets = 2048 + 5 * (message.html().length() + message.text().length()) / 4;
    for (InlinePicture picture : message.pictures()) {
      octets += picture.octets().length * 3 / 2;
    }
    for (AttachedFile file : message.files()) {
      octets += file.octets().length * 3 / 2;
    }
    return octets;
  }

  private static List<String> address(Mailbox mailbox) {
    String address = Envelope.withAsciiDomain(mailbox.address());
    String name = mailbox.name();
    if (name.isEmpty()) {
      return List.of(address);
    }
    List<String> pieces = new ArrayList<>();
    if (HeaderWords.mustBeEncoded(name)) {
      pieces.addAll(HeaderWords.encodedWords(name));
    } else {
      pieces.addAll(HeaderWords.pieces("\"" + quoted(name) + "\""));
    }
    pieces.add("<" + address + ">");
    return pieces;
  }

  /** RFC 5322 section 3.2.4; the words are on one line. */
  private static String quoted(String words) {
    return words.replace("\\", "\\\\").replace("\"", "\\\"");
  }
}
