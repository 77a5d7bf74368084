package app.jemble.standins;

import app.jemble.standins.push.AppLinksFile;
import app.jemble.standins.push.PretendApps;
import app.jemble.standins.push.PushService;
import app.jemble.standins.text.MessageCentre;
import app.jemble.standins.text.PretendPhones;
import com.icegreen.greenmail.mail.MailAddress;
import com.icegreen.greenmail.mail.MovingMessage;
import com.icegreen.greenmail.store.FolderException;
import com.icegreen.greenmail.user.GreenMailUser;
import com.icegreen.greenmail.user.UserException;
import com.icegreen.greenmail.user.UserManager;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;

/**
 * A mail host on loopback. Mail for the house's own domain is kept for the colleague it is
 * addressed to and copied to the house's common mailbox, which Jemble reads; mail for anyone else
 * goes to a pretend reader.
 */
public final class PostOffice implements AutoCloseable {

  /** The common mailbox of the house and its password. */
  public static final String COMMON_MAILBOX = "post";

  public static final String COMMON_PASSWORD = "post-office";

  private static final int MOST_KEPT = 50_000;

  private final GreenMail mail;
  private final String houseDomain;
  private final PretendReaders readers;
  private final List<Delivered> delivered = Collections.synchronizedList(new ArrayList<>());

  /**
   * A mail that arrived for somebody outside.
   *
   * @param from the envelope sender
   * @param to the envelope recipient
   * @param message as it arrived
   */
  public record Delivered(String from, String to, MimeMessage message) {}

  /**
   * Opens for business.
   *
   * @param smtpPort 0 takes a free one
   * @param imapPort 0 takes a free one
   * @param houseDomain the domain whose mail is the house's own
   * @param day how long a reader's day lasts: shorter squeezes time
   * @param seed the same seed gives the same readers
   */
  public PostOffice(int smtpPort, int imapPort, String houseDomain, Duration day, long seed) {
    this.houseDomain = houseDomain.toLowerCase(Locale.ROOT);
    ServerSetup smtp = new ServerSetup(smtpPort, "127.0.0.1", ServerSetup.PROTOCOL_SMTP);
    ServerSetup imap = new ServerSetup(imapPort, "127.0.0.1", ServerSetup.PROTOCOL_IMAP);
    this.mail = new GreenMail(new ServerSetup[] {smtp, imap});
    mail.start();
    UserManager users = mail.getUserManager();
    try {
      users.createUser(COMMON_MAILBOX + "@" + houseDomain, COMMON_MAILBOX, COMMON_PASSWORD);
    } catch (UserException e) {
      throw new IllegalStateException("a new mail host has no users yet", e);
    }
    this.readers = new PretendReaders(smtpPort(), day, seed);
    users.setMessageDeliveryHandler(this::deliver);
  }

  private GreenMailUser deliver(MovingMessage moving, MailAddress to)
      throws MessagingException, UserException {
    String address = to.getEmail().toLowerCase(Locale.ROOT);
    if (address.endsWith("@" + houseDomain)) {
      return deliverToHouse(moving.getMessage(), address);
    }
    String from = moving.getReturnPath() == null ? "" : moving.getReturnPath().getEmail();
    Delivered arrived = new Delivered(from, address, new MimeMessage(moving.getMessage()));
    if (delivered.size() < MOST_KEPT) {
      delivered.add(arrived);
    }
    readers.receive(arrived);
    return keeper("outside", address);
  }

  private GreenMailUser deliverToHouse(MimeMessage message, String address)
      throws MessagingException, UserException {
    String local = address.substring(0, address.indexOf('@'));
    boolean common = local.equals(COMMON_MAILBOX) || local.contains("+");
    GreenMailUser house = mail.getUserManager().getUser(COMMON_MAILBOX);
    if (!common) {
      house.deliver(new MimeMessage(message));
    }
    return common ? house : keeper(local, address);
  }

  private GreenMailUser keeper(String login, String address) throws UserException {
    UserManager users = mail.getUserManager();
    GreenMailUser known = users.getUser(login);
    return known != null ? known : users.createUser(address, login, COMMON_PASSWORD);
  }

  public int smtpPort() {
    return mail.getSmtp().getPort();
  }

  public int imapPort() {
    return mail.getImap().getPort();
  }

  /** What arrived for people outside, oldest first. */
  public List<Delivered> delivered() {
    synchronized (delivered) {
      return new ArrayList<>(delivered);
    }
  }

  /** What arrived for a colleague of the house, oldest first. */
  public List<MimeMessage> mailbox(String local) {
    GreenMailUser user = mail.getUserManager().getUser(local);
    if (user == null) {
      return List.of();
    }
    try {
      List<MimeMessage> messages = new ArrayList<>();
      mail.getManagers()
          .getImapHostManager()
          .getInbox(user)
          .getMessages()
          .forEach(m -> messages.add(m.getMimeMessage()));
      return messages;
    } catch (FolderException e) {
      throw new IllegalStateException("every user has an inbox", e);
    }
  }

  @Override
  public void close() {
    readers.close();
    mail.stop();
  }

  /** The message centre lets in who says these. */
  public static final String TEXT_USER = "lowen";

  public static final String TEXT_PASSWORD = "quay-txt";

  /**
   * {@code --smtp-port=N --imap-port=N --text-port=N --push-port=N --app-links=FILE --domain=D
   * --day-seconds=N --seed=N}
   */
  public static void main(String[] args) throws InterruptedException {
    Options options = new Options(args);
    Duration day = Duration.ofSeconds(options.number("day-seconds", 86_400));
    try (PostOffice office =
            new PostOffice(
                options.number("smtp-port", 0),
                options.number("imap-port", 0),
                options.text("domain", "ternquay.example"),
                day,
                options.number("seed", 2026));
        MessageCentre centre =
            new MessageCentre(options.number("text-port", 0), TEXT_USER, TEXT_PASSWORD);
        PretendPhones phones = new PretendPhones(centre, day, options.number("seed", 2026));
        PushService push = new PushService(options.number("push-port", 0));
        PretendApps apps = new PretendApps(push, day, options.number("seed", 2026));
        AppLinksFile links =
            new AppLinksFile(Path.of(options.text("app-links", "app-links.txt")), apps)) {
      phones.listen();
      apps.listen();
      links.watch();
      System.out.println(
          "The post office is open: SMTP "
              + office.smtpPort()
              + ", IMAP "
              + office.imapPort()
              + ", texts "
              + centre.port()
              + ", notices "
              + push.port());
      Thread.currentThread().join();
    }
  }
}
