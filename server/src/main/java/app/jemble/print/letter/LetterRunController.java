package app.jemble.print.letter;

import app.jemble.access.Needs;
import app.jemble.cause.Cause;
import app.jemble.core.access.Right;
import app.jemble.core.message.MessageId;
import app.jemble.core.paper.PrintOrder;
import app.jemble.core.record.PersonId;
import app.jemble.document.DocumentFile;
import app.jemble.history.EventKind;
import app.jemble.history.Noted;
import app.jemble.print.LetterItems;
import app.jemble.print.LetterItems.Printed;
import app.jemble.print.PrintJobs;
import app.jemble.print.PrintRun;
import app.jemble.print.RunState;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The letters of mailings, printed by the run. */
@RestController
@RequestMapping("/api")
class LetterRunController {

  /**
   * The letters of a mailing.
   *
   * @param name its name
   * @param toPrint how many wait to be printed
   */
  record Letters(long mailingId, String name, int toPrint, List<LetterRun> runs) {}

  /**
   * Letters that are printed together.
   *
   * @param letters how many
   * @param done how many of them are in the file, while it is being printed
   * @param pages of the file, blank ones included; of documents how many letters
   * @param sheets of paper that it takes; 0 of documents
   * @param ofDocument whether its letters are made of a document
   * @param postedOn the day on which it was posted, or null
   */
  record LetterRun(
      long id,
      String name,
      RunState state,
      int letters,
      int done,
      String trouble,
      int pages,
      int sheets,
      boolean duplex,
      boolean ofDocument,
      Instant createdAt,
      @Schema(nullable = true) Instant printedAt,
      @Schema(nullable = true) LocalDate postedOn) {

    static LetterRun of(PrintRun run) {
      return new LetterRun(
          run.id(),
          run.name(),
          run.state(),
          run.toPrint(),
          run.done(),
          run.trouble(),
          run.pages(),
          run.sheets(),
          run.duplex(),
          run.isOfDocument(),
          run.createdAt(),
          run.printedAt(),
          run.postedOn());
    }
  }

  /**
   * How to print.
   *
   * @param duplex whether each letter begins on a sheet of its own when both sides are printed
   */
  record LettersPrint(boolean duplex, @NotNull PrintOrder order) {}

  record PostedOn(@NotNull LocalDate day) {}

  /**
   * @param day left out when it did not
   */
  record CameBackOn(@Schema(nullable = true) LocalDate day) {}

  private final LetterRuns runs;
  private final PrintJobs jobs;
  private final LetterFiles files;
  private final LetterItems items;

  LetterRunController(LetterRuns runs, PrintJobs jobs, LetterFiles files, LetterItems items) {
    this.runs = runs;
    this.jobs = jobs;
    this.files = files;
    this.items = items;
  }

  @Needs(Right.SEE)
  @GetMapping("/mailings/{id}/letters")
  Letters letters(@PathVariable long id) {
    return letters(runs.cause(id));
  }

  /** Mailings whose letters are not all posted. */
  @Needs(Right.SEE)
  @GetMapping("/letters")
  List<Letters> all() {
    return runs.causes().stream().map(this::letters).toList();
  }

  private Letters letters(Cause cause) {
    return new Letters(
        cause.id(),
        cause.name(),
        runs.waiting(cause.id()).size(),
        runs.ofCause(cause.id()).stream().map(LetterRun::of).toList());
  }

  /** Prints all that wait. */
  @Needs(Right.PRINT)
  @Noted(value = "Printed letters", kind = EventKind.EXPORT)
  @PostMapping("/mailings/{id}/letters")
  LetterRun print(@PathVariable long id, @RequestBody @Valid LettersPrint how) {
    long run = runs.begin(id, how.duplex(), how.order());
    jobs.begin(run);
    return letterRun(run);
  }

  @Needs(Right.SEE)
  @GetMapping("/letter-runs/{id}")
  LetterRun letterRun(@PathVariable long id) {
    return LetterRun.of(runs.find(id));
  }

  /** Who is in it, as it was printed. */
  @Needs(Right.SEE)
  @GetMapping("/letter-runs/{id}/letters")
  List<Printed> printed(@PathVariable long id) {
    return items.all(runs.find(id).id());
  }

  /** One letter, as it was printed. */
  @Needs(Right.SEE)
  @GetMapping(
      path = "/letter-runs/{id}/letters/{messageId}",
      produces = {MediaType.APPLICATION_PDF_VALUE, DocumentFile.TYPE})
  ResponseEntity<StreamingResponseBody> letter(
      @PathVariable long id, @PathVariable MessageId messageId) {
    PrintRun run = runs.find(id);
    Printed letter = items.one(run.id(), messageId);
    return files.answer(run, letter);
  }

  /** Lets go of what is not posted: its letters are to be printed again. */
  @Needs(Right.PRINT)
  @DeleteMapping("/letter-runs/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void drop(@PathVariable long id) {
    runs.drop(id);
  }

  @Needs(Right.PRINT)
  @PutMapping("/letter-runs/{id}/posted")
  LetterRun posted(@PathVariable long id, @RequestBody @Valid PostedOn on) {
    runs.post(id, on.day());
    return letterRun(id);
  }

  @Needs(Right.PRINT)
  @PutMapping("/letter-runs/{id}/returned/{personId}")
  LetterRun returned(
      @PathVariable long id, @PathVariable PersonId personId, @RequestBody CameBackOn on) {
    runs.returned(id, personId, on.day());
    return letterRun(id);
  }

  /**
   * The file as it was printed.
   *
   * @param from the first page, or of documents the first letter, from 1; left out for all
   * @param to the last
   */
  @Needs(Right.PRINT)
  @Noted(value = "Downloaded printed letters", kind = EventKind.EXPORT)
  @GetMapping(
      path = "/letter-runs/{id}/file",
      produces = {MediaType.APPLICATION_PDF_VALUE, DocumentFile.TYPE})
  ResponseEntity<StreamingResponseBody> file(
      @PathVariable long id,
      @RequestParam(required = false) Integer from,
      @RequestParam(required = false) Integer to) {
    PrintRun run = runs.find(id);
    return files.answer(run, from, to);
  }

  /**
   * Each letter as a file of its own.
   *
   * @param names what each is called, with merge fields; left out for their readers' names
   */
  @Needs(Right.PRINT)
  @Noted(value = "Downloaded letters, a file for each", kind = EventKind.EXPORT)
  @GetMapping(path = "/letter-runs/{id}/each", produces = "application/zip")
  ResponseEntity<StreamingResponseBody> each(
      @PathVariable long id, @RequestParam(required = false) String names) {
    return files.each(runs.find(id), names);
  }
}
