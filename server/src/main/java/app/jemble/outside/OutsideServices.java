package app.jemble.outside;

import app.jemble.core.house.HouseRule;
import app.jemble.core.house.ServiceKind;
import app.jemble.core.house.ServiceRule;
import app.jemble.core.house.ServiceSetting;
import app.jemble.core.house.ServiceSetting.Protection;
import app.jemble.outside.OutsideMapper.ServiceRow;
import app.jemble.problem.Problem;
import app.jemble.secret.HouseSecrets;
import app.jemble.settings.Authority;
import app.jemble.settings.JembleSettings;
import app.jemble.settings.TextSettings;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * How the house reaches services outside: what the environment says goes before what is set on the
 * screens. What is changed there holds in every process within two seconds.
 */
@Service
public class OutsideServices {

  private static final long KNOWN_NANOS = 2_000_000_000L;
  private static final String THIS_MACHINE = "127.0.0.1";
  private static final int SMTP_PORT = 25;
  private static final int USUAL_CONNECTIONS = 2;

  /**
   * What stands on the screen as long as nobody has set anything; ports of RFC 6409 and RFC 8314.
   */
  private static final Map<ServiceKind, ServiceSetting> UNSET =
      Map.of(
          ServiceKind.MAIL_SERVER,
          unset(ServiceKind.MAIL_SERVER, 587, Protection.STARTTLS, USUAL_CONNECTIONS),
          ServiceKind.MAILBOX,
          unset(ServiceKind.MAILBOX, 993, Protection.TLS, 1),
          ServiceKind.TEXT_SERVICE,
          unset(ServiceKind.TEXT_SERVICE, 2775, Protection.NONE, 4));

  private record Known(List<String> versions, Map<ServiceKind, KeptService> services, long asked) {}

  private final OutsideMapper mapper;
  private final HouseSecrets secrets;
  private final JembleSettings outside;
  private final TextSettings textOutside;
  private volatile Known known = new Known(null, Map.of(), System.nanoTime() - KNOWN_NANOS);

  OutsideServices(
      OutsideMapper mapper,
      HouseSecrets secrets,
      JembleSettings outside,
      TextSettings textOutside) {
    this.mapper = mapper;
    this.secrets = secrets;
    this.outside = outside;
    this.textOutside = textOutside;
  }

  /** What mails leave through; where nothing is set, whatever takes mail on this machine. */
  public JembleSettings.Smtp mailServer() {
    JembleSettings.Smtp given = outside.smtp();
    if (given.isSet()) {
      return new JembleSettings.Smtp(
          given.host().isBlank() ? THIS_MACHINE : given.host(),
          given.port() > 0 ? given.port() : SMTP_PORT,
          given.user(),
          given.password(),
          given.security(),
          given.connections(),
          given.authority());
    }
    KeptService kept = kept(ServiceKind.MAIL_SERVER);
    ServiceSetting set = kept.setting();
    return kept.isSet()
        ? new JembleSettings.Smtp(
            set.host(),
            set.port(),
            set.user(),
            set.password(),
            set.protection(),
            set.lines(),
            kept.authority())
        : new JembleSettings.Smtp(
            THIS_MACHINE, SMTP_PORT, "", "", Protection.NONE, USUAL_CONNECTIONS, "");
  }

  /** Where replies arrive; off where nothing is set. */
  public JembleSettings.Imap mailbox() {
    JembleSettings.Imap given = outside.imap();
    if (given.isOn()) {
      return given;
    }
    KeptService kept = kept(ServiceKind.MAILBOX);
    ServiceSetting set = kept.setting();
    return new JembleSettings.Imap(
        set.host(),
        set.port(),
        set.user(),
        set.password(),
        set.protection(),
        kept.authority(),
        set.trustedServer(),
        given.every());
  }

  /** What texts leave through; off where nothing is set. */
  public TextSettings textService() {
    if (textOutside.isOn()) {
      return textOutside;
    }
    ServiceSetting set = kept(ServiceKind.TEXT_SERVICE).setting();
    return new TextSettings(
        set.host(),
        set.port(),
        set.protection() == Protection.TLS,
        set.user(),
        set.password(),
        set.sender(),
        set.lines(),
        set.perSecond());
  }

  /** The variable by which a service is set outside; then the screens cannot set it. */
  public Optional<String> setOutside(ServiceKind kind) {
    boolean isSet =
        switch (kind) {
          case MAIL_SERVER -> outside.smtp().isSet();
          case MAILBOX -> outside.imap().isOn();
          case TEXT_SERVICE -> textOutside.isOn();
        };
    return isSet ? Optional.of(variable(kind)) : Optional.empty();
  }

