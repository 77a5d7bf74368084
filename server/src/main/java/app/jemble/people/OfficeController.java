package app.jemble.people;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Offices that people hold. */
@RestController
@RequestMapping("/api")
class OfficeController {

  record OfficeBegun(long act) {}

  /** The last day, or null for an office that goes on. */
  record OfficeEnd(@Schema(nullable = true) LocalDate until) {}

  private final OfficeService offices;

  OfficeController(OfficeService offices) {
    this.offices = offices;
  }

  @Needs(Right.SEE)
  @GetMapping("/offices")
  List<String> names() {
    return offices.names();
  }

  @Needs(Right.CHANGE_PEOPLE)
  @PostMapping("/people/{person}/offices")
  OfficeBegun begin(@PathVariable PersonId person, @RequestBody OfficeService.Draft office) {
    return new OfficeBegun(offices.begin(person, office));
  }

  @Needs(Right.CHANGE_PEOPLE)
  @PutMapping("/people/{person}/offices/{id}")
  void end(@PathVariable PersonId person, @PathVariable long id, @RequestBody OfficeEnd end) {
    offices.end(person, id, end.until());
  }
}
