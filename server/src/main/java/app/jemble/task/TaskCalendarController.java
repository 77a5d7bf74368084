package app.jemble.task;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The calendar of a colleague's tasks, and its address. */
@RestController
class TaskCalendarController {

  /**
   * Where the calendar is.
   *
   * @param address null when there is none
   */
  record TaskCalendarAddress(@Schema(nullable = true) String address) {}

  private final TaskCalendar calendar;

  TaskCalendarController(TaskCalendar calendar) {
    this.calendar = calendar;
  }

  @Needs(Right.SEE)
  @GetMapping("/api/tasks/calendar")
  TaskCalendarAddress address() {
    return new TaskCalendarAddress(calendar.address().orElse(null));
  }

  @Needs(Right.SEE)
  @PostMapping("/api/tasks/calendar")
  TaskCalendarAddress renew() {
    return new TaskCalendarAddress(calendar.renew());
  }

  @Needs(Right.SEE)
  @DeleteMapping("/api/tasks/calendar")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove() {
    calendar.remove();
  }

  /** Fetched by calendar programs, which sign in nowhere: the key is the right to it. */
  @GetMapping("/calendar/{key}.ics")
  ResponseEntity<String> calendar(@PathVariable String key) {
    return calendar
        .calendar(key)
        .map(
            text ->
                ResponseEntity.ok()
                    .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                    .cacheControl(CacheControl.noStore())
                    .body(text))
        .orElseGet(() -> ResponseEntity.status(HttpStatus.NOT_FOUND).build());
  }
}
