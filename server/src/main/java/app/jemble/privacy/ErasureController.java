package app.jemble.privacy;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.privacy.ErasureService.ErasureLook;
import app.jemble.privacy.ErasureService.ToErase;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** People are erased: seen before, done, and certified after. */
@RestController
class ErasureController {

  private static final int LATEST = 200;

  /**
   * @param askedOn when the person asked for it
   * @param neverAgain whether marks of their addresses are kept, so that nobody writes there
   */
  record ErasureWanted(@Schema(nullable = true) LocalDate askedOn, boolean neverAgain) {}

  /**
   * That somebody was erased.
   *
   * @param marked how many addresses are kept as marks
   */
  record Certificate(
      long number,
      PersonId record,
      Instant at,
      String by,
      @Schema(nullable = true) LocalDate askedOn,
      int marked,
      List<HeldFigure> figures) {}

  private final ErasureService erasures;
  private final Certificates certificates;
  private final HouseHistory history;

  ErasureController(ErasureService erasures, Certificates certificates, HouseHistory history) {
    this.erasures = erasures;
    this.certificates = certificates;
    this.history = history;
  }

  /** What would be erased. */
  @Needs(Right.SETTINGS)
  @GetMapping("/api/people/{id}/erasure")
  ErasureLook look(@PathVariable("id") PersonId id) {
    return erasures.look(id);
  }

  @Needs(Right.SETTINGS)
  @Noted(value = "Erased a person", kind = EventKind.PRIVACY)
  @PostMapping("/api/people/{id}/erasure")
  Certificate erase(@PathVariable("id") PersonId id, @RequestBody ErasureWanted wanted) {
    long number = erasures.erase(id, new ToErase(wanted.askedOn(), wanted.neverAgain()));
    history.tell("certificate no. " + number, "", "");
    return certificates.find(number);
  }

  /** The latest first. */
  @Needs(Right.SETTINGS)
  @GetMapping("/api/erasures")
  List<Certificate> all() {
    return certificates.latest(LATEST);
  }

  @Needs(Right.SETTINGS)
  @GetMapping("/api/erasures/{number}/certificate.pdf")
  ResponseEntity<byte[]> paper(@PathVariable("number") long number) throws IOException {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"erasure-" + number + ".pdf\"")
        .body(certificates.paper(number));
  }
}
