package app.jemble.carrier.text;

import app.jemble.carrier.Carrier;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.Lines;
import app.jemble.carrier.Parcel;
import app.jemble.carrier.UnreachableException;
import app.jemble.core.message.Outgoing;
import app.jemble.core.message.OutgoingText;
import app.jemble.core.reach.Channel;
import app.jemble.outside.OutsideServices;
import app.jemble.settings.TextSettings;
import java.nio.charset.StandardCharsets;
import org.springframework.stereotype.Service;

/** Takes texts to the message centre of a text service (SMPP v3.4, Issue 1.2). */
@Service
public class TextCarrier implements Carrier {

  private final OutsideServices services;
  private final TextArrivals arrivals;

  /** That of the lines there are now; null before there are any. */
  private volatile TextSession session;

  TextCarrier(OutsideServices services, TextArrivals arrivals) {
    this.services = services;
    this.arrivals = arrivals;
  }

  @Override
  public Channel channel() {
    return Channel.TEXT;
  }

  @Override
  public String where() {
    TextSettings service = services.textService();
    return service.host() + ":" + service.port();
  }

  @Override
  public Object setting() {
    return services.textService();
  }

  @Override
  public int lineCount() {
    TextSettings service = services.textService();
    return service.isOn() ? service.window() : 0;
  }

  @Override
  public Lines lines() {
    TextSettings service = services.textService();
    session = new TextSession(service, arrivals);
    return new TextLines(session, service);
  }

  /** Makes sure that what comes back can come, where the house has a text service. */
  void listen() throws UnreachableException {
    TextSession now = session;
    if (now != null && services.textService().isOn()) {
      now.open();
    }
  }

  /**
   * Sends one text by itself, outside the outbox, and once at most.
   *
   * @param to a number, E.164
   */
  public HandoverResult sendOnce(String to, String words) {
    byte[] octets = words.getBytes(StandardCharsets.UTF_8);
    TextSession now = session;
    return now == null
        ? new HandoverResult.NotTried("the house begins only now")
        : now.submit(new Parcel(octets, services.textService().sender(), to), () -> {});
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
