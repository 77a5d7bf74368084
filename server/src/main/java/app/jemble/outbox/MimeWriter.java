package app.jemble.outbox;

import app.jemble.core.message.AttachedFile;
import app.jemble.core.message.InlinePicture;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.OutgoingMessage;
import jakarta.mail.internet.ContentDisposition;
import jakarta.mail.internet.MimeUtility;
import jakarta.mail.internet.ParameterList;
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
 * names as RFC 2231 says. Plain octets, since the mail library takes ten times as long; it folds
 * and writes names of files.
 */
final class MimeWriter {

  /** RFC 5322 section 3.3. */
  private static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("EEE, d MMM yyyy HH:mm:ss Z", Locale.ENGLISH)
          .withZone(ZoneOffset.UTC);

  private MimeWriter() {}

  /** The octets exactly as they leave; the same at every try. */
  static byte[] write(OutgoingMessage message) {
    OctetBuffer out = new OctetBuffer(likelySize(message));
    header(message).forEach(out::addLine);
    withFiles(message).writeTo(out, 0);
    return out.toOctets();
  }

  private static List<String> header(OutgoingMessage message) {
    List<String> lines = new ArrayList<>();
    lines.add("Date: " + DATE.format(message.date()));
    lines.add("Message-ID: " + message.messageId());
    lines.add("From: " + address(message.from()));
    lines.add("To: " + address(message.to()));
    if (message.replyTo().isPresent()) {
      lines.add("Reply-To: " + address(message.replyTo().get()));
    }
    lines.add("Subject: " + MimeUtility.fold(9, HeaderWords.encode(message.subject())));
    if (message.thread().inReplyTo() != null) {
      String references = String.join(" ", message.thread().references());
      lines.add("In-Reply-To: " + message.thread().inReplyTo());
      lines.add("References: " + MimeUtility.fold(12, references));
    }
    if (message.leaveAddress().isPresent()) {
      lines.add("List-Unsubscribe: <" + message.leaveAddress().get() + ">");
      lines.add("List-Unsubscribe-Post: List-Unsubscribe=One-Click");
    }
    if (message.automatic()) {
      lines.add("Auto-Submitted: auto-generated");
    }
    lines.add("MIME-Version: 1.0");
    return lines;
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
      all.add(octets(file.octets(), file.type(), disposition(file.name())));
    }
    return new MimePart.Several("multipart/mixed", all);
  }

  /** The HTML and its pictures (RFC 2387). */
  private static MimePart withPictures(MimePart html, List<InlinePicture> pictures) {
    List<MimePart> all = new ArrayList<>();
    all.add(html);
    for (InlinePicture picture : pictures) {
      String place = "Content-ID: <" + picture.contentId() + ">";
      all.add(octets(picture.octets(), picture.type(), "Content-Disposition: inline", place));
    }
    return new MimePart.Several("multipart/related; type=\"text/html\"", all);
  }

  private static MimePart octets(byte[] octets, String type, String... more) {
    List<String> header = new ArrayList<>(List.of("Content-Type: " + type));
    header.addAll(List.of(more));
    return new MimePart.Octets(header, octets);
  }

  /** A name that a reader would take for something encoded is written octet by octet (RFC 2231). */
  private static String disposition(String name) {
    if (HeaderWords.looksEncoded(name) || name.indexOf('\'') >= 0) {
      String octets =
          URLEncoder.encode(name, StandardCharsets.UTF_8).replace("+", "%20").replace("*", "%2A");
      return "Content-Disposition: attachment; filename*=UTF-8''" + octets;
    }
    ParameterList parameters = new ParameterList();
    parameters.set("filename", name, StandardCharsets.UTF_8.name());
    return "Content-Disposition: " + new ContentDisposition("attachment", parameters);
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

  private static String address(Mailbox mailbox) {
    String name = mailbox.name();
    if (HeaderWords.mustBeEncoded(name)) {
      return HeaderWords.encode(name) + "\r\n <" + mailbox.address() + ">";
    }
    if (name.isEmpty()) {
      return mailbox.address();
    }
    // RFC 5322 section 3.2.4; the name is on one line.
    String quoted = name.replace("\\", "\\\\").replace("\"", "\\\"");
    return MimeUtility.fold(6, "\"" + quoted + "\" <" + mailbox.address() + ">");
  }
}
