package app.jemble.inbound;

import app.jemble.response.ResponseService;
import app.jemble.settings.Authority;
import app.jemble.settings.JembleSettings;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.mail.FetchProfile;
import jakarta.mail.Folder;
import jakarta.mail.FolderClosedException;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Store;
import jakarta.mail.StoreClosedException;
import jakarta.mail.UIDFolder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Reads the mailbox over IMAP (RFC 9051) from where it was left, one process at a time. A mail that
 * cannot be read is set aside for a person, and the next one is read.
 */
@Service
class MailboxReader {

  private static final Logger LOG = LoggerFactory.getLogger(MailboxReader.class);
  private static final String INBOX = "INBOX";

  /** Mail servers commonly take no more than 25 MB; of larger ones only the size is looked at. */
  private static final int MOST_OCTETS = 40 * 1024 * 1024;

  /** How often a mail is asked for that the server does not hand over. */
  private static final int TRIES = 3;

  private final JembleSettings.Imap settings;
  private final InboundMapper mapper;
  private final InboundService inbound;
  private final PatientReading reading;
  private final TransactionTemplate transaction;

  /** By number, how often a mail was asked for in vain; of one process, which is enough. */
  private final Map<Long, Integer> tries = new HashMap<>();

  MailboxReader(
      JembleSettings settings,
      InboundMapper mapper,
      InboundService inbound,
      PatientReading reading,
      TransactionTemplate transaction) {
    this.settings = settings.imap();
    this.mapper = mapper;
    this.inbound = inbound;
    this.reading = reading;
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
    } catch (MessagingException unreachable) {
      LOG.warn("The mailbox cannot be read: {}", unreachable.getMessage());
    }
  }

  void readNew(Folder inbox, UIDFolder uids) throws MessagingException {
    String name = settings.user() + "@" + settings.host();
    mapper.know(name);
    long validity = uids.getUIDValidity();
    InboundMapper.ReadTo readTo = transaction.execute(t -> mapper.readTo(name));
    // Another validity: the server numbered its mails anew (RFC 9051 section 2.3.1.1).
    long last = readTo.uidValidity() == validity ? readTo.lastUid() : 0;
    Message[] found = uids.getMessagesByUID(last + 1, UIDFolder.LASTUID);
    FetchProfile profile = new FetchProfile();
    profile.add(UIDFolder.FetchProfileItem.UID);
    profile.add(FetchProfile.Item.SIZE);
    inbox.fetch(found, profile);
    for (Message message : found) {
      long uid = uids.getUID(message);
      if (uid > last) {
        take(new Place(name, validity, uid), message);
      }
    }
  }

  /** Where a mail stands: how far we are when it has been taken in. */
  private record Place(String mailbox, long validity, long uid) {}

  private void take(Place place, Message message) throws MessagingException {
    byte[] mime;
    try {
      if (message.getSize() > MOST_OCTETS) {
        setAside(place, new byte[0], "It is larger than 40 MB, and stays on the mail server.");
        return;
      }
      ByteArrayOutputStream octets = new ByteArrayOutputStream();
      message.writeTo(octets);
      mime = octets.toByteArray();
    } catch (FolderClosedException | StoreClosedException gone) {
      throw gone;
    } catch (MessagingException | IOException notHandedOver) {
      if (tries.merge(place.uid(), 1, Integer::sum) < TRIES) {
        throw new MessagingException("mail " + place.uid() + " was not handed over", null);
      }
      setAside(place, new byte[0], "The mail server does not hand it over.");
      return;
    }
    take(place, mime);
  }

  /** The mail and how far we are stand in one transaction: read once, whatever stops us. */
  void take(String mailbox, long validity, long uid, byte[] mime) {
    take(new Place(mailbox, validity, uid), mime);
  }

  private void take(Place place, byte[] mime) {
    try {
      ReadMail mail = reading.read(mime);
      in(place, () -> inbound.take(mail));
    } catch (PatientReading.Unreadable unreadable) {
      LOG.warn("Mail {} was set aside: {}", place.uid(), unreadable.getMessage(), unreadable);
      setAside(place, mime, unreadable.getMessage());
    } catch (DataAccessException | TransactionException database) {
      // The database may be gone for a while; only what it says of this mail is the mail's fault.
      if (!(database instanceof DataIntegrityViolationException)
          && tries.merge(place.uid(), 1, Integer::sum) < TRIES) {
        throw database;
      }
      LOG.warn("Mail {} was set aside.", place.uid(), database);
      setAside(place, mime, "It cannot be kept as other mails are.");
    } catch (RuntimeException | StackOverflowError broken) {
      LOG.warn("Mail {} was set aside.", place.uid(), broken);
      setAside(place, mime, "It cannot be taken in: " + broken.getClass().getSimpleName() + ".");
    }
    tries.remove(place.uid());
  }

  private void setAside(Place place, byte[] mime, String why) {
    // What the server keeps is known by its number there.
    byte[] kept =
        mime.length > 0
            ? mime
            : (place.mailbox() + " " + place.validity() + " " + place.uid())
                .getBytes(StandardCharsets.UTF_8);
    in(place, () -> inbound.setAside(kept, why));
  }

  private void in(Place place, Runnable act) {
    transaction.executeWithoutResult(
        t -> {
          mapper.readTo(place.mailbox());
          act.run();
          mapper.advance(place.mailbox(), place.validity(), place.uid());
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
    if (settings.authority() != null && !settings.authority().isBlank()) {
      p.put(
          "mail." + protocol + ".ssl.socketFactory",
          Authority.vouchedFor(Path.of(settings.authority())));
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

    @Bean
    RecurringTask<Void> forgetUnsureReplies(ResponseService responses) {
      return Tasks.recurring("forget-unsure-replies", FixedDelay.ofMinutes(10))
          .execute((instance, context) -> responses.forgetUnsure());
    }
  }
}
