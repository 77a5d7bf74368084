package app.jemble.device;

import app.jemble.carrier.notice.NoticeSettings;
import app.jemble.carrier.notice.PushKeys;
import app.jemble.core.message.MessageComposer;
import app.jemble.core.record.PersonId;
import app.jemble.core.signup.ReaderLanguage;
import app.jemble.mark.MarkController;
import app.jemble.page.PageWords;
import app.jemble.page.PublicPages;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.Hidden;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.EnumSet;
import java.util.Map;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * What the app asks and says, from whatever device it is on; docs/app.md describes it to those who
 * write the app. Who has no token of ours learns nothing.
 */
@Hidden
@RestController
@RequestMapping("/app")
public class AppController {

  /** What the app needs to be let in by its push service. */
  record House(String name, String key) {}

  /** As W3C's Push API writes a subscription; the name is what its person calls the device. */
  record Subscription(
      String endpoint,
      @Schema(nullable = true) Long expirationTime,
      Map<String, String> keys,
      @Schema(nullable = true) String name) {}

  /** A notice that was opened, by the name that came with it. */
  record OpenedNotice(String message) {}

  /** What the page shows. */
  public record Shown(String language, String title, String line) {}

  private final Devices devices;
  private final PushKeys keys;
  private final NoticeSettings settings;
  private final WorkspaceService workspace;
  private final PublicPages pages;

  AppController(
      Devices devices,
      PushKeys keys,
      NoticeSettings settings,
      WorkspaceService workspace,
      PublicPages pages) {
    this.devices = devices;
    this.keys = keys;
    this.settings = settings;
    this.workspace = workspace;
    this.pages = pages;
  }

  @GetMapping("/house")
  House house() {
    if (!settings.isOn()) {
      throw Problem.notFound("This house has no app.");
    }
    return new House(workspace.current().name(), keys.publicKey());
  }

  /** Where whoever has not got the app comes with its link. */
  @GetMapping(value = "/{token}")
  ResponseEntity<String> look(
      @PathVariable String token,
      @RequestHeader(value = "Accept-Language", required = false) String accepted) {
    if (!token.equals(MessageComposer.SAMPLE) && devices.holder(token).isEmpty()) {
      return MarkController.unknown();
    }
    ReaderLanguage language =
        ReaderLanguage.best(accepted, EnumSet.allOf(ReaderLanguage.class))
            .orElse(ReaderLanguage.EN);
    Map<String, String> words = PageWords.of(language);
    return ResponseEntity.ok()
        .contentType(MediaType.TEXT_HTML)
        .cacheControl(CacheControl.noStore())
        .body(
            pages.html(
                "sample.ftlh",
                new Shown(language.tag(), words.get("appLink"), words.get("appLinkLine"))));
  }

  @PutMapping("/{token}/devices")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void register(@PathVariable String token, @RequestBody Subscription device) {
    Map<String, String> given = device.keys() == null ? Map.of() : device.keys();
    devices.register(
        holder(token), device.endpoint(), given.get("p256dh"), given.get("auth"), device.name());
  }

  @DeleteMapping("/{token}/devices")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String token, @RequestParam String endpoint) {
    devices.remove(holder(token), endpoint);
  }

  @PostMapping("/opened")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void opened(@RequestBody OpenedNotice notice) {
    if (notice.message() == null
        || !workspace.mayName(notice.message())
        || !devices.opened(notice.message())) {
      throw Problem.notFound("There is nothing here.");
    }
  }

  private PersonId holder(String token) {
    return devices.holder(token).orElseThrow(() -> Problem.notFound("There is nothing here."));
  }
}
