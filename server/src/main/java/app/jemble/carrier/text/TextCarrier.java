package app.jemble.carrier.text;

import app.jemble.carrier.Carrier;
import app.jemble.carrier.Lines;
import app.jemble.carrier.Parcel;
import app.jemble.core.message.Outgoing;
import app.jemble.core.message.OutgoingText;
import app.jemble.core.reach.Channel;
import java.nio.charset.StandardCharsets;

/** Takes texts to the message centre of a text service (SMPP v3.4, Issue 1.2). */
public class TextCarrier implements Carrier {

  private final TextSettings settings;
  private final TextArrivals arrivals;

  TextCarrier(TextSettings settings, TextArrivals arrivals) {
    this.settings = settings;
    this.arrivals = arrivals;
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
    return new TextLines(new TextSession(settings, arrivals), settings);
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
