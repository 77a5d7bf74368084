package app.jemble.print.letter;

import app.jemble.core.merge.Template;
import app.jemble.document.DocumentFile;
import app.jemble.print.LetterItems.Printed;
import app.jemble.print.PrintFiles;
import app.jemble.print.PrintRun;
import app.jemble.problem.Problem;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The letters of a run as they are downloaded: PDF, or the document they are made of (.docx). */
@Component
class LetterFiles {

  private static final MediaType ZIP = MediaType.parseMediaType("application/zip");

  private final PrintFiles files;
  private final DocumentWriter documents;
  private final EachLetter each;
  private final LetterNaming naming;

  LetterFiles(PrintFiles files, DocumentWriter documents, EachLetter each, LetterNaming naming) {
    this.files = files;
    this.documents = documents;
    this.each = each;
    this.naming = naming;
  }

  /**
   * All of it, or a part.
   *
   * @param from the first page, or of documents the first letter, from 1; null for all
   * @param to the last
   */
  ResponseEntity<StreamingResponseBody> answer(PrintRun run, Integer from, Integer to) {
    String name = "letters-" + run.id();
    return run.isOfDocument() ? document(run, from, to, name) : files.answer(run, from, to, name);
  }

  /** One letter. */
  ResponseEntity<StreamingResponseBody> answer(PrintRun run, Printed letter) {
    String name = "letter-" + letter.messageId();
    int first = letter.firstPage() + 1;
    return run.isOfDocument()
        ? document(run, first, first, name)
        : files.answer(run, first, first + letter.pages() - 1, name);
  }

  /**
   * Each letter as a file of its own, in one .zip.
   *
   * @param names what each is called, with merge fields; null for the usual
   */
  ResponseEntity<StreamingResponseBody> each(PrintRun run, String names) {
    files.mustBeKept(run);
    Template called = naming.read(names);
    return ResponseEntity.ok()
        .contentType(ZIP)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            "attachment; filename=\"letters-" + run.id() + ".zip\"")
        .body(out -> each.write(run, called, out));
  }

  private ResponseEntity<StreamingResponseBody> document(
      PrintRun run, Integer from, Integer to, String name) {
    files.mustBeKept(run);
    int first = from == null ? 1 : from;
    int last = to == null ? run.pages() : to;
    if (first < 1 || last > run.pages() || first > last) {
      throw Problem.wrong("from", "It has letters 1 to " + run.pages() + ".");
    }
    boolean whole = first == 1 && last == run.pages();
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(DocumentFile.TYPE))
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + ".docx\"")
        .body(
            out -> {
              if (whole) {
                files.copy(run.id(), out);
              } else {
                documents.writeAgain(run, first, last, out);
              }
            });
  }
}
