package app.jemble.sending;

import app.jemble.core.pace.PlanSentence;
import app.jemble.core.record.TypedDay;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Reads days as people type them, on the workspace's calendar and in its order. */
@Service
class TypedDays {

  /**
   * A day that was typed.
   *
   * @param day null when it cannot be told
   * @param words "Tue 24 Mar", with the year when it is not this one
   */
  record DayRead(@Schema(nullable = true) LocalDate day, @Schema(nullable = true) String words) {}

  private final WorkspaceService workspace;
  private final Clock clock;

  TypedDays(WorkspaceService workspace, Clock clock) {
    this.workspace = workspace;
    this.clock = clock;
  }

  /**
   * The day that was typed.
   *
   * @param lean which day is meant where the year is not written
   */
  DayRead read(String text, TypedDay.Lean lean) {
    Workspace house = workspace.current();
    LocalDate today = LocalDate.ofInstant(clock.instant(), house.zoneId());
    Optional<LocalDate> day = TypedDay.read(text, today, house.dayStyle(), lean);
    return new DayRead(day.orElse(null), day.map(d -> PlanSentence.day(d, today)).orElse(null));
  }
}
