package app.jemble.inbound;

import app.jemble.core.message.PlainText;
import app.jemble.core.response.InboundMail;
import jakarta.mail.BodyPart;
import jakarta.mail.Header;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetHeaders;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeUtility;
import jakarta.mail.internet.ParseException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UnsupportedEncodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Takes a mail that arrived apart, as far as sorting and reading it needs. */
final class InboundParser {

  static {
    // Many servers end a type with a semicolon, or leave quotes open; it is read all the same.
    System.setProperty("mail.mime.parameters.strict", "false");
  }

  private static final Session SESSION = Session.getInstance(new Properties());
  private static final int MOST_TEXT = 100_000;
  private static final int DEEPEST = 10;
  private static final int LONGEST_HEADER = 10_000;
  private static final Pattern LINE_ENDS = Pattern.compile("[\\r\\n]++");

  /** Parts of one mail that are looked at. */
  private static final int MOST_PARTS = 200;

  /** Ids are names: whatever an encoded word in one would mean, it is not what was sent. */
  private static final Set<String> NEVER_DECODED =
      Set.of("message-id", "in-reply-to", "references");

  /** The machine part of a report (RFC 3464) that its own boundary does not set apart. */
  private static final Pattern STATUS_FIELDS =
      Pattern.compile(
          "^(?:Reporting-MTA|Original-Recipient|Final-Recipient):.*?(?=^--|\\z)",
          Pattern.CASE_INSENSITIVE | Pattern.MULTILINE | Pattern.DOTALL);

  private int parts;
  private String deliveryStatus;
  private String feedbackReport;
  private Map<String, List<String>> original = Map.of();
  private String plain;
  private String html;
  private final StringBuilder said = new StringBuilder();

  private InboundParser() {}

  /**
   * Reads the octets of a mail. A part that cannot be read is passed over; the rest is still read.
   *
   * @throws MessagingException when not even its headers can be read
   */
  static InboundMail parse(byte[] mime) throws MessagingException {
    MimeMessage message = new MimeMessage(SESSION, new ByteArrayInputStream(mime));
    InboundParser parser = new InboundParser();
    parser.read(message, 0);
    if (parser.deliveryStatus == null && message.isMimeType("multipart/report")) {
      parser.deliveryStatus = statusIn(mime);
    }
    String text = parser.plain;
    if (text == null) {
      text = parser.html == null ? "" : PlainText.fromHtml(parser.html);
    }
    String type = message.getContentType();
    return new InboundMail(
        headers(message.getAllHeaders()),
        type == null ? "text/plain" : type.toLowerCase(Locale.ROOT),
        parser.deliveryStatus,
        parser.feedbackReport,
        parser.original,
        text.strip(),
        parser.said.toString());
  }

  /** What stands between the parts of a report whose boundary is broken. */
  private static String statusIn(byte[] mime) {
    String text =
        new String(mime, 0, Math.min(mime.length, MOST_TEXT), StandardCharsets.ISO_8859_1);
    Matcher fields = STATUS_FIELDS.matcher(text);
    return fields.find() ? fields.group() : null;
  }

  private void read(Part part, int depth) {
    if (depth > DEEPEST || ++parts > MOST_PARTS) {
      return;
    }
    try {
      if (part.isMimeType("multipart/*")) {
        Multipart parts = (Multipart) part.getContent();
        for (int i = 0; i < parts.getCount(); i++) {
          BodyPart inside = parts.getBodyPart(i);
          read(inside, depth + 1);
        }
      } else {
        readLeaf(part);
      }
    } catch (MessagingException | IOException | ClassCastException unreadable) {
      // Mail from outside may be broken in any way; what can be read decides.
    }
  }

  private void readLeaf(Part part) throws MessagingException, IOException {
    if (part.isMimeType("message/delivery-status")) {
      deliveryStatus = octets(part);
    } else if (part.isMimeType("message/feedback-report")) {
      feedbackReport = octets(part);
    } else if (isReportInside(part)) {
      read((Part) part.getContent(), DEEPEST - 3);
    } else if (part.isMimeType("message/rfc822") || part.isMimeType("text/rfc822-headers")) {
      original = headers(new InternetHeaders(stream(octets(part))).getAllHeaders());
    } else if (part.isMimeType("text/html")) {
      String inHtml = text(part);
      html = html == null ? inHtml : html;
      say(PlainText.fromHtml(inHtml));
    } else if (part.isMimeType("text/*")) {
      String words = text(part);
      plain = plain == null ? words : plain;
      say(words);
    }
  }

  /** Some servers pass a report on as the message that came back. */
  private boolean isReportInside(Part part) throws MessagingException, IOException {
    return deliveryStatus == null
        && part.isMimeType("message/rfc822")
        && part.getContent() instanceof MimeMessage inside
        && inside.isMimeType("multipart/report");
  }

  private void say(String words) {
    if (said.length() < MOST_TEXT) {
      said.append(words).append("\n\n");
    }
  }

  private static String text(Part part) throws MessagingException, IOException {
    String text;
    try {
      // Where the type's parameters cannot be read, the library hands over a stream.
      text = part.getContent() instanceof String words ? words : octets(part);
    } catch (UnsupportedEncodingException | ParseException | NullPointerException unknownForm) {
      // The last is what the mail library does with a type that it cannot read.
      text = octets(part);
    }
    String harmless = text.replace('\0', ' ');
    return harmless.length() > MOST_TEXT ? harmless.substring(0, MOST_TEXT) : harmless;
  }

  private static String octets(Part part) throws MessagingException, IOException {
    try (InputStream in = part.getInputStream()) {
      return new String(in.readNBytes(MOST_TEXT), StandardCharsets.UTF_8);
    }
  }

  private static InputStream stream(String text) {
    return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
  }

  private static Map<String, List<String>> headers(Enumeration<Header> all) {
    Map<String, List<String>> headers = new HashMap<>();
    while (all.hasMoreElements()) {
      Header header = all.nextElement();
      String name = header.getName().toLowerCase(Locale.ROOT);
      String value = unfolded(header.getValue());
      headers
          .computeIfAbsent(name, n -> new ArrayList<>())
          .add(NEVER_DECODED.contains(name) ? value : decoded(value));
    }
    return headers;
  }

  private static String unfolded(String value) {
    String given = value == null ? "" : value;
    String read = given.length() > LONGEST_HEADER ? given.substring(0, LONGEST_HEADER) : given;
    return MimeUtility.unfold(read);
  }

  /** Encoded words as what they stand for (RFC 2047); a line end in one is a blank. */
  private static String decoded(String unfolded) {
    try {
      return LINE_ENDS.matcher(MimeUtility.decodeText(unfolded)).replaceAll(" ");
    } catch (UnsupportedEncodingException unknownCharset) {
      return unfolded;
    }
  }
}
