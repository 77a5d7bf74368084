package app.jemble.inbound;

import app.jemble.outside.OutsideServices;
import app.jemble.response.ResponseService;
import app.jemble.settings.JembleSettings;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.mail.FetchProfile;
import jakarta.mail.Folder;
import jakarta.mail.FolderClosedException;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Store;
import jakarta.mail.StoreClosedException;
import jakarta.mail.UIDFolder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
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
  static final String INBOX = "INBOX";

  /** Mail servers commonly take no more than 25 MB; of larger ones only the size is looked at. */
  private static final int MOST_OCTETS = 40 * 1024 * 1024;

  /** How often a mail is asked for that the server does not hand over. */
  private static final int TRIES = 3;

  private final OutsideServices services;
  private final InboundMapper mapper;
  private final InboundService inbound;
  private final PatientReading reading;
  private final TransactionTemplate transaction;

  /** By number, how often a mail was asked for in vain; of one process, which is enough. */
  private final Map<Long, Integer> tries = new HashMap<>();

  MailboxReader(
      OutsideServices services,
      InboundMapper mapper,
      InboundService inbound,
      PatientReading reading,
      TransactionTemplate transaction) {
    this.services = services;
    this.mapper = mapper;
    this.inbound = inbound;
    this.reading = reading;
    this.transaction = transaction;
  }

  /** Reads all that is new; trouble with the mail server is logged and tried again later. */
  void read() {
    read(services.mailbox());
  }

  void read(JembleSettings.Imap settings) {
    if (!settings.isOn()) {
      return;
    }
    try (Store store = MailboxConnection.open(settings);
        Folder inbox = store.getFolder(INBOX)) {
      inbox.open(Folder.READ_ONLY);
      readNew(settings.user() + "@" + settings.host(), inbox, (UIDFolder) inbox);
    } catch (MessagingException unreachable) {
      LOG.warn("The mailbox cannot be read: {}", unreachable.getMessage());
    }
  }

  /**
   * @param name by which it is known how far the mailbox was read
   */
  void readNew(String name, Folder inbox, UIDFolder uids) throws MessagingException {
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
