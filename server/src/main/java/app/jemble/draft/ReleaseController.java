package app.jemble.draft;

import app.jemble.access.Needs;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.access.Right;
import app.jemble.release.ReleaseJobs;
import app.jemble.release.ReleaseService;
import app.jemble.release.ReleaseUndoing;
import java.util.List;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The acts that let a mailing go, take it back, and withdraw what has not left. */
@RestController
@RequestMapping("/api/mailings/{id}")
class ReleaseController {

  record Version(int version) {}

  record Withdrawn(int messages) {}

  /** The tasks that are done now and were not before. */
  record TasksDone(List<Long> tasks) {}

  private final OpenCauses causes;
  private final ReleaseService releases;
  private final ReleaseUndoing undoing;
  private final ReleaseJobs writing;
  private final WholeMailings whole;
  private final TasksWrittenAbout tasks;

  ReleaseController(
      OpenCauses causes,
      ReleaseService releases,
      ReleaseUndoing undoing,
      ReleaseJobs writing,
      WholeMailings whole,
      TasksWrittenAbout tasks) {
    this.causes = causes;
    this.releases = releases;
    this.undoing = undoing;
    this.writing = writing;
    this.whole = whole;
    this.tasks = tasks;
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/release")
  WholeMailing release(@PathVariable long id, @RequestBody Version version) {
    releases.release(id, version.version());
    writing.begin(id);
    return whole(id);
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/take-back")
  WholeMailing takeBack(@PathVariable long id) {
    undoing.takeBack(id);
    return whole(id);
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/withdraw")
  Withdrawn withdraw(@PathVariable long id) {
    return new Withdrawn(undoing.withdraw(id));
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/tasks-done")
  TasksDone tasksDone(@PathVariable long id) {
    return new TasksDone(tasks.done(id));
  }

  private WholeMailing whole(long id) {
    Cause mailing = causes.find(id);
    Long follows = mailing.followsId();
    return whole.of(mailing, follows == null ? null : causes.nameOf(follows));
  }
}
