package app.jemble.device;

import app.jemble.carrier.notice.GoneDevices;
import app.jemble.carrier.notice.NoticeSettings;
import app.jemble.core.notice.AppToken;
import app.jemble.core.notice.Device;
import app.jemble.core.notice.SealedNotice.DeviceKeys;
import app.jemble.core.record.PersonId;
import app.jemble.problem.Problem;
import app.jemble.response.ResponseService;
import app.jemble.workspace.WorkspaceService;
import java.net.URI;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The devices on which people have the app. */
@Service
public class Devices implements GoneDevices {

  /** So many of one person are written to (common practice). */
  private static final int MOST = 10;

  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_ADDRESS = 2_000;

  private final DeviceMapper mapper;
  private final NoticeSettings settings;
  private final WorkspaceService workspace;
  private final ResponseService responses;
  private final Clock clock;

  Devices(
      DeviceMapper mapper,
      NoticeSettings settings,
      WorkspaceService workspace,
      ResponseService responses,
      Clock clock) {
    this.mapper = mapper;
    this.settings = settings;
    this.workspace = workspace;
    this.responses = responses;
    this.clock = clock;
  }

  /** Whose a token is; empty when it is made up, or somebody has a newer one. */
  Optional<PersonId> holder(String token) {
    return AppToken.read(token, workspace.secret())
        .filter(
            holder -> Integer.valueOf(holder.number()).equals(mapper.linkNumber(holder.person())))
        .map(AppToken.Holder::person);
  }

  /**
   * The app of a person registers, or says once more that it is there.
   *
   * @param address that its push service gave it
   * @param key its public key, base64url
   * @param secret its authentication secret, base64url
   */
  @Transactional
  void register(PersonId person, String address, String key, String secret, String name) {
    URI device = address(address);
    DeviceKeys keys = keys(key, secret);
    mapper.register(
        new DeviceMapper.Registration(
            person, device.toString(), keys.key(), keys.secret(), name(name), clock.instant()));
    mapper.letGo(person, MOST, "more than " + MOST + " devices", clock.instant());
  }

  private URI address(String address) {
    if (address == null || address.length() > LONGEST_ADDRESS) {
      throw Problem.wrong("endpoint", "A device is registered by the address of its push service.");
    }
    try {
      URI device = URI.create(address);
      if (settings.uses(device)) {
        return device;
      }
    } catch (IllegalArgumentException notOne) {
      throw Problem.wrong("endpoint", "This is no address.");
    }
    throw Problem.wrong("endpoint", "This house sends nothing through that push service.");
  }

  private static DeviceKeys keys(String key, String secret) {
    try {
      Base64.Decoder base64 = Base64.getUrlDecoder();
      return new DeviceKeys(base64.decode(key), base64.decode(secret));
    } catch (IllegalArgumentException | NullPointerException wrong) {
      throw Problem.wrong("keys", "The keys are not those of a push service (RFC 8291).");
    }
  }

  private static String name(String name) {
    String sound = name == null ? "" : name.replaceAll("\\p{Cntrl}", " ").strip();
    return sound.codePointCount(0, sound.length()) <= LONGEST_NAME
        ? sound
        : sound.substring(0, sound.offsetByCodePoints(0, LONGEST_NAME));
  }

  /** The app is taken off a device. */
  @Transactional
  void remove(PersonId person, String address) {
    mapper.remove(person, address, "taken off by the app", clock.instant());
  }

  /** A colleague takes one off; false when it is gone already. */
  @Transactional
  boolean takeAway(PersonId person, long id, String by) {
    return mapper.takeAway(person, id, "taken off by " + by, clock.instant()) > 0;
  }

  @Override
  @Transactional
  public void gone(URI device, String why) {
    mapper.gone(device.toString(), why, clock.instant());
  }

  /** The app shows that a notice was opened; false when there was none. */
  @Transactional
  boolean opened(String token) {
    Optional<PersonId> reader = responses.openedInApp(token);
    reader.ifPresent(person -> mapper.heard(person, clock.instant()));
    return reader.isPresent();
  }

  /** What each of some people is shown a notice on; nobody who has nothing is among them. */
  public Map<PersonId, List<Device>> of(Collection<PersonId> people) {
    Map<PersonId, List<Device>> devices = new HashMap<>();
    for (DeviceMapper.Row row : mapper.of(people.toArray(PersonId[]::new))) {
      devices.computeIfAbsent(row.personId(), p -> new ArrayList<>()).add(device(row));
    }
    return devices;
  }

  /** The devices of whoever on record has an e-mail address. */
  public List<Device> ofAddress(String email) {
    return mapper.ofAddress(email.strip()).stream().map(Devices::device).toList();
  }

  private static Device device(DeviceMapper.Row row) {
    return new Device(URI.create(row.address()), new DeviceKeys(row.key(), row.secret()));
  }
}
