package app.jemble.plan;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reads a plan that was typed as a sentence. */
@RestController
@RequestMapping("/api/typed/plan")
class PlanSentenceController {

  private final PlanSentences sentences;

  PlanSentenceController(PlanSentences sentences) {
    this.sentences = sentences;
  }

  @Needs(Right.SEE)
  @GetMapping
  SendPlan read(@RequestParam String text) {
    return sentences.read(text);
  }
}
