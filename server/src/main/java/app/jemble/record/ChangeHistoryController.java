package app.jemble.record;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Takes back what was done. */
@RestController
@RequestMapping("/api/changes")
class ChangeHistoryController {

  private final ChangeService changes;

  ChangeHistoryController(ChangeService changes) {
    this.changes = changes;
  }

  @Needs(Right.WORK)
  @PostMapping("/{id}/undo")
  ChangeService.Undone undo(@PathVariable long id) {
    return changes.undo(id);
  }
}
