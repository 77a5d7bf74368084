package app.jemble.colleague;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The first administrator of a house that has nobody yet. */
@RestController
@RequestMapping("/api/first-start")
class FirstStartController {

  record FirstLink(String token) {}

  private final FirstStart start;

  FirstStartController(FirstStart start) {
    this.start = start;
  }

  /** A problem when the link is no longer good. */
  @Needs(Right.NONE)
  @PostMapping("/look")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void look(@RequestBody FirstLink link) {
    start.mustBeGood(link.token());
  }

  @Needs(Right.NONE)
  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void make(@RequestBody FirstStart.First first) {
    start.make(first);
  }
}
