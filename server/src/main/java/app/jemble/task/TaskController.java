package app.jemble.task;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.record.Related;
import app.jemble.filter.AskedNow;
import app.jemble.filter.ListService;
import app.jemble.filter.Selection;
import java.time.LocalDate;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is done with many tasks at once. */
@RestController
@RequestMapping("/api/tasks")
class TaskController {

  /** Which tasks, and whether they are done now. */
  record Done(Selection which, boolean done) {}

  /** Which tasks, and their new day. */
  record Moved(Selection which, LocalDate dueOn) {}

  /** Which tasks, and whose they are now. */
  record HandedOver(Selection which, String owner) {}

  /** The tasks that changed. */
  record Changed(List<Long> tasks) {}

  private final TaskService tasks;
  private final ListService lists;
  private final AskedNow asked;

  TaskController(TaskService tasks, ListService lists, AskedNow asked) {
    this.tasks = tasks;
    this.lists = lists;
    this.asked = asked;
  }

  @Needs(Right.WORK)
  @PostMapping("/done")
  Changed done(@RequestBody Done act) {
    return new Changed(tasks.setDone(ids(act.which()), act.done()));
  }

  @Needs(Right.WORK)
  @PostMapping("/move")
  Changed move(@RequestBody Moved act) {
    List<Long> ids = ids(act.which());
    tasks.move(ids, act.dueOn());
    return new Changed(ids);
  }

  @Needs(Right.WORK)
  @PostMapping("/hand-over")
  Changed handOver(@RequestBody HandedOver act) {
    List<Long> ids = ids(act.which());
    tasks.handOver(ids, act.owner());
    return new Changed(ids);
  }

  private List<Long> ids(Selection which) {
    return lists.ids(Related.TASK, which.filter(), which.which(), asked.byMe());
  }
}
