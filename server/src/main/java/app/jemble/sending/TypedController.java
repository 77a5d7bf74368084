package app.jemble.sending;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.record.TypedDay;
import app.jemble.core.record.TypedTime;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalTime;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Days and times as people type them. */
@RestController
@RequestMapping("/api/typed")
class TypedController {

  /**
   * A time that was typed.
   *
   * @param time null when it cannot be told
   */
  record TimeRead(@Schema(nullable = true) LocalTime time) {}

  private final TypedDays days;

  TypedController(TypedDays days) {
    this.days = days;
  }

  @Needs(Right.SEE)
  @GetMapping("/day")
  TypedDays.DayRead day(
      @RequestParam String text, @RequestParam(defaultValue = "AHEAD") TypedDay.Lean lean) {
    return days.read(text, lean);
  }

  @Needs(Right.SEE)
  @GetMapping("/time")
  TimeRead time(@RequestParam String text) {
    return new TimeRead(TypedTime.read(text).orElse(null));
  }
}
