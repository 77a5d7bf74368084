package app.jemble.carrier.text;

import app.jemble.carrier.UnreachableException;
import app.jemble.carrier.text.TextServiceController.TextServiceTried;
import app.jemble.core.house.ServiceRule;
import app.jemble.outside.OutsideServices;
import app.jemble.settings.TextSettings;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import org.springframework.stereotype.Component;

/** Tries the way to the text service as far as a text would go, and says where it ends. */
@Component
class TextServiceCheck {

  private static final int PATIENCE_MILLIS = 5_000;

  /** The steps on the way, in order. */
  enum Step {
    /** the house has a service at all */
    SET,
    /** texts come from a number or a name that phones can show */
    SENDER,
    /** the host answers at that port */
    REACH,
    /** it lets us in */
    SIGN_IN
  }

  private final OutsideServices services;
  private final TextArrivals arrivals;

  TextServiceCheck(OutsideServices services, TextArrivals arrivals) {
    this.services = services;
    this.arrivals = arrivals;
  }

  TextServiceTried check() {
    TextSettings settings = services.textService();
    if (!settings.isOn()) {
      return new TextServiceTried(Step.SET, "no text service is set");
    }
    if (!ServiceRule.isSender(settings.sender())) {
      return new TextServiceTried(
          Step.SENDER, "a sender is a number such as +447700900000, or at most 11 letters");
    }
    try (Socket socket = new Socket()) {
      socket.connect(new InetSocketAddress(settings.host(), settings.port()), PATIENCE_MILLIS);
    } catch (IOException away) {
      return new TextServiceTried(Step.REACH, String.valueOf(away.getMessage()));
    }
    try (TextSession session = new TextSession(settings, arrivals)) {
      session.open();
      return new TextServiceTried(null, "");
    } catch (UnreachableException refused) {
      return new TextServiceTried(Step.SIGN_IN, refused.getMessage());
    }
  }
}
