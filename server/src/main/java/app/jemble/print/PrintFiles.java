package app.jemble.print;

import app.jemble.problem.Problem;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The files of print runs, exactly as they were printed. */
@Service
public class PrintFiles {

  private static final int PIECE = 1 << 20;

  private final ItemMapper items;
  private final Clock clock;

  PrintFiles(ItemMapper items, Clock clock) {
    this.items = items;
    this.clock = clock;
  }

  /** Keeps a file whole, and says so; not when the printing was stopped meanwhile. */
  @Transactional
  public void keep(PrintRun printing, Path file, int pages) throws IOException {
    if (items.end(printing, pages, clock.instant()) == 0) {
      return;
    }
    long id = printing.id();
    items.dropFile(id);
    try (InputStream in = Files.newInputStream(file)) {
      int piece = 0;
      for (byte[] octets = in.readNBytes(PIECE); octets.length > 0; octets = in.readNBytes(PIECE)) {
        items.addPiece(id, piece++, octets);
      }
    }
  }

  /** The run is a draft again, of which nothing was printed. */
  @Transactional
  public boolean giveUp(long id, String trouble) {
    if (items.backToDraft(id, trouble) == 0) {
      return false;
    }
    items.dropItems(id);
    items.dropFile(id);
    return true;
  }

  /**
   * A file as it is downloaded; a problem when there is none, or it has no such pages.
   *
   * @param from the first page, from 1; null for all
   * @param to the last page
   * @param name without its ending
   */
  public ResponseEntity<StreamingResponseBody> answer(
      PrintRun run, Integer from, Integer to, String name) {
    mustBeKept(run);
    int first = from == null ? 1 : from;
    int last = to == null ? run.pages() : to;
    if (first < 1 || last > run.pages() || first > last) {
      throw Problem.wrong("from", "It has pages 1 to " + run.pages() + ".");
    }
    boolean whole = first == 1 && last == run.pages();
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + ".pdf\"")
        .body(
            out -> {
              if (whole) {
                copy(run.id(), out);
              } else {
                copyPages(run.id(), first, last, out);
              }
            });
  }

  /** A problem when there is no file of a run, or none any more. */
  public void mustBeKept(PrintRun run) {
    if (run.state() != RunState.PRINTED) {
      throw Problem.conflict("It has not been printed.");
    }
    if (items.piece(run.id(), 0).isEmpty()) {
      throw Problem.conflict(
          "Its file is not kept any more: somebody whose page was in it has been erased.");
    }
  }

  /** Writes the whole file. */
  public void copy(long id, OutputStream out) throws IOException {
    int piece = 0;
    List<byte[]> octets = items.piece(id, piece);
    while (!octets.isEmpty()) {
      out.write(octets.get(0));
      octets = items.piece(id, ++piece);
    }
  }

  /**
   * Writes some of its pages.
   *
   * @param from the first, from 1
   * @param to the last
   */
  void copyPages(long id, int from, int to, OutputStream out) throws IOException {
    Path whole = Files.createTempFile("jemble-print", ".pdf");
    try {
      try (OutputStream file = Files.newOutputStream(whole)) {
        copy(id, file);
      }
      try (PDDocument document =
          Loader.loadPDF(whole.toFile(), IOUtils.createTempFileOnlyStreamCache())) {
        for (int page = document.getNumberOfPages(); page > 0; page--) {
          if (page < from || page > to) {
            document.removePage(page - 1);
          }
        }
        document.save(out);
      }
    } finally {
      Files.deleteIfExists(whole);
    }
  }
}
