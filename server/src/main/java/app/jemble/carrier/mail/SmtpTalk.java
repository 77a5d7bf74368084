package app.jemble.carrier.mail;

import app.jemble.core.house.ServiceSetting.Protection;
import app.jemble.settings.JembleSettings;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.URLName;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Properties;
import org.eclipse.angus.mail.smtp.SMTPTransport;

/**
 * A conversation with a mail server. Greeting, protection and sign-in are the mail library's; what
 * is said after them goes out as given, so that commands can be sent in groups (RFC 2920).
 */
final class SmtpTalk extends SMTPTransport {

  private static final int CONNECT_MILLIS = 10_000;
  private static final int ANSWER_MILLIS = 60_000;

  /**
   * What the server answered (RFC 5321 section 4.2).
   *
   * @param words the whole answer on one line, its code first
   */
  record Answer(int code, String words) {
    boolean isRefusal() {
      return code >= 400;
    }

    /** It wants a sign-in or protection first (RFC 4954 section 6, RFC 3207 section 4). */
    boolean keepsUsOut() {
      return code == 530 || code == 534 || code == 535 || code == 538;
    }

    /** It closes the connection after this. */
    boolean isLast() {
      return code == 421;
    }
  }

  private final JembleSettings.Smtp settings;

  private final TalkSockets sockets;

  SmtpTalk(JembleSettings.Smtp settings) {
    this(settings, new TalkSockets(ANSWER_MILLIS, settings.authority()));
  }

  private SmtpTalk(JembleSettings.Smtp settings, TalkSockets sockets) {
    super(
        Session.getInstance(properties(settings, sockets)),
        new URLName(scheme(settings), null, -1, null, null, null),
        scheme(settings),
        settings.security() == Protection.TLS);
    this.settings = settings;
    this.sockets = sockets;
  }

  private static String scheme(JembleSettings.Smtp settings) {
    return settings.security() == Protection.TLS ? "smtps" : "smtp";
  }

  private static Properties properties(JembleSettings.Smtp settings, TalkSockets sockets) {
    Properties p = new Properties();
    String protocol = "mail." + scheme(settings) + ".";
    p.put(protocol + "connectiontimeout", String.valueOf(CONNECT_MILLIS));
    p.put(protocol + "timeout", String.valueOf(ANSWER_MILLIS));
    p.put(protocol + "ssl.checkserveridentity", "true");
    p.put(protocol + "quitwait", "false");
    if (settings.security() == Protection.STARTTLS) {
      p.put(protocol + "starttls.enable", "true");
      p.put(protocol + "starttls.required", "true");
    }
    p.put(protocol + "socketFactory", sockets.plain());
    p.put(protocol + "ssl.socketFactory", sockets.protectedOnes());
    return p;
  }

  /** Connects, protects the connection as the settings ask and signs in where they do. */
  void begin() throws MessagingException {
    // With a password, even an empty one, the library would sign in as the machine's user.
    boolean signsIn = !settings.user().isBlank();
    connect(
        settings.host(),
        settings.port(),
        signsIn ? settings.user() : null,
        signsIn ? settings.password() : null);
  }

  /** Whether commands may go out in groups (RFC 2920). */
  boolean takesGroups() {
    return supportsExtension("PIPELINING");
  }

  /** Whether addresses may be in any alphabet (RFC 6531). */
  boolean takesAllAlphabets() {
    return supportsExtension("SMTPUTF8");
  }

  /** Sends octets as they are. */
  void say(byte[] octets) throws MessagingException {
    try {
      OutputStream out = sockets.inUse().getOutputStream();
      out.write(octets);
      out.flush();
    } catch (IOException e) {
      throw new MessagingException("the connection broke", e);
    }
  }

  /** Sends lines; the last one's end is added. */
  void say(String lines) throws MessagingException {
    say((lines + "\r\n").getBytes(StandardCharsets.UTF_8));
  }

  /** Reads the next answer; a connection that ends instead is a failure. */
  synchronized Answer answer() throws MessagingException {
    int code = readServerResponse();
    if (code < 200) {
      throw new MessagingException("the mail server closed the connection");
    }
    return new Answer(code, getLastServerResponse().strip().replaceAll("\\s+", " "));
  }
}
