package app.jemble.mark;

import app.jemble.response.ResponseService;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/**
 * The links of messages; the open mark has a way of its own, {@link MarkFilter}, and so has the
 * leaving page, which has a room of its own. A token that was not made here learns nothing, and no
 * address leads anywhere that was not in the message.
 */
@Hidden
@RestController
public class MarkController {

  private final ResponseService responses;
  private final WorkspaceService workspace;

  MarkController(ResponseService responses, WorkspaceService workspace) {
    this.responses = responses;
    this.workspace = workspace;
  }

  @GetMapping("/l/{token}/{link}")
  ResponseEntity<String> link(
      @PathVariable String token,
      @PathVariable int link,
      @RequestHeader(value = "User-Agent", required = false) String agent,
      HttpServletRequest request) {
    if (!workspace.mayName(token)) {
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

  /** What whoever makes tokens up is told. */
  public static ResponseEntity<String> unknown() {
    return ResponseEntity.status(HttpStatus.NOT_FOUND)
        .contentType(MediaType.TEXT_PLAIN)
        .body("There is nothing here.");
  }
}
