package app.jemble.picture;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.picture.PictureService.Picture;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Pictures: taken in by colleagues, shown to whoever has a message that shows them. */
@RestController
class PictureController {

  private final PictureService pictures;

  PictureController(PictureService pictures) {
    this.pictures = pictures;
  }

  /** The picture is the body of the request. */
  @Needs(Right.WORK)
  @PostMapping(path = "/api/pictures", consumes = "application/octet-stream")
  Picture add(@RequestParam String name, HttpServletRequest request) throws IOException {
    return pictures.add(name, request.getInputStream());
  }

  @Hidden
  @GetMapping("/pictures/{key}")
  ResponseEntity<byte[]> picture(@PathVariable String key) {
    return pictures
        .find(key)
        .map(
            p ->
                ResponseEntity.ok()
                    .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable())
                    .contentType(MediaType.parseMediaType(p.type()))
                    .body(p.octets()))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }
}
