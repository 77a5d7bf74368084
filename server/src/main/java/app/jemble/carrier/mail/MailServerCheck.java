package app.jemble.carrier.mail;

import app.jemble.outside.OutsideServices;
import app.jemble.settings.JembleSettings;
import jakarta.mail.MessagingException;
import org.springframework.stereotype.Service;

/** Tries the way to the mail server as far as a message would go, and says where it ends. */
@Service
class MailServerCheck {

  /**
   * How far it went.
   *
   * @param failed the step that failed, or null when all went well
   * @param words what the server or the network said; empty when all went well
   */
  record Result(MailStep failed, String words) {}

  private final OutsideServices services;

  MailServerCheck(OutsideServices services) {
    this.services = services;
  }

  Result check() {
    return check(services.mailServer());
  }

  static Result check(JembleSettings.Smtp server) {
    try (MailConnection connection = new MailConnection(server)) {
      connection.connect();
      return connection.isReady()
          ? new Result(null, "")
          : new Result(MailStep.READY, "the server greeted and then broke off");
    } catch (MessagingException failed) {
      return new Result(MailStep.of(failed), MailStep.words(failed));
    }
  }
}
