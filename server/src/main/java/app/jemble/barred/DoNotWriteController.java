package app.jemble.barred;

import app.jemble.access.Needs;
import app.jemble.barred.DoNotWriteMapper.Listed;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.exchange.CsvOut;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Addresses that are never written to, and why. */
@RestController
@RequestMapping("/api/do-not-write")
class DoNotWriteController {

  private static final int PAGE = 100;
  private static final int LIFTED = 20;

  /**
   * An address of the list.
   *
   * @param source who put it there
   * @param liftable whether an administrator may take it off
   */
  @Schema(name = "DoNotWriteEntry")
  record Entry(
      String address,
      String reason,
      Instant since,
      String source,
      String note,
      boolean liftable,
      @Schema(nullable = true) PersonId personId,
      @Schema(nullable = true) String person) {}

  /** How many addresses stand there for which reason, and what was taken off of late. */
  record DoNotWriteSummary(
      List<DoNotWriteMapper.ReasonCount> counts, List<DoNotWriteMapper.Lifted> lifted) {}

  /**
   * @param reason asked or by hand
   */
  record ToAdd(
      String address,
      @Schema(nullable = true) String reason,
      @Schema(nullable = true) String note) {}

  record ToLift(String address, String note) {}

  private final DoNotWriteMapper mapper;
  private final DoNotWriteService service;
  private final HouseHistory history;

  DoNotWriteController(DoNotWriteMapper mapper, DoNotWriteService service, HouseHistory history) {
    this.mapper = mapper;
    this.service = service;
    this.history = history;
  }

  /** The latest first; the next page begins after an address and its instant. */
  @Needs(Right.SEE)
  @GetMapping
  List<Entry> page(
      @RequestParam(defaultValue = "") String find,
      @RequestParam(required = false) String reason,
      @RequestParam(required = false) Instant since,
      @RequestParam(required = false) String address) {
    return mapper.page(find.strip(), reason, since, address, PAGE).stream()
        .map(DoNotWriteController::entry)
        .toList();
  }

  private static Entry entry(Listed k) {
    return new Entry(
        k.address(),
        k.reason(),
        k.since(),
        source(k),
        k.note(),
        DoNotWriteService.isLiftable(k.reason()),
        k.personId(),
        k.person());
  }

  private static String source(Listed listed) {
    if (listed.by() != null) {
      return listed.by();
    }
    return listed.reason().equals("complaint") ? "the mail service" : "mail that came back";
  }

  @Needs(Right.SEE)
  @GetMapping("/summary")
  DoNotWriteSummary summary() {
    return new DoNotWriteSummary(mapper.counts(), mapper.lifted(LIFTED));
  }

  @Needs(Right.CHANGE_PEOPLE)
  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void add(@RequestBody ToAdd wanted) {
    service.add(wanted.address(), wanted.reason(), wanted.note());
  }

  @Needs(Right.SETTINGS)
  @Noted("Took an address off the do-not-write list")
  @PostMapping("/lift")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void lift(@RequestBody ToLift wanted) {
    history.tell(wanted.address(), "", wanted.note());
    service.lift(wanted.address(), wanted.note());
  }

  /** Adds the addresses of a CSV file, or of plain lines. */
  @Needs(Right.CHANGE_PEOPLE)
  @PostMapping(path = "/import", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  DoNotWriteService.BroughtIn bringIn(@RequestBody byte[] file) {
    return service.bringIn(file);
  }

  /** The whole list as CSV (RFC 4180), with a head that the import knows. */
  @Needs(Right.EXPORT)
  @Noted(value = "Downloaded the do-not-write list", kind = EventKind.EXPORT)
  @GetMapping("/export")
  ResponseEntity<StreamingResponseBody> export() {
    StreamingResponseBody rows =
        out -> {
          try (CsvOut csv = new CsvOut(out)) {
            csv.row(List.of("Address", "Reason", "Note", "Since", "Source"));
            service.each(listed -> write(csv, listed));
          } catch (UncheckedIOException gone) {
            throw gone.getCause();
          }
        };
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"do-not-write.csv\"")
        .body(rows);
  }

  private static void write(CsvOut csv, Listed k) {
    try {
      csv.row(List.of(k.address(), k.reason(), k.note(), k.since().toString(), source(k)));
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    }
  }
}
