package app.jemble.print.letter;

import app.jemble.core.message.Pictures;
import app.jemble.paper.LettersPdf;
import app.jemble.paper.PaperFonts;
import app.jemble.print.LetterItems;
import app.jemble.print.LetterItems.Printed;
import app.jemble.print.PrintRun;
import app.jemble.print.RunWriter;
import app.jemble.print.letter.LettersOfRun.Ready;
import app.jemble.print.letter.LettersOfRun.Some;
import app.jemble.workspace.WorkspaceService;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes the letters of a run that are written here (PDF). */
@Component
class LetterWriter implements RunWriter {

  private final LetterItems items;
  private final LettersOfRun letters;
  private final PaperFonts fonts;
  private final Pictures pictures;
  private final WorkspaceService workspace;

  LetterWriter(
      LetterItems items,
      LettersOfRun letters,
      PaperFonts fonts,
      Pictures pictures,
      WorkspaceService workspace) {
    this.items = items;
    this.letters = letters;
    this.fonts = fonts;
    this.pictures = pictures;
    this.workspace = workspace;
  }

  @Override
  public boolean writes(PrintRun run) {
    return run.isOfLetters() && !run.isOfDocument();
  }

  @Override
  public int write(PrintRun run, Path file, Progress progress) throws IOException {
    items.forgetPrinted(run.id());
    try (LettersPdf pdf =
        LettersPdf.forPrinter(fonts, pictures, run.name(), workspace.current().locale())) {
      int done = 0;
      while (done < run.toPrint()) {
        Some some = letters.from(run, done);
        add(run, some.letters(), pdf);
        done += some.taken();
        if (some.taken() == 0 || !progress.at(done)) {
          return STOPPED;
        }
      }
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
        pdf.save(out);
      }
      return pdf.pages();
    }
  }

  private void add(PrintRun run, List<Ready> ready, LettersPdf pdf) throws IOException {
    if (ready.isEmpty()) {
      return;
    }
    List<LettersPdf.Laid> laid = pdf.add(ready.stream().map(Ready::sheet).toList(), run.duplex());
    List<Printed> printed = new ArrayList<>();
    for (int i = 0; i < ready.size(); i++) {
      printed.add(ready.get(i).printed(laid.get(i).page(), laid.get(i).pages()));
    }
    items.printed(run.id(), printed);
  }
}
