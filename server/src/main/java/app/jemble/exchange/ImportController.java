package app.jemble.exchange;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import app.jemble.core.record.PersonId;
import app.jemble.problem.Problem;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.Charset;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** Importing people from a file. */
@RestController
@RequestMapping("/api/imports")
class ImportController {

  private static final Duration STANDS_STILL = Duration.ofSeconds(30);
  private static final int SHOWN_SAMPLES = 3;
  private static final int BAD_CHUNK = 2000;

  private static final List<String> ENCODINGS =
      List.of(
          "UTF-8",
          "UTF-16LE",
          "UTF-16BE",
          "windows-1252",
          "ISO-8859-15",
          "windows-1250",
          "ISO-8859-2",
          "windows-1251",
          "windows-1253",
          "windows-1254",
          "windows-1257",
          "x-MacRoman",
          "Shift_JIS",
          "GB18030");

  record ImportBegun(long id) {}

  /**
   * Where an import stands.
   *
   * @param columns the headers of the file with a few of their cells
   * @param stopped whether a step stands still, so that it can be begun again
   * @param counts how many rows are new, changed, same, bad; after the check
   * @param preview rows as they will be, those that want a look first
   * @param act the act it became, to take it back
   */
  record ImportState(
      long id,
      String fileName,
      String form,
      String encoding,
      String delimiter,
      int rows,
      String state,
      boolean stopped,
      int doneRows,
      String trouble,
      List<FileColumn> columns,
      ImportChoices choices,
      Map<String, Long> counts,
      List<RowPreview> preview,
      @Schema(nullable = true) Long act,
      boolean undone) {}

  record FileColumn(String header, List<String> samples) {}

  /** A row as it will be. */
  record RowPreview(
      int row,
      @Schema(nullable = true) String outcome,
      @Schema(nullable = true) String problem,
      @Schema(nullable = true) PersonId personId,
      @ArraySchema(schema = @Schema(nullable = true)) List<String> cells) {}

  private final ImportReader reader;
  private final ImportService imports;
  private final ImportMapper mapper;
  private final ObjectMapper json;
  private final Clock clock;

  ImportController(
      ImportReader reader,
      ImportService imports,
      ImportMapper mapper,
      ObjectMapper json,
      Clock clock) {
    this.reader = reader;
    this.imports = imports;
    this.mapper = mapper;
    this.json = json;
    this.clock = clock;
  }

  /**
   * The file is the body of the request, as it is on the disk or was pasted.
   *
   * @param encoding in which it is written; left out, the file itself says it
   */
  @Needs(Right.IMPORT)
  @PostMapping(consumes = "application/octet-stream")
  ImportBegun begin(
      @RequestParam String name,
      @RequestParam(required = false) String encoding,
      HttpServletRequest request)
      throws IOException {
    String words = name.isBlank() ? "pasted rows" : name.strip();
    String shown = words.length() > 120 ? words.substring(0, 120) : words;
    return new ImportBegun(reader.read(shown, charset(encoding), request.getInputStream()));
  }

  /** One of those that files of people come in; null lets the file say it. */
  private static Charset charset(String encoding) {
    if (encoding == null || encoding.isBlank()) {
      return null;
    }
    if (!ENCODINGS.contains(encoding)) {
      throw Problem.wrong("encoding", "A file is in one of " + String.join(", ", ENCODINGS) + ".");
    }
    return Charset.forName(encoding);
  }

  /** Where it stands; {@code outcome} narrows the preview to rows of one outcome. */
  @Needs(Right.IMPORT)
  @GetMapping("/{id}")
  ImportState state(@PathVariable long id, @RequestParam(required = false) String outcome) {
    ImportRun run = imports.find(id);
    boolean moving = run.state().equals("checking") || run.state().equals("running");
    boolean judged = List.of("checked", "done").contains(run.state());
    ImportChoices choices = imports.choices(run);
    return new ImportState(
        id,
        run.fileName(),
        run.form(),
        run.encoding(),
        run.delimiter(),
        run.rowCount(),
        run.state(),
        moving && run.touchedAt().isBefore(clock.instant().minus(STANDS_STILL)),
        run.doneRows(),
        run.trouble(),
        columns(run),
        choices,
        judged ? counts(id) : Map.of(),
        judged ? preview(id, outcome, choices) : List.of(),
        run.batchId(),
        run.undone());
  }

