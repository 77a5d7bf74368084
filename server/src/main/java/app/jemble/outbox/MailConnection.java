package app.jemble.outbox;

import app.jemble.workspace.JembleSettings;
import jakarta.mail.Address;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.URLName;
import jakarta.mail.internet.InternetAddress;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Properties;
import org.eclipse.angus.mail.smtp.SMTPAddressFailedException;
import org.eclipse.angus.mail.smtp.SMTPMessage;
import org.eclipse.angus.mail.smtp.SMTPSendFailedException;
import org.eclipse.angus.mail.smtp.SMTPSenderFailedException;
import org.eclipse.angus.mail.smtp.SMTPTransport;

/**
 * One connection to the mail server, kept from message to message. For one thread at a time. Knows
 * how far a hand-over had come when it failed, which decides between trying again and doubt.
 */
final class MailConnection implements AutoCloseable {

  private static final String CONNECT_MILLIS = "10000";
  private static final String ANSWER_MILLIS = "60000";

  static {
    // Otherwise looked up in all jars several times a message.
    System.setProperty(
        "jakarta.mail.util.StreamProvider", "org.eclipse.angus.mail.util.MailStreamProvider");
  }

  private final JembleSettings.Smtp settings;
  private final Session session;
  private final PhasedTransport transport;
  private boolean open;

  MailConnection(JembleSettings.Smtp settings) {
    this.settings = settings;
    this.session = Session.getInstance(properties(settings));
    this.transport =
        new PhasedTransport(session, settings.security() == JembleSettings.Security.TLS);
  }

  private static Properties properties(JembleSettings.Smtp settings) {
    Properties p = new Properties();
    for (String protocol : new String[] {"mail.smtp.", "mail.smtps."}) {
      p.put(protocol + "connectiontimeout", CONNECT_MILLIS);
      p.put(protocol + "timeout", ANSWER_MILLIS);
      p.put(protocol + "writetimeout", ANSWER_MILLIS);
      p.put(protocol + "ssl.checkserveridentity", "true");
      p.put(protocol + "quitwait", "false");
    }
    if (settings.security() == JembleSettings.Security.STARTTLS) {
      p.put("mail.smtp.starttls.enable", "true");
      p.put("mail.smtp.starttls.required", "true");
    }
    if (settings.security() != JembleSettings.Security.TLS) {
      p.put("mail.smtp.socketFactory", new PromptSockets());
    }
    return p;
  }

  /**
   * Hands a message over, connecting first where needed. A kept connection that the server closed
   * in the meantime is opened anew once.
   */
  HandoverResult send(byte[] mime, String from, String to) {
    boolean kept = open;
    HandoverResult result = sendOnce(mime, from, to);
    return kept && result instanceof HandoverResult.NotTried ? sendOnce(mime, from, to) : result;
  }

  private HandoverResult sendOnce(byte[] mime, String from, String to) {
    try {
      connect();
    } catch (MessagingException unreachable) {
      return new HandoverResult.NotTried(
          settings.host() + ":" + settings.port() + " cannot be reached: " + words(unreachable));
    }
    transport.begin();
    try {
      SMTPMessage message = new SMTPMessage(session, new ByteArrayInputStream(mime));
      message.setEnvelopeFrom(from);
      transport.sendMessage(message, new Address[] {new InternetAddress(to, null)});
      return new HandoverResult.Accepted();
    } catch (MessagingException | IOException failed) {
      HandoverResult result = judge(failed);
      if (!(result instanceof HandoverResult.Refused)) {
        close();
      }
      return result;
    }
  }

  /** Connects and signs in, unless that is done. */
  void connect() throws MessagingException {
    if (!open) {
      // With a password, even an empty one, the library would sign in as the machine's user.
      boolean signsIn = !settings.user().isBlank();
      transport.connect(
          settings.host(),
          settings.port(),
          signsIn ? settings.user() : null,
          signsIn ? settings.password() : null);
      open = true;
    }
  }

  private HandoverResult judge(Exception failed) {
    int code = answerCode(failed);
    if (code >= 500) {
      return new HandoverResult.Refused(words(failed));
    }
    if (code >= 400) {
      return new HandoverResult.PutOff(words(failed));
    }
    return transport.messageGiven()
        ? new HandoverResult.InDoubt("the mail server gave no answer: " + words(failed))
        : new HandoverResult.NotTried("the mail server broke off: " + words(failed));
  }

  /** The code the server answered with, looked for in all that went wrong; 0 when it gave none. */
  private static int answerCode(Exception failed) {
    Exception at = failed;
    while (at != null) {
      if (at instanceof SMTPAddressFailedException address) {
        return address.getReturnCode();
      }
      if (at instanceof SMTPSenderFailedException sender) {
        return sender.getReturnCode();
      }
      if (at instanceof SMTPSendFailedException send && send.getNextException() == null) {
        return send.getReturnCode();
      }
      at = at instanceof MessagingException m ? m.getNextException() : null;
    }
    return 0;
  }

  /** Whether the server still answers (NOOP). */
  boolean isReady() {
    return transport.isConnected();
  }

  /** The innermost thing that was said of a failure, on one line. */
  static String words(Exception failed) {
    Exception last = failed;
    while (last instanceof MessagingException m && m.getNextException() != null) {
      last = m.getNextException();
    }
    String message =
        last.getMessage() == null ? last.getClass().getSimpleName() : last.getMessage();
    return message.strip().replaceAll("\\s+", " ");
  }

  @Override
  public void close() {
    open = false;
    try {
      transport.close();
    } catch (MessagingException alreadyGone) {
      // A connection that is gone is closed; the next message opens another.
    }
  }

  /** Notes when the last octet of a message has been given and only the answer is missing. */
  private static final class PhasedTransport extends SMTPTransport {
    private boolean given;

    PhasedTransport(Session session, boolean tls) {
      super(
          session,
          new URLName(tls ? "smtps" : "smtp", null, -1, null, null, null),
          tls ? "smtps" : "smtp",
          tls);
    }

    void begin() {
      given = false;
    }

    boolean messageGiven() {
      return given;
    }

    /** A server drops what ends without the final dot (RFC 5321 section 4.1.1.4). */
    @Override
    protected void finishData() throws IOException, MessagingException {
      given = true;
      super.finishData();
    }
  }
}
