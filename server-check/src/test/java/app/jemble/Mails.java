package app.jemble;

import jakarta.mail.Address;
import jakarta.mail.BodyPart;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** Looking into mails at the post office. */
public final class Mails {

  private Mails() {}

  public static String subject(MimeMessage mail) {
    try {
      return String.valueOf(mail.getSubject());
    } catch (MessagingException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The first value of a header, or an empty text. */
  public static String header(MimeMessage mail, String name) {
    try {
      String[] values = mail.getHeader(name);
      return values == null ? "" : values[0].replaceAll("\\s+", " ");
    } catch (MessagingException e) {
      throw new IllegalStateException(e);
    }
  }

  public static List<String> recipients(MimeMessage mail) {
    try {
      Address[] all = mail.getAllRecipients();
      return Arrays.stream(all)
          .map(a -> ((InternetAddress) a).getAddress().toLowerCase(Locale.ROOT))
          .toList();
    } catch (MessagingException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The text of the part of a type. */
  public static String part(MimeMessage mail, String type) {
    try {
      Multipart parts = (Multipart) mail.getContent();
      for (int i = 0; i < parts.getCount(); i++) {
        BodyPart part = parts.getBodyPart(i);
        if (part.isMimeType(type)) {
          return (String) part.getContent();
        }
      }
      throw new AssertionError("no part of type " + type);
    } catch (MessagingException | IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The HTML of a mail, however deep in its parts. */
  public static String html(MimeMessage mail) {
    try {
      return html(mail.getContent());
    } catch (MessagingException | IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static String html(Object content) throws MessagingException, IOException {
    if (!(content instanceof Multipart parts)) {
      return "";
    }
    for (int i = 0; i < parts.getCount(); i++) {
      BodyPart part = parts.getBodyPart(i);
      String found =
          part.isMimeType("text/html") ? (String) part.getContent() : html(part.getContent());
      if (!found.isEmpty()) {
        return found;
      }
    }
    return "";
  }

  /** The whole mail as it travels. */
  public static String whole(MimeMessage mail) {
    try {
      ByteArrayOutputStream octets = new ByteArrayOutputStream();
      mail.writeTo(octets);
      return octets.toString(StandardCharsets.UTF_8);
    } catch (MessagingException | IOException e) {
      throw new IllegalStateException(e);
    }
  }
}
