package app.jemble.record;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Takes back what was done. */
@RestController
@RequestMapping("/api/acts")
class ActHistoryController {

  private final ChangeService changes;

  ActHistoryController(ChangeService changes) {
    this.changes = changes;
  }

  @Needs(Right.WRITE)
  @PostMapping("/{id}/undo")
  ChangeService.Undone undo(@PathVariable long id) {
    return changes.undo(id);
  }
}
