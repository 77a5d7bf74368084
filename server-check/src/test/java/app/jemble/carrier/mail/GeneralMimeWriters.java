package app.jemble.carrier.mail;

import app.jemble.core.message.OutgoingMessage;
import app.jemble.core.message.ThreadPlace;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import org.apache.james.mime4j.dom.Message;
import org.apache.james.mime4j.dom.address.Mailbox;
import org.apache.james.mime4j.dom.field.FieldName;
import org.apache.james.mime4j.field.Fields;
import org.apache.james.mime4j.message.BodyPart;
import org.apache.james.mime4j.message.BodyPartBuilder;
import org.apache.james.mime4j.message.DefaultMessageWriter;
import org.apache.james.mime4j.message.MultipartBuilder;
import org.apache.james.mime4j.stream.RawField;

/**
 * A message of two texts as general writers of mail write it, and as the outbox does: what the
 * outbox's own is measured beside.
 */
public final class GeneralMimeWriters {

  private static final Session SESSION = Session.getInstance(new Properties());
  private static final DefaultMessageWriter MIME4J = new DefaultMessageWriter();
  private static final String UTF_8 = StandardCharsets.UTF_8.name();

  private GeneralMimeWriters() {}

  /** A message of two texts, with names and a subject that are not of ASCII alone. */
  public static OutgoingMessage message(String html, String text) {
    return new OutgoingMessage(
        "<1@ternquay.example>",
        Instant.ofEpochSecond(1_770_000_000L),
        new app.jemble.core.message.Mailbox("Orla Nì", "orla@ternquay.example"),
        Optional.empty(),
        new app.jemble.core.message.Mailbox("Zoë O’Neil", "zoe@okonjo.example"),
        "The slipway opens – on Saturday",
        html,
        text,
        List.of(),
        List.of(),
        ThreadPlace.NEW,
        List.of(),
        Optional.of("https://ternquay.example/leave/token"),
        "return+token@ternquay.example",
        false);
  }

  /** The outbox's own. */
  public static byte[] ours(OutgoingMessage message) {
    return MimeWriter.write(message);
  }

  /** Apache James Mime4j. */
  public static byte[] mime4j(OutgoingMessage message) throws IOException {
    Message.Builder mail =
        Message.Builder.of()
            .setDate(Date.from(message.date()))
            .setMessageId(message.messageId())
            .setFrom(mailbox(message.from()))
            .setTo(mailbox(message.to()))
            .setSubject(message.subject())
            .setBody(
                MultipartBuilder.create("alternative")
                    .addBodyPart(part(message.text(), "plain"))
                    .addBodyPart(part(message.html(), "html"))
                    .build());
    message
        .leaveAddress()
        .ifPresent(
            address -> {
              mail.addField(new RawField("List-Unsubscribe", "<" + address + ">"));
              mail.addField(new RawField("List-Unsubscribe-Post", "List-Unsubscribe=One-Click"));
            });
    ByteArrayOutputStream out = new ByteArrayOutputStream(16_384);
    MIME4J.writeMessage(mail.build(), out);
    return out.toByteArray();
  }

  private static Mailbox mailbox(app.jemble.core.message.Mailbox of) {
    int at = of.address().lastIndexOf('@');
    return new Mailbox(of.name(), of.address().substring(0, at), of.address().substring(at + 1));
  }

  private static BodyPart part(String text, String kind) throws IOException {
    return BodyPartBuilder.create()
        .setBody(text, kind, StandardCharsets.UTF_8)
        .setField(Fields.contentTransferEncoding("quoted-printable"))
        .build();
  }

  /** The mail library that the mailbox is read with. */
  public static byte[] jakarta(OutgoingMessage message) throws MessagingException, IOException {
    MimeMessage mail = new MimeMessage(SESSION);
    mail.setSentDate(Date.from(message.date()));
    mail.setFrom(new InternetAddress(message.from().address(), message.from().name(), UTF_8));
    mail.setRecipient(
        jakarta.mail.Message.RecipientType.TO,
        new InternetAddress(message.to().address(), message.to().name(), UTF_8));
    mail.setSubject(message.subject(), UTF_8);
    if (message.leaveAddress().isPresent()) {
      mail.setHeader("List-Unsubscribe", "<" + message.leaveAddress().get() + ">");
      mail.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
    }
    MimeMultipart texts = new MimeMultipart("alternative");
    texts.addBodyPart(bodyPart(message.text(), "plain"));
    texts.addBodyPart(bodyPart(message.html(), "html"));
    mail.setContent(texts);
    mail.saveChanges();
    mail.setHeader(FieldName.MESSAGE_ID, message.messageId());
    ByteArrayOutputStream out = new ByteArrayOutputStream(16_384);
    mail.writeTo(out);
    return out.toByteArray();
  }

  private static MimeBodyPart bodyPart(String text, String kind) throws MessagingException {
    MimeBodyPart part = new MimeBodyPart();
    part.setText(text, UTF_8, kind);
    part.setHeader("Content-Transfer-Encoding", "quoted-printable");
    return part;
  }
}
