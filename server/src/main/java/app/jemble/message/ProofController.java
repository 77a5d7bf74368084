package app.jemble.message;

import app.jemble.access.Needs;
import app.jemble.cause.OpenCauses;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.document.DocumentFile;
import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Each person's proof, and a copy of it to a colleague. */
@RestController
@RequestMapping("/api/mailings/{id}")
class ProofController {

  /**
   * @param recordId about which of the person's records; null for the newest
   * @param colleagueId who gets it; null for oneself
   */
  record CopyTo(
      PersonId personId,
      @Schema(nullable = true) Long recordId,
      @Schema(nullable = true) Long colleagueId) {}

  record CopySent(String address) {}

  private final OpenCauses mailings;
  private final ProofService proofs;

  ProofController(OpenCauses mailings, ProofService proofs) {
    this.mailings = mailings;
    this.proofs = proofs;
  }

  @Needs(Right.SEE)
  @GetMapping("/proofs/{personId}")
  ProofService.Proof proof(
      @PathVariable long id,
      @PathVariable PersonId personId,
      @RequestParam(defaultValue = "0") long record) {
    return proofs.proof(mailings.find(id), personId, record);
  }

  /** Somebody's letter on paper as a file of its own. */
  @Needs(Right.SEE)
  @GetMapping(path = "/proofs/{personId}/sheets", produces = MediaType.APPLICATION_PDF_VALUE)
  byte[] sheets(
      @PathVariable long id,
      @PathVariable PersonId personId,
      @RequestParam(defaultValue = "0") long record) {
    return proofs.sheets(mailings.find(id), personId, record);
  }

  /** Somebody's letter that is made of a document. */
  @Needs(Right.SEE)
  @GetMapping(path = "/proofs/{personId}/document", produces = DocumentFile.TYPE)
  byte[] document(
      @PathVariable long id,
      @PathVariable PersonId personId,
      @RequestParam(defaultValue = "0") long record) {
    return proofs.document(mailings.find(id), personId, record);
  }

  /**
   * A page of it as a picture.
   *
   * @param page from 1
   */
  @Needs(Right.SEE)
  @GetMapping(path = "/proofs/{personId}/sheets/{page}", produces = MediaType.IMAGE_PNG_VALUE)
  byte[] sheet(
      @PathVariable long id,
      @PathVariable PersonId personId,
      @PathVariable int page,
      @RequestParam(defaultValue = "0") long record) {
    return PaperProofs.picture(sheets(id, personId, record), page);
  }

  @Needs(Right.WRITE_TO_ONE)
  @PostMapping("/copy")
  CopySent copy(@PathVariable long id, @RequestBody CopyTo copy) {
    return new CopySent(
        proofs.sendCopy(
            mailings.find(id),
            copy.personId(),
            copy.recordId() == null ? 0 : copy.recordId(),
            copy.colleagueId()));
  }
}
