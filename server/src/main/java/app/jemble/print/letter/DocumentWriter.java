package app.jemble.print.letter;

import app.jemble.core.document.DocumentTemplate;
import app.jemble.core.document.Filling;
import app.jemble.document.DocumentsOfLetters;
import app.jemble.document.JoinedFile;
import app.jemble.print.LetterItems;
import app.jemble.print.LetterItems.Printed;
import app.jemble.print.PrintRun;
import app.jemble.print.RunWriter;
import app.jemble.print.letter.LettersOfRun.Ready;
import app.jemble.print.letter.LettersOfRun.Some;
import app.jemble.problem.Problem;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes the letters of a run that are made of a document (.docx). */
@Component
class DocumentWriter implements RunWriter {

  private static final int CHUNK = 100;

  private final LetterItems items;
  private final LettersOfRun letters;
  private final DocumentsOfLetters documents;

  DocumentWriter(LetterItems items, LettersOfRun letters, DocumentsOfLetters documents) {
    this.items = items;
    this.letters = letters;
    this.documents = documents;
  }

  @Override
  public boolean writes(PrintRun run) {
    return run.isOfLetters() && run.isOfDocument();
  }

  /** The document its letters are made of. */
  DocumentTemplate template(PrintRun run) {
    return documents.of(run.documentId(), run.documentVersion()).orElseThrow().template();
  }

  @Override
  public int write(PrintRun run, Path file, Progress progress) throws IOException {
    items.forgetPrinted(run.id());
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file));
        JoinedFile joined = new JoinedFile(template(run), out, run.duplex())) {
      int done = 0;
      int written = 0;
      while (done < run.toPrint()) {
        Some some = letters.from(run, done);
        add(run, some.letters(), joined, written);
        written += some.letters().size();
        done += some.taken();
        if (some.taken() == 0 || !progress.at(done)) {
          return STOPPED;
        }
      }
      joined.end();
      return written;
    }
  }

  private void add(PrintRun run, List<Ready> ready, JoinedFile joined, int before)
      throws IOException {
    if (ready.isEmpty()) {
      return;
    }
    List<Printed> printed = new ArrayList<>();
    List<Filling> fillings = new ArrayList<>();
    for (Ready each : ready) {
      Filling filling = each.sheet().filling().orElseThrow();
      joined.add(filling);
      fillings.add(filling);
      printed.add(each.printed(before + printed.size(), 1));
    }
    items.printed(run.id(), printed);
    items.filled(run.id(), ready.stream().map(Ready::id).toList(), fillings);
  }

  /**
   * Some letters of a run again, exactly as they were printed.
   *
   * @param from the first, from 1
   * @param to the last
   */
  void writeAgain(PrintRun run, int from, int to, OutputStream out) throws IOException {
    try (JoinedFile joined = new JoinedFile(template(run), out, run.duplex())) {
      int next = from - 1;
      while (next < to) {
        List<Filling> fillings = items.fillings(run.id(), next, Math.min(CHUNK, to - next));
        if (fillings.isEmpty()) {
          throw Problem.notFound("There is no such letter in it.");
        }
        for (Filling filling : fillings) {
          joined.add(filling);
        }
        next += fillings.size();
      }
      joined.end();
    }
  }
}
