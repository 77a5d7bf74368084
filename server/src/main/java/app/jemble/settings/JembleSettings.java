package app.jemble.settings;

import app.jemble.core.house.ServiceSetting.Protection;
import java.time.Duration;
import java.time.Instant;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What is set from outside; docs/operations.md names the environment variable of each.
 *
 * @param publicUrl where readers reach marks, links and the leaving page; no final slash
 * @param trustedProxies addresses, or ranges of them, of proxies whose headers are believed, with
 *     commas between; empty for none
 * @param secureCookies whether cookies go over https alone; empty: unless the public address is of
 *     this machine alone
 * @param house what the house says of itself
 * @param smtp the mail server that messages leave through
 * @param imap the mailbox that replies and returns arrive in
 * @param outbox how the outbox works
 * @param clock how fast time passes
 */
@ConfigurationProperties("jemble")
public record JembleSettings(
    String publicUrl,
    String trustedProxies,
    String secureCookies,
    House house,
    Smtp smtp,
    Imap imap,
    Outbox outbox,
    Time clock) {

  /**
   * What is empty stays as it is in the database.
   *
   * @param name of the house, as readers know it
   * @param address its postal address, on one line
   * @param zone its time zone, such as Europe/London
   * @param language of what stands around messages, such as en-GB
   * @param mailDomain the domain of return addresses and Message-IDs
   * @param email the house's own address, where mailings may come from it
   * @param holdSeconds how long a release can be taken back
   * @param plans that members can have, with commas between; added to those there are
   * @param topics that people can leave, with commas between; added to those there are
   */
  public record House(
      String name,
      String address,
      String zone,
      String language,
      String mailDomain,
      String email,
      String holdSeconds,
      String plans,
      String topics) {}

  /**
   * @param host empty, with no port either, where nothing is set outside
   * @param user empty when the server asks for none
   * @param connections how many are kept open by one process, at least 1
   * @param authority certificates (PEM) of those who vouch for the server, such as the house's own
   *     authority, or the file they stand in; empty when the machine knows them
   */
  public record Smtp(
      String host,
      int port,
      String user,
      String password,
      Protection security,
      int connections,
      String authority) {
    public boolean isSet() {
      return !host.isBlank() || port > 0;
    }

    @Override
    public String toString() {
      return "smtp " + host + ":" + port + " " + security + " as " + user;
    }
  }

  /**
   * @param host empty switches reading off
   * @param authority as of the mail server
   * @param trustedServer the name by which the house's mail server signs what it found out about
   *     senders (authserv-id of RFC 8601); empty believes nobody
   * @param every how long to wait between two looks
   */
  public record Imap(
      String host,
      int port,
      String user,
      String password,
      Protection security,
      String authority,
      String trustedServer,
      Duration every) {
    public boolean isOn() {
      return !host.isBlank();
    }

    @Override
    public String toString() {
      return "imap " + host + ":" + port + " " + security + " as " + user;
    }
  }

  /**
   * @param pollEvery how long to wait when nothing is due
   * @param batch how many messages one worker begins at once at most, 1 or more
   * @param lease how long messages are left alone whose process has told nothing of them; twice as
   *     long at least as a mail server may take for one
   * @param journal the folder for the journals of hand-overs, of one machine
   */
  public record Outbox(Duration pollEvery, int batch, Duration lease, String journal) {}

  /**
   * @param speed how many seconds pass in one, for trying things out; 1 otherwise
   * @param from since when; all processes on one database say the same
   */
  public record Time(double speed, Instant from) {}
}