  private List<FileColumn> columns(ImportRun run) {
    List<List<String>> samples = imports.samples(run);
    List<FileColumn> columns = new ArrayList<>();
    for (int i = 0; i < run.headers().size(); i++) {
      List<String> filled =
          samples.get(i).stream().filter(c -> !c.isBlank()).limit(SHOWN_SAMPLES).toList();
      columns.add(new FileColumn(run.headers().get(i), filled));
    }
    return columns;
  }

  private Map<String, Long> counts(long id) {
    Map<String, Long> counts = new LinkedHashMap<>();
    for (String outcome : List.of("new", "changed", "same", "bad")) {
      counts.put(outcome, 0L);
    }
    mapper.counts(id).stream()
        .filter(c -> c.outcome() != null)
        .forEach(c -> counts.put(c.outcome(), c.rows()));
    return counts;
  }

  private List<RowPreview> preview(long id, String outcome, ImportChoices choices) {
    return mapper.preview(id, outcome).stream()
        .map(
            row -> {
              JsonNode values = json.readTree(row.values() == null ? "{}" : row.values());
              return new RowPreview(
                  row.rowNo(),
                  row.outcome(),
                  row.problem(),
                  row.personId(),
                  choices.columns().stream().map(c -> cell(values, c)).toList());
            })
        .toList();
  }

  private static String cell(JsonNode values, String column) {
    if (column == null) {
      return null;
    }
    if (column.equals("name")) {
      return (text(values.get("first_name")) + " " + text(values.get("last_name"))).strip();
    }
    return text(values.get(column));
  }

  private static String text(JsonNode value) {
    if (value == null || value.isNull()) {
      return "";
    }
    return value.isArray()
        ? String.join(", ", value.valueStream().map(JsonNode::asString).toList())
        : value.asString();
  }

  /** Begins the dry run with these choices. */
  @Needs(Right.IMPORT)
  @PutMapping("/{id}")
  void check(@PathVariable long id, @RequestBody ImportChoices choices) {
    imports.check(id, choices);
  }

  @Needs(Right.IMPORT)
  @PostMapping("/{id}/run")
  void run(@PathVariable long id) {
    imports.run(id);
  }

  /** The rows that cannot be taken, with their numbers and reasons, as CSV. */
  @Needs(Right.IMPORT)
  @GetMapping(path = "/{id}/bad.csv", produces = "text/csv")
  ResponseEntity<StreamingResponseBody> bad(@PathVariable long id) {
    ImportRun run = imports.find(id);
    if (run.state().equals("read")) {
      throw Problem.conflict("Check the import first.");
    }
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"rows-to-mend.csv\"")
        .body(
            out -> {
              try (CsvOut csv = new CsvOut(out)) {
                List<String> headers = new ArrayList<>(List.of("Row", "Reason"));
                headers.addAll(run.headers());
                csv.row(headers);
                writeBad(id, csv);
              }
            });
  }

  private void writeBad(long id, CsvOut csv) throws IOException {
    int after = 0;
    while (true) {
      List<ImportMapper.BadRow> rows = mapper.bad(id, after, BAD_CHUNK);
      if (rows.isEmpty()) {
        return;
      }
      for (ImportMapper.BadRow row : rows) {
        List<String> cells = new ArrayList<>(List.of("" + row.rowNo(), row.problem()));
        cells.addAll(row.cells());
        csv.row(cells);
      }
      after = rows.get(rows.size() - 1).rowNo();
    }
  }
}
