package app.jemble.plan;

import app.jemble.access.Needs;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.access.Right;
import app.jemble.outbox.OutboxService;
import app.jemble.response.ReadingTimes;
import app.jemble.workspace.WorkspaceService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * The run sheet of a mailing: what a plan comes to, how it goes, and what is done about the rest.
 */
@RestController
@RequestMapping("/api/mailings/{id}")
class RunSheetController {

  /**
   * How a released mailing goes.
   *
   * @param hours what was planned for each hour of the workspace's clock, and what left in it
   * @param last when the last message that waits is due; null when none does
   */
  record Run(List<OutboxService.HourCount> hours, @Schema(nullable = true) Instant last) {}

  /** How many messages it was done to. */
  record RestDone(int messages) {}

  private final OpenCauses mailings;
  private final ReadyReaders ready;
  private final PlanService plans;
  private final RestService rest;
  private final OutboxService outbox;
  private final ReadingTimes times;
  private final WorkspaceService workspace;
  private final Clock clock;

  RunSheetController(
      OpenCauses mailings,
      ReadyReaders ready,
      PlanService plans,
      RestService rest,
      OutboxService outbox,
      ReadingTimes times,
      WorkspaceService workspace,
      Clock clock) {
    this.mailings = mailings;
    this.ready = ready;
    this.plans = plans;
    this.rest = rest;
    this.outbox = outbox;
    this.times = times;
    this.workspace = workspace;
    this.clock = clock;
  }

  /**
   * What a plan would come to: of a draft for everyone ready, of a released mailing for the rest.
   */
  @Needs(Right.SEE)
  @PostMapping("/plan")
  PlanView plan(@PathVariable long id, @RequestBody SendPlan plan) {
    Cause mailing = mailings.find(id);
    if (mailing.hasBeenReleased()) {
      return plans.view(mailing, plan, rest.clocks(id), rest.earliest(mailing));
    }
    Instant earliest = plans.afterHold(clock.instant());
    return plans.view(mailing, plan, ready.lately(mailing), earliest);
  }

  /** When those who are ready read, on their own clocks; nothing when too little is known. */
  @Needs(Right.SEE)
  @GetMapping("/reading-time")
  ResponseEntity<ReadingTimes.Reading> readingTime(@PathVariable long id) {
    return times
        .of(ready.people(mailings.find(id)))
        .map(ResponseEntity::ok)
        .orElseGet(() -> ResponseEntity.noContent().build());
  }

  @Needs(Right.SEE)
  @GetMapping("/run")
  Run run(@PathVariable long id) {
    mailings.find(id);
    return new Run(outbox.hours(id, workspace.current().zoneId()), outbox.lastDue(id));
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/pause")
  RestDone pause(@PathVariable long id) {
    return new RestDone(rest.pause(id));
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/resume")
  RestDone resume(@PathVariable long id) {
    return new RestDone(rest.resume(id));
  }

  /** Lets what has not left leave by another plan. */
  @Needs(Right.WRITE_TO_ONE)
  @PutMapping("/rest")
  RestDone change(@PathVariable long id, @RequestBody SendPlan plan) {
    return new RestDone(rest.change(id, plan));
  }
}
