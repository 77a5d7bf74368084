package app.jemble.inbound;

import app.jemble.core.house.ServiceSetting.Protection;
import app.jemble.settings.Authority;
import app.jemble.settings.JembleSettings;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Store;
import java.util.Properties;

/** The way to a mailbox (RFC 9051). */
final class MailboxConnection {

  private static final String CONNECT_MILLIS = "10000";
  private static final String ANSWER_MILLIS = "30000";

  private MailboxConnection() {}

  /** Signed in; the caller closes it. */
  static Store open(JembleSettings.Imap settings) throws MessagingException {
    boolean tls = settings.security() == Protection.TLS;
    String protocol = tls ? "imaps" : "imap";
    Properties p = new Properties();
    p.put("mail." + protocol + ".connectiontimeout", CONNECT_MILLIS);
    p.put("mail." + protocol + ".timeout", ANSWER_MILLIS);
    p.put("mail." + protocol + ".peek", "true");
    p.put("mail." + protocol + ".ssl.checkserveridentity", "true");
    if (settings.security() == Protection.STARTTLS) {
      p.put("mail.imap.starttls.enable", "true");
      p.put("mail.imap.starttls.required", "true");
    }
    if (settings.authority() != null && !settings.authority().isBlank()) {
      p.put("mail." + protocol + ".ssl.socketFactory", Authority.vouchedFor(settings.authority()));
    }
    Store store = Session.getInstance(p).getStore(protocol);
    store.connect(settings.host(), settings.port(), settings.user(), settings.password());
    return store;
  }
}
