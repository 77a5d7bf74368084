package app.jemble.settings;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * The text service of the house; docs/operations.md names the environment variable of each.
 *
 * @param host empty where the house sends no texts
 * @param secure whether the connection is TLS from the first octet
 * @param user the system_id, at most 15 characters
 * @param password at most 8 characters (SMPP v3.4, 5.2.2)
 * @param sender the number (E.164) or the name (at most 11 letters and digits) that texts come from
 * @param window how many submits await their answer at once, at least 1
 * @param perSecond how many parts leave in a second at most, at least 1
 */
@ConfigurationProperties("jemble.text")
public record TextSettings(
    String host,
    int port,
    boolean secure,
    String user,
    String password,
    String sender,
    int window,
    int perSecond) {

  public boolean isOn() {
    return !host.isBlank();
  }

  @Override
  public String toString() {
    return "text service " + host + ":" + port + " as " + user;
  }
}
