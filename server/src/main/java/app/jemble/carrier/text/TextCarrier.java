package app.jemble.carrier.text;

import app.jemble.carrier.Carrier;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.Lines;
import app.jemble.carrier.Parcel;
import app.jemble.carrier.UnreachableException;
import app.jemble.core.message.Outgoing;
import app.jemble.core.message.OutgoingText;
import app.jemble.core.reach.Channel;
import java.nio.charset.StandardCharsets;
import org.springframework.stereotype.Service;

/** Takes texts to the message centre of a text service (SMPP v3.4, Issue 1.2). */
@Service
public class TextCarrier implements Carrier {

  private final TextSettings settings;
  private final TextSession session;

  TextCarrier(TextSettings settings, TextArrivals arrivals) {
    this.settings = settings;
    this.session = new TextSession(settings, arrivals);
  }

  @Override
  public Channel channel() {
    return Channel.TEXT;
  }

  @Override
  public String where() {
    return settings.host() + ":" + settings.port();
  }

  @Override
  public int lineCount() {
    return settings.isOn() ? settings.window() : 0;
  }

  @Override
  public Lines lines() {
    return new TextLines(session, settings);
  }

  /** Makes sure that what comes back can come, where the house has a text service. */
  void listen() throws UnreachableException {
    if (settings.isOn()) {
      session.open();
    }
  }

  /**
   * Sends one text by itself, outside the outbox, and once at most.
   *
   * @param to a number, E.164
   */
  public HandoverResult sendOnce(String to, String words) {
    byte[] octets = words.getBytes(StandardCharsets.UTF_8);
    return session.submit(new Parcel(octets, settings.sender(), to), () -> {});
  }

  /** What is kept and handed over is the text itself, in UTF-8. */
  @Override
  public byte[] write(Outgoing message) {
    return ((OutgoingText) message).text().getBytes(StandardCharsets.UTF_8);
  }

  @Override
  public Parcel parcel(Outgoing message, byte[] octets) {
    OutgoingText text = (OutgoingText) message;
    return new Parcel(octets, text.from(), text.to().stored());
  }
}
