package app.jemble.sending;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.pace.PlanSentence;
import app.jemble.core.record.DayOrder;
import app.jemble.core.record.TypedDay;
import app.jemble.core.record.TypedTime;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reads days and times as people type them, on the workspace's calendar and in its order. */
@RestController
@RequestMapping("/api/typed")
class TypedController {

  /**
   * A day that was typed.
   *
   * @param day null when it cannot be told
   * @param words "Tue 24 Mar", with the year when it is not this one
   */
  record DayRead(@Schema(nullable = true) LocalDate day, @Schema(nullable = true) String words) {}

  /**
   * A time that was typed.
   *
   * @param time null when it cannot be told
   */
  record TimeRead(@Schema(nullable = true) LocalTime time) {}

  private final WorkspaceService workspace;
  private final Clock clock;

  TypedController(WorkspaceService workspace, Clock clock) {
    this.workspace = workspace;
    this.clock = clock;
  }

  /**
   * The day that was typed.
   *
   * @param lean which day is meant where the year is not written
   */
  @Needs(Right.SEE)
  @GetMapping("/day")
  DayRead day(@RequestParam String text, @RequestParam(defaultValue = "AHEAD") TypedDay.Lean lean) {
    Workspace house = workspace.current();
    LocalDate today = LocalDate.ofInstant(clock.instant(), house.zoneId());
    Optional<LocalDate> day = TypedDay.read(text, today, DayOrder.of(house.locale()), lean);
    return new DayRead(day.orElse(null), day.map(d -> PlanSentence.day(d, today)).orElse(null));
  }

  @Needs(Right.SEE)
  @GetMapping("/time")
  TimeRead time(@RequestParam String text) {
    return new TimeRead(TypedTime.read(text).orElse(null));
  }
}
