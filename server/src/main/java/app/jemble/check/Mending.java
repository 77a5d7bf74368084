package app.jemble.check;

import app.jemble.core.merge.Fallbacks;
import app.jemble.core.merge.TemplateParser.Kind;
import app.jemble.problem.Problem;
import org.springframework.stereotype.Service;

/** Mends texts that are being written; nothing of them is kept. */
@Service
class Mending {

  /** A letter as it is being written. */
  record Texts(String subject, String body) {}

  /** The letter with a fallback wherever the field stands without one. */
  Texts withFallback(Texts texts, String field, String fallback) {
    if (Fallbacks.decidesAnAddress(texts.body(), field) && !Fallbacks.isAddress(fallback)) {
      throw Problem.wrong(
          "fallback",
          "Here it is the address of a link or a picture: write a whole one, such as"
              + " https://quay.example/picture.png, or leave these people out.");
    }
    return new Texts(
        Fallbacks.set(texts.subject(), Kind.HEADER, field, fallback),
        Fallbacks.set(texts.body(), Kind.HTML, field, fallback));
  }
}
