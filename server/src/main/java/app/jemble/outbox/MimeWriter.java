package app.jemble.outbox;

import app.jemble.core.message.AttachedFile;
import app.jemble.core.message.InlinePicture;
import app.jemble.core.message.Mailbox;
import app.jemble.core.message.OutgoingMessage;
import jakarta.activation.DataHandler;
import jakarta.mail.MessagingException;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.internet.MimeUtility;
import jakarta.mail.util.ByteArrayDataSource;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UnsupportedEncodingException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Date;
import java.util.Properties;

/**
 * Writes a message as MIME: multipart/alternative with plain text first (RFC 2046 section 5.1.4),
 * both quoted-printable, so that no line passes 998 octets (RFC 5322 section 2.1.1); pictures
 * beside the HTML that shows them, files beside all of it, their names as RFC 2231 says.
 */
final class MimeWriter {

  private static final Session SESSION = Session.getInstance(new Properties());
  private static final String UTF_8 = StandardCharsets.UTF_8.name();

  private MimeWriter() {}

  /** The octets exactly as they leave. */
  static byte[] write(OutgoingMessage message) {
    try {
      MimeMessage mime = new StableIdMessage(message.messageId());
      mime.setHeader("From", address(message.from()));
      mime.setHeader("To", address(message.to()));
      if (message.replyTo().isPresent()) {
        mime.setHeader("Reply-To", address(message.replyTo().get()));
      }
      mime.setHeader("Subject", MimeUtility.fold(9, HeaderWords.encode(message.subject())));
      mime.setSentDate(Date.from(message.date()));
      if (message.thread().inReplyTo() != null) {
        mime.setHeader("In-Reply-To", message.thread().inReplyTo());
        mime.setHeader(
            "References", MimeUtility.fold(12, String.join(" ", message.thread().references())));
      }
      if (message.leaveAddress().isPresent()) {
        mime.setHeader("List-Unsubscribe", "<" + message.leaveAddress().get() + ">");
        mime.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
      }
      mime.setContent(withFiles(message));
      mime.saveChanges();
      ByteArrayOutputStream out = new ByteArrayOutputStream(likelySize(message));
      mime.writeTo(out);
      return out.toByteArray();
    } catch (MessagingException | IOException e) {
      throw new IllegalStateException("a composed message can always be written", e);
    }
  }

  private static MimeMultipart withFiles(OutgoingMessage message) throws MessagingException {
    MimeMultipart alternatives = new MimeMultipart("alternative");
    alternatives.addBodyPart(part(message.text(), "plain"));
    alternatives.addBodyPart(
        message.pictures().isEmpty()
            ? part(message.html(), "html")
            : holding(withPictures(message)));
    if (message.files().isEmpty()) {
      return alternatives;
    }
    MimeMultipart all = new MimeMultipart("mixed");
    all.addBodyPart(holding(alternatives));
    for (AttachedFile file : message.files()) {
      MimeBodyPart part = octets(file.octets(), file.type());
      name(part, file.name());
      all.addBodyPart(part);
    }
    return all;
  }

  /** A name that a reader would take for something encoded is written octet by octet (RFC 2231). */
  private static void name(MimeBodyPart part, String name) throws MessagingException {
    if (HeaderWords.looksEncoded(name) || name.indexOf('\'') >= 0) {
      String octets =
          URLEncoder.encode(name, StandardCharsets.UTF_8).replace("+", "%20").replace("*", "%2A");
      part.setHeader("Content-Disposition", "attachment; filename*=UTF-8''" + octets);
    } else {
      part.setDisposition(Part.ATTACHMENT);
      part.setFileName(name);
    }
  }

  /** The HTML and its pictures (RFC 2387). */
  private static MimeMultipart withPictures(OutgoingMessage message) throws MessagingException {
    MimeMultipart related = new MimeMultipart("related; type=\"text/html\"");
    related.addBodyPart(part(message.html(), "html"));
    for (InlinePicture picture : message.pictures()) {
      MimeBodyPart part = octets(picture.octets(), picture.type());
      part.setDisposition(Part.INLINE);
      part.setContentID("<" + picture.contentId() + ">");
      related.addBodyPart(part);
    }
    return related;
  }

  private static MimeBodyPart holding(MimeMultipart inside) throws MessagingException {
    MimeBodyPart part = new MimeBodyPart();
    part.setContent(inside);
    return part;
  }

  private static MimeBodyPart octets(byte[] octets, String type) throws MessagingException {
    MimeBodyPart part = new MimeBodyPart();
    part.setDataHandler(new DataHandler(new ByteArrayDataSource(octets, type)));
    part.setHeader("Content-Type", type);
    part.setHeader("Content-Transfer-Encoding", "base64");
    return part;
  }

  private static int likelySize(OutgoingMessage message) {
    int octets = 2048 + 2 * (message.html().length() + message.text().length());
    for (InlinePicture picture : message.pictures()) {
      octets += picture.octets().length * 3 / 2;
    }
    for (AttachedFile file : message.files()) {
      octets += file.octets().length * 3 / 2;
    }
    return octets;
  }

  private static String address(Mailbox mailbox) throws UnsupportedEncodingException {
    if (HeaderWords.looksEncoded(mailbox.name())) {
      return HeaderWords.encode(mailbox.name()) + "\r\n <" + mailbox.address() + ">";
    }
    String name = mailbox.name().isEmpty() ? null : mailbox.name();
    return MimeUtility.fold(6, new InternetAddress(mailbox.address(), name, UTF_8).toString());
  }

  private static MimeBodyPart part(String text, String subtype) throws MessagingException {
    MimeBodyPart part = new MimeBodyPart();
    part.setText(text, UTF_8, subtype);
    part.setHeader("Content-Transfer-Encoding", "quoted-printable");
    return part;
  }

  /** The Message-ID is ours and the same at every try. */
  private static final class StableIdMessage extends MimeMessage {
    private final String id;

    StableIdMessage(String id) {
      super(SESSION);
      this.id = id;
    }

    @Override
    protected void updateMessageID() throws MessagingException {
      setHeader("Message-ID", id);
    }
  }
}
