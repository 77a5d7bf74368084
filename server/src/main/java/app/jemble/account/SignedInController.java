package app.jemble.account;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Where a colleague is signed in: they see it, and end what they do not know. */
@RestController
@RequestMapping("/api/sessions")
class SignedInController {

  /**
   * One session of the colleague who asks.
   *
   * @param begunAt when they signed in; it ends a day later however busy it was
   * @param usedAt when something was last asked in it
   * @param current the one that asks
   */
  record SignedIn(String id, Instant begunAt, Instant usedAt, boolean current) {}

  private final SessionMapper mapper;

  SignedInController(SessionMapper mapper) {
    this.mapper = mapper;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<SignedIn> sessions(
      @Parameter(hidden = true) Principal who, @Parameter(hidden = true) HttpSession current) {
    return mapper.sessions(who.getName(), current.getId(), current.getLastAccessedTime()).stream()
        .map(
            s ->
                new SignedIn(
                    s.id(),
                    Instant.ofEpochMilli(s.begunMillis()),
                    Instant.ofEpochMilli(s.usedMillis()),
                    s.current()))
        .toList();
  }

  @Needs(Right.SEE)
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(@Parameter(hidden = true) Principal who, @PathVariable String id) {
    if (mapper.end(who.getName(), id) == 0) {
      throw Problem.notFound("That session has ended already.");
    }
  }
}
