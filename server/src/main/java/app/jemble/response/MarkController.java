package app.jemble.response;

import app.jemble.core.merge.Escaping;
import app.jemble.core.merge.Place;
import app.jemble.core.message.PublicToken;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.Base64;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/**
 * What readers of mail reach: the open mark, the links of messages, the leaving page. A token that
 * was not made here learns nothing, and no address leads anywhere that was not in the message.
 */
@Hidden
@RestController
class MarkController {

  /** One transparent point. */
  private static final byte[] MARK =
      Base64.getDecoder().decode("R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7");

  private final ResponseService responses;
  private final WorkspaceService workspace;

  MarkController(ResponseService responses, WorkspaceService workspace) {
    this.responses = responses;
    this.workspace = workspace;
  }

  @GetMapping("/o/{token}.gif")
  ResponseEntity<byte[]> mark(
      @PathVariable String token,
      @RequestHeader(value = "User-Agent", required = false) String agent,
      HttpServletRequest request) {
    if (isGenuine(token)) {
      responses.opened(token, agent, request.getRemoteAddr());
    }
    return ResponseEntity.ok()
        .cacheControl(CacheControl.noStore())
        .contentType(MediaType.IMAGE_GIF)
        .body(MARK);
  }

  @GetMapping("/l/{token}/{link}")
  ResponseEntity<String> link(
      @PathVariable String token,
      @PathVariable int link,
      @RequestHeader(value = "User-Agent", required = false) String agent,
      HttpServletRequest request) {
    if (!isGenuine(token)) {
      return unknown();
    }
    return responses
        .clicked(token, link, agent, request.getRemoteAddr())
        .map(
            target ->
                ResponseEntity.status(HttpStatus.FOUND)
                    .location(URI.create(target))
                    .cacheControl(CacheControl.noStore())
                    .<String>build())
        .orElseGet(MarkController::unknown);
  }

  /** Looking at the page changes nothing (RFC 8058 section 3.1); the button does. */
  @GetMapping("/leave/{token}")
  ResponseEntity<String> leavePage(@PathVariable String token) {
    if (!isGenuine(token) || !responses.knows(token)) {
      return unknown();
    }
    return page(
        "Leave this list?",
        "<p>You will not get this kind of mail from us any more.</p>"
            + "<form method=\"post\"><button>Leave the list</button></form>");
  }

  /** The button of the page, and the one click of mail readers (RFC 8058 section 3.2). */
  @PostMapping("/leave/{token}")
  ResponseEntity<String> leave(@PathVariable String token) {
    if (!isGenuine(token) || !responses.left(token)) {
      return unknown();
    }
    return page("You have left the list", "<p>We will not write to you about this again.</p>");
  }

  private boolean isGenuine(String token) {
    return PublicToken.isGenuine(token, workspace.secret());
  }

  private static ResponseEntity<String> unknown() {
    return ResponseEntity.status(HttpStatus.NOT_FOUND)
        .contentType(MediaType.TEXT_PLAIN)
        .body("There is nothing here.");
  }

  private ResponseEntity<String> page(String title, String inside) {
    StringBuilder house = new StringBuilder();
    Escaping.append(house, workspace.current().name(), Place.HTML_TEXT);
    String html =
        """
        <!DOCTYPE html>
        <html lang="en"><head><meta charset="utf-8"><title>%1$s</title>
        <meta name="viewport" content="width=device-width, initial-scale=1">
        <style>
        body { margin: 0; background: #f4f1e8; color: #24271f; font: 16px/1.5 sans-serif }
        main { max-width: 30rem; margin: 10vh auto; padding: 2rem; background: #fffefb;
               border: 1px solid #ded8c9; border-radius: 10px }
        h1 { font-size: 1.4rem; margin: 0 0 .5rem } small { color: #66675c }
        button { font: inherit; font-weight: 600; color: #fff; background: #46551f; border: 0;
                 border-radius: 8px; padding: .6rem 1.2rem; cursor: pointer }
        </style></head>
        <body><main><small>%2$s</small><h1>%1$s</h1>%3$s</main></body></html>
        """
            .formatted(title, house, inside);
    return ResponseEntity.ok()
        .contentType(MediaType.TEXT_HTML)
        .cacheControl(CacheControl.noStore())
        .body(html);
  }
}
