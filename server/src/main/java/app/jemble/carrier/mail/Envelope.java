package app.jemble.carrier.mail;

import java.net.IDN;
import java.nio.charset.StandardCharsets;

/**
 * Between whom a message passes, apart from what it says (RFC 5321 section 2.3.1). A domain in
 * another alphabet goes by its ASCII form (RFC 5891).
 */
record Envelope(String from, String to) {

  public Envelope {
    from = withAsciiDomain(from);
    to = withAsciiDomain(to);
  }

  /** An address whose domain is written in ASCII (RFC 5891). */
  static String withAsciiDomain(String address) {
    if (isAscii(address)) {
      return address;
    }
    int at = address.lastIndexOf('@');
    return address.substring(0, at + 1)
        + IDN.toASCII(address.substring(at + 1), IDN.ALLOW_UNASSIGNED);
  }

  /** Whether only a server with SMTPUTF8 can take it (RFC 6531). */
  boolean needsAllAlphabets() {
    return !isAscii(to);
  }

  private static boolean isAscii(String address) {
    return address.getBytes(StandardCharsets.UTF_8).length == address.length();
  }

  /** The command that names the sender. */
  String mailCommand() {
    return "MAIL FROM:<" + from + ">" + (needsAllAlphabets() ? " SMTPUTF8" : "");
  }

  /** The command that names the recipient. */
  String recipientCommand() {
    return "RCPT TO:<" + to + ">";
  }
}
