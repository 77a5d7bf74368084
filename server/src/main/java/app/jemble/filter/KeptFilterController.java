package app.jemble.filter;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Kept filters, filters as they are typed, and how a list is set up. */
@RestController
@RequestMapping("/api")
class KeptFilterController {

  record KeptId(long id) {}

  record KeptName(String name, boolean shared) {}

  /** How a list is set up; null when the colleague has never set it up. */
  record OwnLayout(@Schema(nullable = true) KeptFilters.Layout layout) {}

  private final KeptFilters kept;
  private final TypedFilters typed;

  KeptFilterController(KeptFilters kept, TypedFilters typed) {
    this.kept = kept;
    this.typed = typed;
  }

  @Needs(Right.SEE)
  @GetMapping("/filters")
  List<KeptFilters.Kept> all(@RequestParam String subject) {
    return kept.all(subject);
  }

  /** What was typed, read as a filter. */
  @Needs(Right.SEE)
  @GetMapping("/filters/typed")
  TypedFilters.Read typed(@RequestParam String subject, @RequestParam String text) {
    return typed.read(subject, text);
  }

  @Needs(Right.SEE)
  @PostMapping("/filters")
  KeptId keep(@RequestBody KeptFilters.KeptDraft draft) {
    return new KeptId(kept.keep(draft));
  }

  @Needs(Right.SEE)
  @PutMapping("/filters/{id}")
  void rename(@PathVariable long id, @RequestBody KeptName name) {
    kept.rename(id, name.name(), name.shared());
  }

  @Needs(Right.SEE)
  @DeleteMapping("/filters/{id}")
  void remove(@PathVariable long id) {
    kept.remove(id);
  }

  @Needs(Right.SEE)
  @GetMapping("/layouts/{subject}")
  OwnLayout layout(@PathVariable String subject) {
    return new OwnLayout(kept.layout(subject));
  }

  @Needs(Right.SEE)
  @PutMapping("/layouts/{subject}")
  void setLayout(@PathVariable String subject, @RequestBody KeptFilters.Layout layout) {
    kept.setLayout(subject, layout);
  }
}
