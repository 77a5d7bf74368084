package app.jemble.inbound;

import app.jemble.core.response.InboundMail;
import app.jemble.core.response.MailSorter;
import app.jemble.core.response.SortedMail;
import jakarta.mail.MessagingException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.regex.Pattern;

/**
 * A mail that arrived, read as far as it says itself what it is.
 *
 * @param identity its Message-ID, or a digest of its octets where it has none that can be one
 * @param mime its octets
 */
record ReadMail(String identity, InboundMail mail, SortedMail sorted, byte[] mime) {

  /** RFC 5322 section 3.6.4; what is longer or holds anything else names nothing. */
  private static final Pattern MESSAGE_ID = Pattern.compile("<[\\x21-\\x7e]{1,300}>");

  /**
   * Reads the octets of a mail.
   *
   * @throws MessagingException when not even its headers can be read
   */
  static ReadMail of(byte[] mime) throws MessagingException {
    InboundMail mail = InboundParser.parse(mime);
    String id = mail.header("message-id");
    return new ReadMail(
        MESSAGE_ID.matcher(id).matches() ? id : digest(mime), mail, MailSorter.sort(mail), mime);
  }

  /** What a mail without a name of its own is known by. */
  static String digest(byte[] mime) {
    try {
      byte[] hash = MessageDigest.getInstance("SHA-256").digest(mime);
      return "sha256:" + HexFormat.of().formatHex(hash);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every JDK has SHA-256", e);
    }
  }
}
