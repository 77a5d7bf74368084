package app.jemble.core.house;

/**
 * How a house uses a service outside.
 *
 * @param host its name or address; empty where none is set
 * @param protection of the connection
 * @param user empty where it asks for none
 * @param password null: the one that is kept already
 * @param lines connections of one process, or texts that await their answer at once; not of
 *     mailboxes
 * @param perSecond parts of texts that leave in a second at most; of text services alone
 * @param sender what texts come from: a number (E.164) or a name; of text services alone
 * @param trustedServer by which name the mail server signs what it found out about senders
 *     (authserv-id of RFC 8601); of mailboxes alone
 */
public record ServiceSetting(
    ServiceKind kind,
    String host,
    int port,
    Protection protection,
    String user,
    String password,
    int lines,
    int perSecond,
    String sender,
    String trustedServer) {

  /** Whether a connection is protected. */
  public enum Protection {
    /** not at all: of this machine and of networks that are trusted */
    NONE,
    /** it begins plain and must turn to TLS (RFC 3207, RFC 9051 section 6.2.1) */
    STARTTLS,
    /** TLS from the first octet (RFC 8314) */
    TLS
  }

  @Override
  public String toString() {
    return kind + " " + host + ":" + port + " " + protection + " as " + user;
  }
}
