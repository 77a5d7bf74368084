package app.jemble.response;

import app.jemble.workspace.JembleSettings;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.mail.FetchProfile;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Store;
import jakarta.mail.UIDFolder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Reads the mailbox over IMAP (RFC 9051) from where it was left, one process at a time. */
@Service
class MailboxReader {

  private static final Logger LOG = LoggerFactory.getLogger(MailboxReader.class);
  private static final String INBOX = "INBOX";

  private final JembleSettings.Imap settings;
  private final InboundMapper mapper;
  private final InboundService inbound;
  private final TransactionTemplate transaction;

  MailboxReader(
      JembleSettings settings,
      InboundMapper mapper,
      InboundService inbound,
      TransactionTemplate transaction) {
    this.settings = settings.imap();
    this.mapper = mapper;
    this.inbound = inbound;
    this.transaction = transaction;
  }

  /** Reads all that is new; trouble with the mail server is logged and tried again later. */
  void read() {
    if (!settings.isOn()) {
      return;
    }
    try (Store store = connect();
        Folder inbox = store.getFolder(INBOX)) {
      inbox.open(Folder.READ_ONLY);
      readNew(inbox, (UIDFolder) inbox);
    } catch (MessagingException | IOException unreachable) {
      LOG.warn("The mailbox cannot be read: {}", unreachable.getMessage());
    }
  }

  private void readNew(Folder inbox, UIDFolder uids) throws MessagingException, IOException {
    String name = settings.user() + "@" + settings.host();
    mapper.know(name);
    long validity = uids.getUIDValidity();
    InboundMapper.ReadTo readTo = transaction.execute(t -> mapper.readTo(name));
    // Another validity: the server numbered its mails anew (RFC 9051 section 2.3.1.1).
    long last = readTo.uidValidity() == validity ? readTo.lastUid() : 0;
    Message[] found = uids.getMessagesByUID(last + 1, UIDFolder.LASTUID);
    FetchProfile profile = new FetchProfile();
    profile.add(UIDFolder.FetchProfileItem.UID);
    inbox.fetch(found, profile);
    for (Message message : found) {
      long uid = uids.getUID(message);
      if (uid > last) {
        ByteArrayOutputStream mime = new ByteArrayOutputStream();
        message.writeTo(mime);
        take(name, validity, uid, mime.toByteArray());
      }
    }
  }

  /** The mail and how far we are stand in one transaction: read once, whatever stops us. */
  private void take(String name, long validity, long uid, byte[] mime) {
    transaction.executeWithoutResult(
        t -> {
          mapper.readTo(name);
          inbound.receive(mime);
          mapper.advance(name, validity, uid);
        });
  }

  private Store connect() throws MessagingException {
    boolean tls = settings.security() == JembleSettings.Security.TLS;
    String protocol = tls ? "imaps" : "imap";
    Properties p = new Properties();
    p.put("mail." + protocol + ".connectiontimeout", "10000");
    p.put("mail." + protocol + ".timeout", "30000");
    p.put("mail." + protocol + ".peek", "true");
    p.put("mail." + protocol + ".ssl.checkserveridentity", "true");
    if (settings.security() == JembleSettings.Security.STARTTLS) {
      p.put("mail.imap.starttls.enable", "true");
      p.put("mail.imap.starttls.required", "true");
    }
    Store store = Session.getInstance(p).getStore(protocol);
    store.connect(settings.host(), settings.port(), settings.user(), settings.password());
    return store;
  }

  /** Looks into the mailbox again and again. */
  @Configuration
  static class Looking {
    @Bean
    RecurringTask<Void> readMailbox(MailboxReader reader, JembleSettings settings) {
      return Tasks.recurring("read-mailbox", FixedDelay.of(settings.imap().every()))
          .execute((instance, context) -> reader.read());
    }
  }
}
