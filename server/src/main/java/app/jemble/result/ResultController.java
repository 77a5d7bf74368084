package app.jemble.result;

import app.jemble.access.Needs;
import app.jemble.cause.Cause;
import app.jemble.cause.OpenCauses;
import app.jemble.core.access.Right;
import app.jemble.exchange.CsvOut;
import app.jemble.history.EventKind;
import app.jemble.history.Noted;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** What came of a mailing, from several sides, and as a file. */
@RestController
@RequestMapping("/api/responses/{mailing}")
class ResultController {

  private final ResultService results;
  private final OpenCauses mailings;

  ResultController(ResultService results, OpenCauses mailings) {
    this.results = results;
    this.mailings = mailings;
  }

  @Needs(Right.SEE)
  @GetMapping("/course")
  ResultService.CourseView course(@PathVariable long mailing) {
    return results.course(mailing);
  }

  @Needs(Right.SEE)
  @GetMapping("/links")
  List<ResultMapper.LinkResult> links(@PathVariable long mailing) {
    return results.links(mailing);
  }

  @Needs(Right.SEE)
  @GetMapping("/groups")
  List<ResultService.Group> groups(@PathVariable long mailing, @RequestParam ResultService.By by) {
    return results.groups(mailing, by);
  }

  @Needs(Right.SEE)
  @GetMapping("/earlier")
  List<ResultService.Earlier> earlier(@PathVariable long mailing) {
    return results.earlier(mailing);
  }

  /** Every message with what came of it, as CSV (RFC 4180). */
  @Needs(Right.EXPORT)
  @Noted(value = "Downloaded the responses to a mailing", kind = EventKind.EXPORT)
  @GetMapping("/export")
  ResponseEntity<StreamingResponseBody> export(@PathVariable long mailing) {
    Cause of = mailings.find(mailing);
    String name = of.name().replaceAll("[^\\p{L}\\p{N} .,-]", "") + ".csv";
    StreamingResponseBody rows =
        out -> {
          try (CsvOut csv = new CsvOut(out)) {
            csv.row(ResultService.EXPORT_HEAD);
            results.export(mailing, cells -> write(csv, cells));
          } catch (UncheckedIOException gone) {
            throw gone.getCause();
          }
        };
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, java.nio.charset.StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(rows);
  }

  private static void write(CsvOut csv, List<String> cells) {
    try {
      csv.row(cells);
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    }
  }
}
