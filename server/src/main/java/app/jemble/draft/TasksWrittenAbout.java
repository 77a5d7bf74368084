package app.jemble.draft;

import app.jemble.audience.Audiences;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.record.Related;
import app.jemble.problem.Problem;
import app.jemble.release.ReleasedRecords;
import app.jemble.task.TaskService;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** To write about a task is often to have done it. */
@Service
class TasksWrittenAbout {

  private final OpenCauses causes;
  private final Audiences audiences;
  private final ReleasedRecords released;
  private final TaskService tasks;

  TasksWrittenAbout(
      OpenCauses causes, Audiences audiences, ReleasedRecords released, TaskService tasks) {
    this.causes = causes;
    this.audiences = audiences;
    this.released = released;
    this.tasks = tasks;
  }

  /** Marks the tasks done that a released mailing's messages are about; answers those it did. */
  @Transactional
  List<Long> done(long mailingId) {
    Cause mailing = causes.find(mailingId);
    if (audiences.of(mailing).recordKind() != Related.TASK) {
      throw Problem.conflict("This mailing is not about tasks.");
    }
    if (!mailing.hasBeenReleased()) {
      throw Problem.conflict("Nothing has been released yet, so its tasks stay open.");
    }
    return tasks.setDone(released.of(mailingId), true);
  }
}