  private static String variable(ServiceKind kind) {
    return switch (kind) {
      case MAIL_SERVER -> "JEMBLE_SMTP_HOST";
      case MAILBOX -> "JEMBLE_IMAP_HOST";
      case TEXT_SERVICE -> "JEMBLE_TEXT_HOST";
    };
  }

  /** Whether the house has such a service at all, from wherever. */
  public boolean has(ServiceKind kind) {
    return setOutside(kind).isPresent() || kept(kind).isSet();
  }

  /** What the screens have. */
  public KeptService kept(ServiceKind kind) {
    return services().getOrDefault(kind, new KeptService(UNSET.get(kind), "", 0));
  }

  private Map<ServiceKind, KeptService> services() {
    Known now = known;
    if (System.nanoTime() - now.asked() >= KNOWN_NANOS) {
      now = ask(now);
      known = now;
    }
    return now.services();
  }

  /** Secrets are opened again only when something has changed. */
  private Known ask(Known before) {
    List<ServiceRow> rows = mapper.all();
    List<String> versions = rows.stream().map(row -> row.kind() + " " + row.version()).toList();
    if (versions.equals(before.versions())) {
      return new Known(versions, before.services(), System.nanoTime());
    }
    Map<ServiceKind, KeptService> services = new EnumMap<>(ServiceKind.class);
    rows.forEach(row -> services.put(row.kind(), opened(row)));
    return new Known(versions, services, System.nanoTime());
  }

  private KeptService opened(ServiceRow row) {
    String password =
        row.password() == null
            ? ""
            : secrets
                .open(purpose(row.kind()), row.password())
                .map(octets -> new String(octets, StandardCharsets.UTF_8))
                .orElse("");
    return new KeptService(
        new ServiceSetting(
            row.kind(),
            row.host(),
            row.port(),
            row.protection(),
            row.userName(),
            password,
            row.lines(),
            row.perSecond(),
            row.sender(),
            row.trustedServer()),
        row.authority(),
        row.version());
  }

  /**
   * Sets a service.
   *
   * @param version the one that was seen
   */
  public void keep(ServiceSetting wanted, String authority, int version) {
    setOutside(wanted.kind())
        .ifPresent(
            by -> {
              throw Problem.conflict("This is set outside, by " + by + "; change it there.");
            });
    Optional<HouseRule.Fault> fault = ServiceRule.faultOf(wanted);
    if (fault.isPresent()) {
      throw Problem.wrong(fault.get().field(), "This takes " + fault.get().right() + ".");
    }
    if (!authority.isEmpty() && !Authority.areCertificates(authority)) {
      throw Problem.wrong("authority", "This takes certificates in PEM, or nothing.");
    }
    write(row(wanted, password(wanted), authority, version));
    known = ask(new Known(null, Map.of(), 0));
  }

  private byte[] password(ServiceSetting wanted) {
    KeptService kept = kept(wanted.kind());
    String password = wanted.password();
    if (password == null) {
      if (kept.hasPassword() && !ServiceRule.keepsPassword(kept.setting(), wanted)) {
        throw Problem.wrong(
            "password", "Type the password once more: it was given for another place.");
      }
      password = kept.setting().password();
    }
    return password.isEmpty()
        ? null
        : secrets.seal(purpose(wanted.kind()), password.getBytes(StandardCharsets.UTF_8));
  }

  private void write(ServiceRow row) {
    int written = row.version() == 0 ? mapper.add(row) : mapper.change(row);
    if (written == 0) {
      throw Problem.conflict("Somebody else changed this in the meantime; look at it again.");
    }
  }

  private static ServiceRow row(
      ServiceSetting set, byte[] password, String authority, int version) {
    return new ServiceRow(
        set.kind(),
        set.host(),
        set.port(),
        set.protection(),
        set.user(),
        password,
        Objects.requireNonNull(authority),
        set.lines(),
        set.perSecond(),
        set.sender(),
        set.trustedServer(),
        version);
  }

  private static String purpose(ServiceKind kind) {
    return "password of the " + kind.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private static ServiceSetting unset(
      ServiceKind kind, int port, Protection protection, int lines) {
    return new ServiceSetting(kind, "", port, protection, "", "", lines, 20, "", "");
  }
}
