package app.jemble.letterhead;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.letterhead.LetterheadService.LetterheadDraft;
import app.jemble.letterhead.LetterheadService.SavedLetterhead;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/letterheads")
class LetterheadController {

  private final LetterheadService letterheads;

  LetterheadController(LetterheadService letterheads) {
    this.letterheads = letterheads;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<SavedLetterhead> all() {
    return letterheads.all();
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}")
  SavedLetterhead find(@PathVariable long id) {
    return letterheads.find(id);
  }

  @Needs(Right.TEMPLATES)
  @PostMapping
  SavedLetterhead create(@RequestBody LetterheadDraft draft) {
    return letterheads.create(draft);
  }

  @Needs(Right.TEMPLATES)
  @PutMapping("/{id}")
  SavedLetterhead save(@PathVariable long id, @RequestBody LetterheadDraft draft) {
    return letterheads.save(id, draft);
  }

  @Needs(Right.TEMPLATES)
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id) {
    letterheads.remove(id);
  }
}
