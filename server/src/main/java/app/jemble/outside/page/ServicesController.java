package app.jemble.outside.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.house.ServiceKind;
import app.jemble.core.house.ServiceSetting;
import app.jemble.core.house.ServiceSetting.Protection;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.outside.KeptService;
import app.jemble.outside.OutsideServices;
import app.jemble.settings.JembleSettings;
import app.jemble.settings.TextSettings;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Mail server, mailbox and text service: whoever has the right sets them. */
@RestController
@RequestMapping("/api/services")
class ServicesController {

  /**
   * A service outside. Its password is never told.
   *
   * @param setOutside the variable that sets it, so that it can be changed there alone
   * @param isSet whether there is one
   * @param lines connections of one process, or texts that await their answer at once
   * @param perSecond parts of texts that leave in a second at most
   */
  record OutsideService(
      ServiceKind kind,
      @Schema(nullable = true) String setOutside,
      boolean isSet,
      String host,
      int port,
      Protection protection,
      String user,
      boolean hasPassword,
      String authority,
      int lines,
      int perSecond,
      String sender,
      String trustedServer,
      int version) {}

  /**
   * What it is to be.
   *
   * @param host empty: none
   * @param password null: the one that is kept already
   */
  record ServiceDraft(
      String host,
      int port,
      Protection protection,
      String user,
      @Schema(nullable = true) String password,
      String authority,
      int lines,
      int perSecond,
      String sender,
      String trustedServer,
      int version) {}

  /** What the history tells of it. */
  private record ServiceTold(String host, int port, String protection, String user) {
    static ServiceTold of(ServiceSetting setting) {
      return new ServiceTold(
          setting.host(), setting.port(), setting.protection().name(), setting.user());
    }
  }

  private final OutsideServices services;
  private final HouseHistory history;

  ServicesController(OutsideServices services, HouseHistory history) {
    this.services = services;
    this.history = history;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<OutsideService> all() {
    return Arrays.stream(ServiceKind.values()).map(this::service).toList();
  }

  @Needs(Right.SETTINGS)
  @Noted("Set a service outside")
  @PutMapping("/{kind}")
  OutsideService keep(@PathVariable("kind") ServiceKind kind, @RequestBody ServiceDraft draft) {
    ServiceSetting before = services.kept(kind).setting();
    ServiceSetting wanted =
        new ServiceSetting(
            kind,
            strip(draft.host()),
            draft.port(),
            draft.protection(),
            strip(draft.user()),
            draft.password(),
            draft.lines(),
            draft.perSecond(),
            strip(draft.sender()),
            strip(draft.trustedServer()));
    services.keep(wanted, strip(draft.authority()), draft.version());
    history.tellChange(words(kind), ServiceTold.of(before), ServiceTold.of(wanted));
    return service(kind);
  }

  private static String words(ServiceKind kind) {
    return switch (kind) {
      case MAIL_SERVER -> "Mail server";
      case MAILBOX -> "Mailbox";
      case TEXT_SERVICE -> "Text service";
    };
  }

  private OutsideService service(ServiceKind kind) {
    KeptService kept = services.kept(kind);
    ServiceSetting set = services.setOutside(kind).isPresent() ? inUse(kind) : kept.setting();
    return new OutsideService(
        kind,
        services.setOutside(kind).orElse(null),
        services.has(kind),
        set.host(),
        set.port(),
        set.protection(),
        set.user(),
        !set.password().isEmpty(),
        kept.authority(),
        set.lines(),
        set.perSecond(),
        set.sender(),
        set.trustedServer(),
        kept.version());
  }

  private ServiceSetting inUse(ServiceKind kind) {
    return switch (kind) {
      case MAIL_SERVER -> of(services.mailServer());
      case MAILBOX -> of(services.mailbox());
      case TEXT_SERVICE -> of(services.textService());
    };
  }

  private static ServiceSetting of(JembleSettings.Smtp set) {
    return new ServiceSetting(
        ServiceKind.MAIL_SERVER,
        set.host(),
        set.port(),
        set.security(),
        set.user(),
        set.password(),
        set.connections(),
        1,
        "",
        "");
  }

  private static ServiceSetting of(JembleSettings.Imap set) {
    return new ServiceSetting(
        ServiceKind.MAILBOX,
        set.host(),
        set.port(),
        set.security(),
        set.user(),
        set.password(),
        1,
        1,
        "",
        set.trustedServer());
  }

  private static ServiceSetting of(TextSettings set) {
    return new ServiceSetting(
        ServiceKind.TEXT_SERVICE,
        set.host(),
        set.port(),
        set.secure() ? Protection.TLS : Protection.NONE,
        set.user(),
        set.password(),
        set.window(),
        set.perSecond(),
        set.sender(),
        "");
  }

  private static String strip(String typed) {
    return typed == null ? "" : typed.strip();
  }
}
