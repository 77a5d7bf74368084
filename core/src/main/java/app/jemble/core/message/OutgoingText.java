package app.jemble.core.message;

import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import java.util.List;

/**
 * One person's text message, ready to leave.
 *
 * @param token its public token
 * @param from the number or the name that it comes from
 * @param text what it says, plain
 * @param links where its counted links lead, in order
 */
public record OutgoingText(
    String token, String from, Address.Phone to, String text, List<String> links)
    implements Outgoing {

  private static final int SUBJECT = 60;

  public OutgoingText {
    links = List.copyOf(links);
  }

  @Override
  public Channel channel() {
    return Channel.TEXT;
  }

  /** The beginning of what it says. */
  @Override
  public String subject() {
    String line = text.strip().replaceAll("\\s+", " ");
    return line.codePointCount(0, line.length()) <= SUBJECT
        ? line
        : line.substring(0, line.offsetByCodePoints(0, SUBJECT - 1)) + "…";
  }
}
