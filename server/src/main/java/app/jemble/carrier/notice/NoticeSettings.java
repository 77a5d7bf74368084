package app.jemble.carrier.notice;

import app.jemble.core.notice.HouseToken;
import java.net.URI;
import java.time.Duration;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How the house reaches its app; docs/operations.md names the environment variable of each.
 *
 * @param services the push services that notices go to, each as scheme, host and port; a device of
 *     any other is not taken. None where the house has no app
 * @param contact where a push service can reach the house, a {@code mailto:} or {@code https:}
 * @param inFlight how many notices await their answer at once, at least 1
 * @param answerWithin how long an answer is waited for; what got none by then is in doubt
 */
@ConfigurationProperties("jemble.notice")
public record NoticeSettings(
    List<String> services, String contact, int inFlight, Duration answerWithin) {

  public NoticeSettings {
    services = services == null ? List.of() : List.copyOf(services);
  }

  public boolean isOn() {
    return !services.isEmpty();
  }

  /** Whether a device's address is of a push service that the house uses. */
  public boolean uses(URI device) {
    return device.getHost() != null && services.contains(HouseToken.origin(device));
  }
}
