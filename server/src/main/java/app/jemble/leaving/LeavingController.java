package app.jemble.leaving;

import app.jemble.core.message.MessageComposer;
import app.jemble.core.reach.Channel;
import app.jemble.core.signup.ReaderLanguage;
import app.jemble.leaving.LeavingService.Wanted;
import app.jemble.mark.MarkController;
import app.jemble.response.ResponseService;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.Hidden;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where readers leave, choose their topics, and come back. */
@Hidden
@RestController
@RequestMapping("/leave/{token}")
public class LeavingController {

  private final LeavingService leaving;
  private final ResponseService responses;
  private final LeavingPage page;
  private final WorkspaceService workspace;

  LeavingController(
      LeavingService leaving,
      ResponseService responses,
      LeavingPage page,
      WorkspaceService workspace) {
    this.leaving = leaving;
    this.responses = responses;
    this.page = page;
    this.workspace = workspace;
  }

  /** Looking at the page changes nothing (RFC 8058 section 3.1); its buttons do. */
  @GetMapping
  ResponseEntity<String> look(
      @PathVariable String token,
      @RequestHeader(value = "Accept-Language", required = false) String accepted) {
    if (token.equals(MessageComposer.SAMPLE)) {
      return page(page.sample(ofBrowser(accepted)));
    }
    return workspace.mayName(token)
        ? show(token, LeavingPage.Title.ASKING)
        : MarkController.unknown();
  }

  /**
   * The buttons of the page, and the one click of mail readers, which say nothing of a choice (RFC
   * 8058 section 3.2): that leaves the topic of the message.
   */
  @PostMapping
  ResponseEntity<String> leave(
      @PathVariable String token,
      @RequestParam(required = false) String choice,
      @RequestParam(required = false) List<Wanted> get,
      @RequestParam(required = false) List<Channel> on,
      @RequestHeader(value = "Accept-Language", required = false) String accepted) {
    if (token.equals(MessageComposer.SAMPLE)) {
      return page(page.sample(ofBrowser(accepted)));
    }
    if (!workspace.mayName(token)) {
      return MarkController.unknown();
    }
    if ("topics".equals(choice)) {
      Set<Wanted> wanted = get == null ? Set.of() : Set.copyOf(get);
      leaving.choose(token, wanted, on == null ? Set.of(Channel.EMAIL) : Set.copyOf(on));
      return show(token, wanted.isEmpty() ? LeavingPage.Title.LEFT : LeavingPage.Title.CHOSEN);
    }
    if ("nothing".equals(choice)) {
      leaving.nothingAtAll(token);
    } else {
      responses.left(token);
    }
    return show(token, LeavingPage.Title.LEFT);
  }

  private ResponseEntity<String> show(String token, LeavingPage.Title title) {
    return leaving
        .choices(token)
        .map(choices -> page(page.html(title, choices)))
        .orElseGet(MarkController::unknown);
  }

  private static ResponseEntity<String> page(String html) {
    return ResponseEntity.ok()
        .contentType(MediaType.TEXT_HTML)
        .cacheControl(CacheControl.noStore())
        .body(html);
  }

  private static ReaderLanguage ofBrowser(String accepted) {
    return ReaderLanguage.best(accepted, EnumSet.allOf(ReaderLanguage.class))
        .orElse(ReaderLanguage.EN);
  }
}
