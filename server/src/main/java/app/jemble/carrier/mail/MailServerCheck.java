package app.jemble.carrier.mail;

import app.jemble.settings.JembleSettings;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.MessagingException;
import javax.net.ssl.SSLException;
import org.eclipse.angus.mail.util.MailConnectException;
import org.springframework.stereotype.Service;

/** Tries the way to the mail server as far as a message would go, and says where it ends. */
@Service
class MailServerCheck {

  /** The steps on the way, in order. */
  enum Step {
    /** the host answers at that port */
    REACH,
    /** it greets as a mail server does (RFC 5321 section 3.1) */
    GREETING,
    /** the connection is protected as the settings ask (RFC 3207, RFC 8314) */
    PROTECTION,
    /** it takes the user and password (RFC 4954) */
    SIGN_IN,
    /** it waits for messages */
    READY
  }

  /**
   * How far it went.
   *
   * @param failed the step that failed, or null when all went well
   * @param words what the server or the network said; empty when all went well
   */
  record Result(Step failed, String words) {}

  private final JembleSettings settings;

  MailServerCheck(JembleSettings settings) {
    this.settings = settings;
  }

  Result check() {
    return check(settings.smtp());
  }

  static Result check(JembleSettings.Smtp server) {
    try (MailConnection connection = new MailConnection(server)) {
      connection.connect();
      return connection.isReady()
          ? new Result(null, "")
          : new Result(Step.READY, "the server greeted and then broke off");
    } catch (MessagingException failed) {
      return new Result(step(failed), MailConnection.words(failed));
    }
  }

  private static Step step(MessagingException failed) {
    if (failed instanceof MailConnectException) {
      return Step.REACH;
    }
    if (failed instanceof AuthenticationFailedException) {
      return Step.SIGN_IN;
    }
    for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
      boolean ofTls =
          cause instanceof SSLException
              || (cause.getMessage() != null && cause.getMessage().contains("STARTTLS"));
      if (ofTls) {
        return Step.PROTECTION;
      }
    }
    return Step.GREETING;
  }
}
