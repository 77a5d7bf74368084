package app.jemble.exchange;

import app.jemble.access.AccessService;
import app.jemble.access.Needs;
import app.jemble.core.access.About;
import app.jemble.core.access.Right;
import app.jemble.core.filter.AsOf;
import app.jemble.core.record.Field;
import app.jemble.filter.AskedNow;
import app.jemble.filter.ListRow;
import app.jemble.filter.ListService;
import app.jemble.filter.Selection;
import app.jemble.history.EventKind;
import app.jemble.history.HouseHistory;
import app.jemble.history.Noted;
import app.jemble.problem.Problem;
import ezvcard.VCardVersion;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** People as a file: the rows and columns that are seen, or a card each. */
@RestController
@RequestMapping("/api/people/export")
class ExportController {

  /** The forms of a file. */
  enum Form {
    CSV("text/csv", "people.csv"),
    VCARD_3("text/vcard", "people.vcf"),
    VCARD_4("text/vcard", "people.vcf");

    private final String type;
    private final String fileName;

    Form(String type, String fileName) {
      this.type = type;
      this.fileName = fileName;
    }
  }

  /**
   * Who goes into the file, with which columns, in which order.
   *
   * @param columns of CSV, besides the name; a card has fields of its own
   */
  record ExportWish(
      Selection who,
      Form form,
      List<String> columns,
      @Schema(nullable = true) String sortBy,
      boolean descending) {}

  private final ListService lists;
  private final HouseHistory history;
  private final AskedNow asked;
  private final AccessService access;

  ExportController(ListService lists, HouseHistory history, AskedNow asked, AccessService access) {
    this.lists = lists;
    this.history = history;
    this.asked = asked;
    this.access = access;
  }

  @Needs(Right.EXPORT)
  @Noted(value = "Downloaded people", kind = EventKind.EXPORT)
  @PostMapping
  ResponseEntity<StreamingResponseBody> export(@RequestBody ExportWish wish) {
    if (wish.form() == null || wish.who() == null || wish.who().filter() == null) {
      throw Problem.wrong("form", "Say who is exported, and as which kind of file.");
    }
    List<String> columns = wish.form() == Form.CSV ? wish.columns() : VcardFile.FIELDS;
    ListService.Shape shape = new ListService.Shape(columns, wish.sortBy(), wish.descending());
    AsOf asOf = asked.byMe();
    List<Field> fields = lists.columns(null, shape);
    long people =
        lists.tally(null, wish.who().filter(), wish.who().which(), asOf).values().stream()
            .mapToLong(Long::longValue)
            .sum();
    access.must(Right.EXPORT, new About.People(Math.toIntExact(people)));
    history.tell(people + (people == 1 ? " person" : " people"), "", "as " + wish.form());
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            "attachment; filename=\"" + wish.form().fileName + "\"")
        .header(HttpHeaders.CONTENT_TYPE, wish.form().type + "; charset=utf-8")
        .body(out -> write(wish, shape, fields, asOf, out));
  }

  private void write(
      ExportWish wish, ListService.Shape shape, List<Field> fields, AsOf asOf, OutputStream out)
      throws IOException {
    if (wish.form() == Form.CSV) {
      try (CsvOut csv = new CsvOut(out)) {
        List<String> headers = new ArrayList<>(List.of("Name"));
        fields.forEach(f -> headers.add(f.label()));
        csv.row(headers);
        each(wish, shape, asOf, row -> csv.row(cells(row)));
      }
      return;
    }
    VCardVersion version = wish.form() == Form.VCARD_3 ? VCardVersion.V3_0 : VCardVersion.V4_0;
    try (VcardFile.Cards cards =
        new VcardFile.Cards(
            new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8)), version)) {
      each(wish, shape, asOf, row -> cards.write(row.name(), values(row, fields)));
    }
  }

  /** Something done with each row. */
  private interface RowWriter {
    void write(ListRow row) throws IOException;
  }

  private void each(ExportWish wish, ListService.Shape shape, AsOf asOf, RowWriter writer) {
    lists.forEach(
        wish.who().filter(),
        wish.who().which(),
        shape,
        asOf,
        row -> {
          try {
            writer.write(row);
          } catch (IOException gone) {
            throw new UncheckedIOException(gone);
          }
        });
  }

  private static List<String> cells(ListRow row) {
    List<String> cells = new ArrayList<>(List.of(row.name()));
    row.cells().forEach(c -> cells.add(c == null ? "" : c));
    return cells;
  }

  private static Map<String, String> values(ListRow row, List<Field> fields) {
    Map<String, String> values = new HashMap<>();
    for (int i = 0; i < fields.size(); i++) {
      values.put(fields.get(i).name(), row.cells().get(i));
    }
    return values;
  }
}
