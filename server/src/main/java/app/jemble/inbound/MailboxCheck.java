package app.jemble.inbound;

import app.jemble.carrier.mail.MailStep;
import app.jemble.outside.OutsideServices;
import app.jemble.settings.JembleSettings;
import jakarta.mail.Folder;
import jakarta.mail.MessagingException;
import jakarta.mail.Store;
import org.springframework.stereotype.Service;

/** Tries the way to the mailbox as far as reading goes, and says where it ends. */
@Service
class MailboxCheck {

  /**
   * How far it went.
   *
   * @param failed the step that failed, or null when all went well
   * @param words what the server or the network said; empty when all went well
   */
  record Result(MailStep failed, String words) {}

  private final OutsideServices services;

  MailboxCheck(OutsideServices services) {
    this.services = services;
  }

  Result check() {
    JembleSettings.Imap mailbox = services.mailbox();
    return mailbox.isOn() ? check(mailbox) : new Result(MailStep.SET, "no mailbox is set");
  }

  private static Result check(JembleSettings.Imap mailbox) {
    try (Store store = MailboxConnection.open(mailbox)) {
      try (Folder inbox = store.getFolder(MailboxReader.INBOX)) {
        inbox.open(Folder.READ_ONLY);
        return new Result(null, "");
      } catch (MessagingException closed) {
        return new Result(MailStep.READY, MailStep.words(closed));
      }
    } catch (MessagingException failed) {
      return new Result(MailStep.of(failed), MailStep.words(failed));
    } catch (IllegalStateException wrongCertificates) {
      return new Result(MailStep.PROTECTION, MailStep.words(wrongCertificates));
    }
  }
}
