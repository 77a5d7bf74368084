package app.jemble.check;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Sets a fallback in a letter that is being written. */
@RestController
@RequestMapping("/api/mends/fallback")
class FallbackController {

  /** A letter, a field that some lack, and what to write then. */
  record FallbackWish(String subject, String body, String field, String fallback) {}

  private final Mending mending;

  FallbackController(Mending mending) {
    this.mending = mending;
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping
  Mending.Texts fallback(@RequestBody FallbackWish wish) {
    return mending.withFallback(
        new Mending.Texts(wish.subject(), wish.body()), wish.field(), wish.fallback());
  }
}
