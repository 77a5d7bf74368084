package app.jemble.print.letter;

import app.jemble.core.document.DocumentTemplate;
import app.jemble.core.document.Filling;
import app.jemble.core.merge.Template;
import app.jemble.core.paper.LetterNames;
import app.jemble.core.record.PersonId;
import app.jemble.document.DocumentFile;
import app.jemble.print.LetterItems;
import app.jemble.print.LetterItems.Lying;
import app.jemble.print.PrintFiles;
import app.jemble.print.PrintRun;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.springframework.stereotype.Component;

/** Every letter of a run as a file of its own, in one .zip. */
@Component
class EachLetter {

  private static final int CHUNK = 100;

  /** One letter of a run, written on its own. */
  private interface OneLetter {
    void write(Lying letter, OutputStream out) throws IOException;
  }

  private final LetterItems items;
  private final LetterNaming naming;
  private final DocumentWriter documents;
  private final PrintFiles files;

  EachLetter(LetterItems items, LetterNaming naming, DocumentWriter documents, PrintFiles files) {
    this.items = items;
    this.naming = naming;
    this.documents = documents;
    this.files = files;
  }

  /**
   * Writes the .zip.
   *
   * @param names what each is called
   */
  void write(PrintRun run, Template names, OutputStream out) throws IOException {
    if (run.isOfDocument()) {
      DocumentTemplate template = documents.template(run);
      write(run, names, ".docx", (letter, file) -> file.write(filled(run, template, letter)), out);
      return;
    }
    Path whole = Files.createTempFile("jemble-print", ".pdf");
    try {
      try (OutputStream file = Files.newOutputStream(whole)) {
        files.copy(run.id(), file);
      }
      try (PDDocument all =
          Loader.loadPDF(whole.toFile(), IOUtils.createTempFileOnlyStreamCache())) {
        write(run, names, ".pdf", (letter, file) -> pages(all, letter, file), out);
      }
    } finally {
      Files.deleteIfExists(whole);
    }
  }

  private byte[] filled(PrintRun run, DocumentTemplate template, Lying letter) {
    Filling filling = items.fillings(run.id(), letter.firstPage(), 1).get(0);
    return DocumentFile.pack(template.fill(filling));
  }

  private static void pages(PDDocument all, Lying letter, OutputStream out) throws IOException {
    try (PDDocument one = new PDDocument()) {
      for (int page = 0; page < letter.pages(); page++) {
        one.importPage(all.getPage(letter.firstPage() + page));
      }
      one.save(out);
    }
  }

  private void write(PrintRun run, Template names, String ending, OneLetter one, OutputStream out)
      throws IOException {
    LetterNames called = new LetterNames(ending);
    ZipOutputStream zip = new ZipOutputStream(out);
    int done = 0;
    List<Lying> some = items.lying(run.id(), done, CHUNK);
    while (!some.isEmpty()) {
      Map<PersonId, String> wanted = naming.of(names, some.stream().map(Lying::personId).toList());
      for (Lying letter : some) {
        zip.putNextEntry(new ZipEntry(called.next(wanted.getOrDefault(letter.personId(), ""))));
        one.write(letter, new KeptOpen(zip));
        zip.closeEntry();
      }
      done += some.size();
      some = items.lying(run.id(), done, CHUNK);
    }
    zip.finish();
  }

  /** Whoever writes a file closes it; the .zip goes on. */
  private static final class KeptOpen extends FilterOutputStream {
    KeptOpen(OutputStream out) {
      super(out);
    }

    @Override
    public void write(byte[] octets, int from, int length) throws IOException {
      out.write(octets, from, length);
    }

    @Override
    public void close() throws IOException {
      flush();
    }
  }
}
