package app.jemble.privacy;

import app.jemble.page.PublicPages;
import app.jemble.paper.PlainPdf;
import app.jemble.privacy.ErasureController.Certificate;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.io.IOException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.springframework.stereotype.Service;
import tools.jackson.databind.ObjectMapper;

/** That people were erased, as it can be shown: it says of nobody who they were. */
@Service
public class Certificates {

  /** What the template {@code erased.ftlh} shows. */
  public record Paper(
      long number,
      long record,
      String day,
      String by,
      String askedOn,
      int marked,
      List<HeldSummary.Line> figures,
      String families) {}

  private final ErasureMapper mapper;
  private final WorkspaceService workspace;
  private final PublicPages pages;
  private final ObjectMapper json;

  Certificates(
      ErasureMapper mapper, WorkspaceService workspace, PublicPages pages, ObjectMapper json) {
    this.mapper = mapper;
    this.workspace = workspace;
    this.pages = pages;
    this.json = json;
  }

  Certificate find(long number) {
    ErasureMapper.Row row = mapper.find(number);
    if (row == null) {
      throw Problem.notFound("There is no certificate of this number.");
    }
    return certificate(row);
  }

  List<Certificate> latest(int most) {
    return mapper.latest(most).stream().map(this::certificate).toList();
  }

  private Certificate certificate(ErasureMapper.Row row) {
    return new Certificate(
        row.id(),
        row.personId(),
        row.at(),
        row.by(),
        row.askedOn(),
        row.marked(),
        List.of(json.readValue(row.figures(), HeldFigure[].class)));
  }

  byte[] paper(long number) throws IOException {
    Certificate erased = find(number);
    ZoneId zone = workspace.current().zoneId();
    return PlainPdf.of(
        pages.html(
            "erased.ftlh",
            new Paper(
                number,
                erased.record().value(),
                LocalDate.ofInstant(erased.at(), zone).toString(),
                erased.by(),
                erased.askedOn() == null ? "" : erased.askedOn().toString(),
                erased.marked(),
                erased.figures().stream()
                    .map(f -> new HeldSummary.Line(f.what(), Integer.toString(f.count())))
                    .toList(),
                PlainPdf.families())));
  }
}
