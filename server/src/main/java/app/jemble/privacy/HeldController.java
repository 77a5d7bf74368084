package app.jemble.privacy;

import app.jemble.access.AccessService;
import app.jemble.access.Needs;
import app.jemble.core.access.About;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.privacy.HeldOfPerson.Held;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** All that is held of one person, as they may ask for it. */
@RestController
class HeldController {

  private final HeldOfPerson held;
  private final HeldFile file;
  private final AccessService access;
  private final HouseHistory history;

  HeldController(HeldOfPerson held, HeldFile file, AccessService access, HouseHistory history) {
    this.held = held;
    this.file = file;
    this.access = access;
    this.history = history;
  }

  @Needs(Right.EXPORT)
  @Noted(value = "Downloaded all that is held of a person", kind = EventKind.EXPORT)
  @GetMapping("/api/people/{id}/held.zip")
  ResponseEntity<StreamingResponseBody> download(@PathVariable("id") PersonId id) {
    access.must(Right.EXPORT, new About.People(1));
    Held all = held.find(id);
    history.tell(all.name(), "", "");
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"held-" + id + ".zip\"")
        .header(HttpHeaders.CONTENT_TYPE, "application/zip")
        .body(out -> file.write(all, out));
  }
}
