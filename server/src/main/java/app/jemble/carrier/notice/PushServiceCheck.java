package app.jemble.carrier.notice;

import java.io.IOException;
import java.net.URI;
import org.springframework.stereotype.Component;

/**
 * Tries the way to the push services as far as one goes without a device, and says where it ends.
 */
@Component
class PushServiceCheck {

  private static final String CONTACT = "(mailto:[^@\\s]+@[^@\\s]+|https://\\S+)";
  private static final String SERVICE = "https?://[^/?#\\s]+";

  /** The steps on the way, in order. */
  enum Step {
    /** the house has an app at all */
    SET,
    /** push services can reach whoever sends (RFC 8292, section 2.1) */
    CONTACT,
    /** each service is set as scheme, host and port */
    ADDRESS,
    /** each service answers */
    REACH
  }

  private final NoticeSettings settings;
  private final NoticeCarrier carrier;

  PushServiceCheck(NoticeSettings settings, NoticeCarrier carrier) {
    this.settings = settings;
    this.carrier = carrier;
  }

  PushServiceController.PushServiceTried check() {
    if (!settings.isOn()) {
      return failed(Step.SET, "no push service is set");
    }
    if (!settings.contact().matches(CONTACT)) {
      return failed(Step.CONTACT, "a contact begins with mailto: or https:");
    }
    for (String service : settings.services()) {
      if (!service.matches(SERVICE)) {
        return failed(
            Step.ADDRESS, service + " is no scheme with a host, such as https://push.example");
      }
    }
    for (String service : settings.services()) {
      try {
        carrier.requests().reach(URI.create(service));
      } catch (IOException | IllegalArgumentException away) {
        return failed(Step.REACH, service + ": " + away.getMessage());
      }
    }
    return failed(null, "");
  }

  private static PushServiceController.PushServiceTried failed(Step step, String words) {
    return new PushServiceController.PushServiceTried(step, words);
  }
}
