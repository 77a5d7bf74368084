package app.jemble.inbound;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import java.util.Optional;

/** What a mail says, for those who know nothing of how mails are made. */
public final class MailWords {

  private MailWords() {}

  /** The words of a mail; empty when they cannot be read. */
  public static Optional<String> text(byte[] mime) {
    try {
      return Optional.of(InboundParser.parse(mime).text());
    } catch (MessagingException unreadable) {
      return Optional.empty();
    }
  }

  /** The address of whoever wrote, as a header names them (RFC 5322); empty when it names none. */
  public static Optional<String> address(String sender) {
    try {
      InternetAddress[] from = InternetAddress.parse(sender, false);
      return from.length == 0 ? Optional.empty() : Optional.ofNullable(from[0].getAddress());
    } catch (AddressException broken) {
      return Optional.empty();
    }
  }
}
