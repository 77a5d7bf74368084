package app.jemble.inbound;

import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimePart;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Base64;
import java.util.HashMap;
import java.util.Map;

/**
 * What a mail is made of, for those who know nothing of how mails are made (RFC 5322, RFC 2045).
 *
 * @param html its HTML; empty when it has none
 * @param text its text; empty when it has none
 * @param pictures those it carries, by Content-ID (RFC 2392), each as a {@code data:} address
 */
public record MailParts(String subject, String html, String text, Map<String, String> pictures) {

  /** Goes through the parts of one mail. */
  private static final class Taker {
    private String html = "";
    private String text = "";
    private final Map<String, String> pictures = new HashMap<>();

    private void take(Part part) throws MessagingException, IOException {
      if (part.isMimeType("multipart/*")) {
        Multipart parts = (Multipart) part.getContent();
        for (int i = 0; i < parts.getCount(); i++) {
          take(parts.getBodyPart(i));
        }
      } else if (Part.ATTACHMENT.equalsIgnoreCase(part.getDisposition())) {
        return;
      } else if (part.isMimeType("text/html") && html.isEmpty()) {
        html = part.getContent().toString();
      } else if (part.isMimeType("text/plain") && text.isEmpty()) {
        text = part.getContent().toString();
      } else if (part.isMimeType("image/*")) {
        takePicture((MimePart) part);
      }
    }

    private void takePicture(MimePart picture) throws MessagingException, IOException {
      String id = picture.getContentID();
      if (id != null) {
        String type = picture.getContentType().replaceAll("[;\\s].*", "");
        String data = Base64.getEncoder().encodeToString(picture.getInputStream().readAllBytes());
        pictures.put(id.replaceAll("[<>]", ""), "data:" + type + ";base64," + data);
      }
    }
  }

  /**
   * Takes a mail of ours apart.
   *
   * @throws IllegalStateException when it is no mail
   */
  public static MailParts of(byte[] mime) {
    try {
      MimeMessage mail = new MimeMessage(null, new ByteArrayInputStream(mime));
      Taker taker = new Taker();
      taker.take(mail);
      return new MailParts(mail.getSubject(), taker.html, taker.text, taker.pictures);
    } catch (MessagingException | IOException unreadable) {
      throw new IllegalStateException("A mail of ours cannot be read.", unreadable);
    }
  }
}
