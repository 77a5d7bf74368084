package app.jemble.outbox;

import app.jemble.core.message.Mailbox;
import app.jemble.core.message.OutgoingMessage;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.internet.MimeUtility;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UnsupportedEncodingException;
import java.nio.charset.StandardCharsets;
import java.util.Date;
import java.util.Properties;

/**
 * Writes a message as MIME: multipart/alternative with plain text first (RFC 2046 section 5.1.4),
 * both quoted-printable, so that no line passes 998 octets (RFC 5322 section 2.1.1).
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
      MimeMultipart alternatives = new MimeMultipart("alternative");
      alternatives.addBodyPart(part(message.text(), "plain"));
      alternatives.addBodyPart(part(message.html(), "html"));
      mime.setContent(alternatives);
      mime.saveChanges();
      ByteArrayOutputStream out = new ByteArrayOutputStream(8192);
      mime.writeTo(out);
      return out.toByteArray();
    } catch (MessagingException | IOException e) {
      throw new IllegalStateException("a composed message can always be written", e);
    }
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
