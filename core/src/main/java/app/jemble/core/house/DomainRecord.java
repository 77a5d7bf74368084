package app.jemble.core.house;

import java.util.List;

/**
 * A record that a mail domain should have, so that what the house sends is believed and what cannot
 * be delivered comes back.
 *
 * @param name under which it stands
 * @param text what it should say, to be copied
 */
public record DomainRecord(Kind kind, String name, String text) {

  /** The records of a mail domain. */
  public enum Kind {
    /** where mail to the domain arrives (RFC 5321 section 5) */
    MX,
    /** who may send in its name (RFC 7208) */
    SPF,
    /** by which key its mails are signed (RFC 6376) */
    DKIM,
    /** what to do with those that are neither (RFC 7489) */
    DMARC
  }

  /**
   * Those of a domain.
   *
   * @param mailServer the host that sends; empty as long as none is set
   * @param mailbox the host of the mailbox; empty as long as none is set
   * @param selector by which the mail server's key is found; empty when nobody has said it
   */
  public static List<DomainRecord> of(
      String domain, String mailServer, String mailbox, String selector) {
    String key = selector.isEmpty() ? "selector" : selector;
    return List.of(
        new DomainRecord(Kind.MX, domain, "10 " + or(mailbox, "mail." + domain) + "."),
        new DomainRecord(
            Kind.SPF, domain, "v=spf1 " + senders(or(mailServer, "mail." + domain)) + " -all"),
        new DomainRecord(
            Kind.DKIM,
            key + "._domainkey." + domain,
            "v=DKIM1; k=rsa; p=(the public key of your mail server)"),
        new DomainRecord(Kind.DMARC, "_dmarc." + domain, "v=DMARC1; p=none"));
  }

  private static String senders(String host) {
    if (host.matches("[\\d.]+")) {
      return "ip4:" + host;
    }
    return (host.contains(":") ? "ip6:" : "a:") + host;
  }

  private static String or(String host, String usual) {
    return host.isEmpty() ? usual : host;
  }
}
