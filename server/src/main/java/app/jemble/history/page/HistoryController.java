package app.jemble.history.page;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.exchange.CsvOut;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.history.page.HistoryListMapper.Row;
import app.jemble.history.page.HistoryListMapper.Wanted;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.io.IOException;
import java.io.OutputStream;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** What was done in the house, by whom, when and from where. */
@RestController
@RequestMapping("/api/history")
class HistoryController {

  private static final int PAGE = 100;
  private static final int MOST_MONTHS = 120;

  /** What can be looked for; PEOPLE are changes of people, which have their own history too. */
  enum HistoryKind {
    SIGN_IN,
    REFUSED,
    COLLEAGUES,
    SETTINGS,
    EXPORT,
    PRIVACY,
    PEOPLE
  }

  /** One thing that was done. */
  record HistoryEntry(
      String key,
      Instant at,
      String who,
      HistoryKind kind,
      String words,
      String about,
      String before,
      String after,
      String address) {}

  /** For how many months it is kept. */
  record HistoryKept(int months) {}

  private final HistoryListMapper mapper;
  private final WorkspaceService workspace;
  private final HouseHistory history;

  HistoryController(HistoryListMapper mapper, WorkspaceService workspace, HouseHistory history) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.history = history;
  }

  /**
   * The latest first, a hundred at a time; the next come after the key and instant of the last.
   *
   * @param from the first day, in the house's zone
   * @param until the last day
   */
  @Needs(Right.COLLEAGUES)
  @GetMapping
  List<HistoryEntry> page(
      @RequestParam(required = false) HistoryKind kind,
      @RequestParam(required = false) Long by,
      @RequestParam(required = false) LocalDate from,
      @RequestParam(required = false) LocalDate until,
      @RequestParam(defaultValue = "") String afterKey,
      @RequestParam(required = false) Instant afterAt) {
    String key = afterAt == null ? "" : afterKey;
    return mapper.page(wanted(kind, by, from, until, key, afterAt), PAGE).stream()
        .map(HistoryController::entry)
        .toList();
  }

  private Wanted wanted(
      HistoryKind kind, Long by, LocalDate from, LocalDate until, String key, Instant at) {
    return new Wanted(
        kind == null ? null : kind.name(),
        by,
        from == null ? null : midnight(from),
        until == null ? null : midnight(until.plusDays(1)),
        key,
        at);
  }

  private Instant midnight(LocalDate day) {
    return day.atStartOfDay(workspace.current().zoneId()).toInstant();
  }

  private static HistoryEntry entry(Row row) {
    return new HistoryEntry(
        row.key(),
        row.at(),
        row.who() == null ? "" : row.who(),
        HistoryKind.valueOf(row.kind()),
        row.words(),
        row.about(),
        row.before(),
        row.after(),
        row.address());
  }

  /** All that is looked for, as CSV (RFC 4180). */
  @Needs(Right.COLLEAGUES)
  @Noted(value = "Downloaded the history", kind = EventKind.EXPORT)
  @GetMapping("/export")
  ResponseEntity<StreamingResponseBody> export(
      @RequestParam(required = false) HistoryKind kind,
      @RequestParam(required = false) Long by,
      @RequestParam(required = false) LocalDate from,
      @RequestParam(required = false) LocalDate until) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"history.csv\"")
        .body(out -> write(wanted(kind, by, from, until, "", null), out));
  }

  private void write(Wanted first, OutputStream out) throws IOException {
    try (CsvOut csv = new CsvOut(out)) {
      csv.row(List.of("When", "Who", "Kind", "What", "About", "Before", "After", "From"));
      Wanted wanted = first;
      List<Row> rows = mapper.page(wanted, PAGE);
      while (!rows.isEmpty()) {
        for (Row row : rows) {
          csv.row(cells(entry(row)));
        }
        Row last = rows.get(rows.size() - 1);
        wanted =
            new Wanted(
                first.kind(), first.by(), first.from(), first.until(), last.key(), last.at());
        rows = mapper.page(wanted, PAGE);
      }
    }
  }

  private static List<String> cells(HistoryEntry entry) {
    return List.of(
        entry.at().toString(),
        entry.who(),
        entry.kind().name(),
        entry.words(),
        entry.about(),
        entry.before(),
        entry.after(),
        entry.address());
  }

  @Needs(Right.COLLEAGUES)
  @GetMapping("/kept")
  HistoryKept kept() {
    return new HistoryKept(workspace.historyMonths());
  }

  @Needs(Right.COLLEAGUES)
  @Noted("Changed for how long the history is kept")
  @PutMapping("/kept")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keep(@RequestBody HistoryKept kept) {
    if (kept.months() < 1 || kept.months() > MOST_MONTHS) {
      throw Problem.wrong("months", "It is kept for 1 to 120 months.");
    }
    history.tell("", workspace.historyMonths() + " months", kept.months() + " months");
    workspace.keepHistory(kept.months());
  }
}
