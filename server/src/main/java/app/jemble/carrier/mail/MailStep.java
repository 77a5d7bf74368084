package app.jemble.carrier.mail;

import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.MessagingException;
import javax.net.ssl.SSLException;
import org.eclipse.angus.mail.util.MailConnectException;

/** The steps on the way to a mail server or a mailbox, in order. */
public enum MailStep {
  /** one is set at all */
  SET,
  /** the host answers at that port */
  REACH,
  /** it greets as it should (RFC 5321 section 3.1, RFC 9051 section 7.1.5) */
  GREETING,
  /** the connection is protected as the settings ask (RFC 3207, RFC 8314) */
  PROTECTION,
  /** it takes the user and password (RFC 4954, RFC 9051 section 6.2) */
  SIGN_IN,
  /** it waits for messages, or lets us see them */
  READY;

  /** Which one failed. */
  public static MailStep of(MessagingException failed) {
    if (failed instanceof MailConnectException) {
      return REACH;
    }
    if (failed instanceof AuthenticationFailedException) {
      return SIGN_IN;
    }
    for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
      boolean ofTls =
          cause instanceof SSLException
              || (cause.getMessage() != null && cause.getMessage().contains("STARTTLS"));
      if (ofTls) {
        return PROTECTION;
      }
    }
    return GREETING;
  }

  /** The innermost thing that was said of a failure, on one line. */
  public static String words(Exception failed) {
    Exception last = failed;
    while (last instanceof MessagingException m && m.getNextException() != null) {
      last = m.getNextException();
    }
    String message =
        last.getMessage() == null ? last.getClass().getSimpleName() : last.getMessage();
    return message.strip().replaceAll("\\s+", " ");
  }
}
