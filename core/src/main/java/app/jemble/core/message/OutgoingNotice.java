package app.jemble.core.message;

import app.jemble.core.notice.Device;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import java.util.List;

/**
 * One person's notice, ready to leave.
 *
 * @param token its public token, by which the app says that it was opened
 * @param devices on which it is shown
 * @param link where it leads; empty opens the app alone
 * @param leave where its reader leaves
 * @param links where its counted link leads; none or one
 */
public record OutgoingNotice(
    String token,
    Address.Device to,
    List<Device> devices,
    String title,
    String words,
    String link,
    String leave,
    List<String> links)
    implements Outgoing {

  public OutgoingNotice {
    devices = List.copyOf(devices);
    links = List.copyOf(links);
  }

  @Override
  public Channel channel() {
    return Channel.APP;
  }

  @Override
  public String subject() {
    return title;
  }

  /** The same for devices that are known now. */
  public OutgoingNotice on(List<Device> known) {
    return new OutgoingNotice(token, to, known, title, words, link, leave, links);
  }
}
