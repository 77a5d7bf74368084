package app.jemble.print;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.reach.Reach;
import app.jemble.core.record.PersonId;
import app.jemble.filter.Selection;
import app.jemble.history.EventKind;
import app.jemble.history.Noted;
import app.jemble.print.sheet.DesignBody;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.HttpHeaders;
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

/** Print runs. */
@RestController
@RequestMapping("/api/print-runs")
class PrintController {

  /**
   * Whom a run is begun for.
   *
   * @param name under which the filter is kept, if it is
   * @param design left out for addresses on the usual sheet
   */
  record NewPrintRun(
      @NotNull Selection who,
      @Schema(nullable = true) String name,
      @Schema(nullable = true) @Valid DesignBody design) {}

  record PrintRunBegun(long id) {}

  /**
   * @param words left out for what all others say
   */
  record OwnLabel(@Schema(nullable = true) String words) {}

  /**
   * @param day left out when it was not
   */
  record OnDay(@Schema(nullable = true) LocalDate day) {}

  private final PrintBeginnings beginnings;
  private final PrintRunService runs;
  private final RunViews views;
  private final PrintMapper mapper;
  private final PrintJobs jobs;
  private final LabelWriter labels;
  private final PrintFiles files;

  PrintController(
      PrintBeginnings beginnings,
      PrintRunService runs,
      RunViews views,
      PrintMapper mapper,
      PrintJobs jobs,
      LabelWriter labels,
      PrintFiles files) {
    this.beginnings = beginnings;
    this.runs = runs;
    this.views = views;
    this.mapper = mapper;
    this.jobs = jobs;
    this.labels = labels;
    this.files = files;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<PrintMapper.PrintRunRow> printRuns() {
    return mapper.all();
  }

  @Needs(Right.PRINT)
  @PostMapping
  PrintRunBegun begin(@RequestBody @Valid NewPrintRun body) {
    return new PrintRunBegun(beginnings.create(body.who(), body.name(), body.design()));
  }

  /** For those whom a mailing does not reach. */
  @Needs(Right.PRINT)
  @PostMapping("/of-mailing/{mailingId}")
  PrintRunBegun beginOfMailing(@PathVariable long mailingId, @RequestParam Reach reason) {
    return new PrintRunBegun(beginnings.createFor(mailingId, reason));
  }

  @Needs(Right.SEE)
  @GetMapping("/{id}")
  RunView printRun(@PathVariable long id) {
    return views.view(runs.find(id));
  }

  @Needs(Right.PRINT)
  @PutMapping("/{id}")
  RunView write(@PathVariable long id, @RequestBody @Valid PrintRunBody body) {
    runs.write(id, body);
    return printRun(id);
  }

  @Needs(Right.PRINT)
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void discard(@PathVariable long id) {
    runs.discard(id);
  }

  @Needs(Right.PRINT)
  @PostMapping("/{id}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@PathVariable long id) {
    runs.restore(id);
  }

  /** A page of it as it is printed. */
  @Needs(Right.SEE)
  @GetMapping("/{id}/pages/{page}")
  SheetPage page(@PathVariable long id, @PathVariable int page) {
    return views.page(runs.find(id), page);
  }

  /** Who of a draft gets no label, for one reason; the first 200 of them. */
  @Needs(Right.SEE)
  @GetMapping("/{id}/without")
  List<RunPeople.Without> without(@PathVariable long id, @RequestParam Reach reason) {
    return views.without(runs.find(id), reason);
  }

  @Needs(Right.PRINT)
  @PutMapping("/{id}/labels/{personId}")
  RunView own(@PathVariable long id, @PathVariable PersonId personId, @RequestBody OwnLabel label) {
    runs.own(id, personId, label.words());
    return printRun(id);
  }

  @Needs(Right.PRINT)
  @Noted(value = "Printed labels", kind = EventKind.EXPORT)
  @PostMapping("/{id}/print")
  RunView print(@PathVariable long id) {
    runs.print(id);
    jobs.begin(id);
    return printRun(id);
  }

  @Needs(Right.PRINT)
  @PostMapping("/{id}/cancel")
  RunView cancel(@PathVariable long id) {
    runs.cancel(id);
    return printRun(id);
  }

  /**
   * The file as it was printed.
   *
   * @param from the first page, from 1; left out for all
   * @param to the last page
   */
  @Needs(Right.PRINT)
  @Noted(value = "Downloaded what was printed", kind = EventKind.EXPORT)
  @GetMapping(path = "/{id}/file", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<StreamingResponseBody> file(
      @PathVariable long id,
      @RequestParam(required = false) Integer from,
      @RequestParam(required = false) Integer to) {
    PrintRun run = runs.find(id);
    return files.answer(run, from, to, "labels-" + id);
  }

  /** Outlines and rulers, to see how far a printer is off. */
  @Needs(Right.SEE)
  @GetMapping(path = "/{id}/test-page", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> testPage(@PathVariable long id) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"test-page.pdf\"")
        .body(labels.testPage(runs.find(id)));
  }

  @Needs(Right.PRINT)
  @PutMapping("/{id}/posted")
  RunView posted(@PathVariable long id, @RequestBody OnDay on) {
    runs.post(id, on.day());
    return printRun(id);
  }

  @Needs(Right.PRINT)
  @PutMapping("/{id}/returned/{personId}")
  RunView returned(@PathVariable long id, @PathVariable PersonId personId, @RequestBody OnDay on) {
    runs.returned(id, personId, on.day());
    return printRun(id);
  }
}
