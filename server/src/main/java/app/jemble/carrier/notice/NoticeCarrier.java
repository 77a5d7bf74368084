package app.jemble.carrier.notice;

import app.jemble.carrier.Carrier;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.Line;
import app.jemble.carrier.Lines;
import app.jemble.carrier.Parcel;
import app.jemble.core.message.Outgoing;
import app.jemble.core.message.OutgoingNotice;
import app.jemble.core.reach.Channel;
import java.time.Clock;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Service;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.node.ObjectNode;

/** Takes notices to the push services of devices with the app (RFC 8030). */
@Service
public class NoticeCarrier implements Carrier {

  private final NoticeSettings settings;
  private final GoneDevices gone;
  private final ObjectMapper json;
  private final PushRequests requests;

  NoticeCarrier(
      NoticeSettings settings,
      PushKeys keys,
      GoneDevices gone,
      ObjectMapper json,
      @Qualifier("machineClock") Clock clock) {
    this.settings = settings;
    this.gone = gone;
    this.json = json;
    this.requests = new PushRequests(settings, keys, clock);
  }

  @Override
  public Channel channel() {
    return Channel.APP;
  }

  @Override
  public String where() {
    return settings.services().stream().collect(Collectors.joining(", "));
  }

  @Override
  public int lineCount() {
    return settings.isOn() ? settings.inFlight() : 0;
  }

  /** A line waits for the network most of the time. */
  @Override
  public int workersALine() {
    return 1;
  }

  @Override
  public Lines lines() {
    return new NoticeLines(requests, settings, gone);
  }

  /** Sends one notice by itself, outside the outbox, and once at most. */
  public HandoverResult sendOnce(OutgoingNotice notice) {
    Line line = new NoticeLines(requests, settings, gone).take();
    return line.send(parcel(notice, write(notice)), null, () -> {});
  }

  /** What the app reads, as docs/app.md describes it. */
  @Override
  public byte[] write(Outgoing message) {
    OutgoingNotice notice = (OutgoingNotice) message;
    ObjectNode said =
        json.createObjectNode()
            .put("title", notice.title())
            .put("text", notice.words())
            .put("link", notice.link())
            .put("leave", notice.leave())
            .put("message", notice.token());
    return json.writeValueAsBytes(said);
  }

  @Override
  public Parcel parcel(Outgoing message, byte[] octets) {
    OutgoingNotice notice = (OutgoingNotice) message;
    return new Parcel(octets, "", notice.to().stored(), notice);
  }

  PushRequests requests() {
    return requests;
  }
}
