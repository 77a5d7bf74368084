package app.jemble.plan;

import app.jemble.core.pace.PlanException;
import app.jemble.core.pace.PlanSentence;
import app.jemble.core.pace.PlanSentenceReader;
import app.jemble.problem.Problem;
import app.jemble.workspace.Workspace;
import app.jemble.workspace.WorkspaceService;
import java.time.Clock;
import java.time.LocalDateTime;
import org.springframework.stereotype.Service;

/** Plans as sentences, on the workspace's clock. */
@Service
class PlanSentences {

  private final WorkspaceService workspace;
  private final Clock clock;

  PlanSentences(WorkspaceService workspace, Clock clock) {
    this.workspace = workspace;
    this.clock = clock;
  }

  String of(SendPlan plan) {
    Workspace house = workspace.current();
    return PlanSentence.of(plan.wish(), now(house).toLocalDate(), house.zoneId());
  }

  /** The plan that was typed; a problem that names what is not understood. */
  SendPlan read(String text) {
    Workspace house = workspace.current();
    try {
      return SendPlan.of(
          PlanSentenceReader.read(text, now(house), house.dayStyle(), house.zoneId()));
    } catch (PlanException notUnderstood) {
      throw Problem.wrong("text", notUnderstood.getMessage());
    }
  }

  private LocalDateTime now(Workspace house) {
    return LocalDateTime.ofInstant(clock.instant(), house.zoneId());
  }
}
