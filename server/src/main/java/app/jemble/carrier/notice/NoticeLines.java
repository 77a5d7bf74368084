package app.jemble.carrier.notice;

import app.jemble.carrier.FreeLines;
import app.jemble.carrier.HandoverResult;
import app.jemble.carrier.Line;
import app.jemble.carrier.Lines;
import app.jemble.carrier.Parcel;
import app.jemble.carrier.UnreachableException;
import app.jemble.core.message.OutgoingNotice;
import app.jemble.core.notice.Device;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.util.ArrayList;
import java.util.List;

/** So many notices of this process can await their answer at once. */
final class NoticeLines implements Lines {

  private final PushRequests requests;
  private final NoticeSettings settings;
  private final GoneDevices gone;
  private final FreeLines free;
  private volatile boolean open;

  NoticeLines(PushRequests requests, NoticeSettings settings, GoneDevices gone) {
    this.requests = requests;
    this.settings = settings;
    this.gone = gone;
    this.free = new FreeLines(settings.inFlight(), this::send);
  }

  private HandoverResult send(Parcel parcel, Parcel next, Runnable begin) {
    OutgoingNotice notice = (OutgoingNotice) parcel.message();
    List<HandoverResult> results = new ArrayList<>();
    boolean begun = false;
    for (Device device : notice.devices()) {
      HttpRequest request = sealed(device, parcel.octets(), notice.token(), results);
      if (request != null) {
        if (!begun) {
          begin.run();
          begun = true;
        }
        results.add(send(device, request));
      }
    }
    HandoverResult result = PushAnswers.together(results);
    if (result instanceof HandoverResult.NotTried) {
      open = false;
    }
    return result;
  }

  /** Null, and why, when it cannot be asked for. */
  private HttpRequest sealed(
      Device device, byte[] octets, String topic, List<HandoverResult> results) {
    if (!settings.uses(device.address())) {
      results.add(new HandoverResult.Refused("its push service is none that the house uses"));
      return null;
    }
    try {
      return requests.request(device, octets, topic);
    } catch (IllegalArgumentException cannot) {
      results.add(new HandoverResult.Refused(cannot.getMessage()));
      return null;
    }
  }

  private HandoverResult send(Device device, HttpRequest request) {
    HandoverResult result = requests.send(request);
    if (result instanceof HandoverResult.Closed closed) {
      gone.gone(device.address(), closed.words());
    }
    return result;
  }

  @Override
  public Line take() {
    return free.take();
  }

  @Override
  public void putBack(Line line) {
    free.putBack(line);
  }

  /** When one of the services answers; which a notice goes to is the device's own. */
  @Override
  public synchronized void open() throws UnreachableException {
    if (open) {
      return;
    }
    List<String> troubles = new ArrayList<>();
    for (String service : settings.services()) {
      try {
        requests.reach(URI.create(service));
        open = true;
        return;
      } catch (IOException | IllegalArgumentException away) {
        troubles.add(service + " cannot be reached");
      }
    }
    throw new UnreachableException(String.join("; ", troubles));
  }

  @Override
  public boolean isOpen() {
    return open;
  }

  @Override
  public void closeUnused() {
    // The client closes by itself what nobody uses.
  }

  @Override
  public void close() {
    open = false;
  }
}
