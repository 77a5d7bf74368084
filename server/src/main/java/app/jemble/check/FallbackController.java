package app.jemble.check;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.merge.Fallbacks;
import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.problem.Problem;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Mends texts that are being written; nothing of them is kept. */
@RestController
@RequestMapping("/api/mends/fallback")
class FallbackController {

  /** A letter as it is being written, a field that some lack, and what to write then. */
  record FallbackWish(String subject, String body, String field, String fallback) {}

  record WithFallback(String subject, String body) {}

  /** The letter with a fallback wherever the field stands without one. */
  @Needs(Right.WRITE)
  @PostMapping
  WithFallback fallback(@RequestBody FallbackWish wish) {
    if (Fallbacks.decidesAnAddress(wish.body(), wish.field())
        && !Fallbacks.isAddress(wish.fallback())) {
      throw Problem.wrong(
          "fallback",
          "Here it is the address of a link or a picture: write a whole one, such as"
              + " https://quay.example/picture.png, or leave these people out.");
    }
    return new WithFallback(
        Fallbacks.set(wish.subject(), Kind.HEADER, wish.field(), wish.fallback()),
        Fallbacks.set(wish.body(), Kind.HTML, wish.field(), wish.fallback()));
  }
}
