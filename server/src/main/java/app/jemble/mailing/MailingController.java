package app.jemble.mailing;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The mailings that are open to whoever asks. */
@RestController
@RequestMapping("/api/mailings")
class MailingController {

  private final MailingService mailings;

  MailingController(MailingService mailings) {
    this.mailings = mailings;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<MailingRow> all(@RequestParam(required = false) Long template) {
    return mailings.all(template);
  }
}
