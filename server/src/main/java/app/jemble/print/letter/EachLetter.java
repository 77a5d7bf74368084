package app.jemble.print.letter;

import app.jemble.core.document.DocumentTemplate;
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
    void write(OutputStream out) throws IOException;
  }

  /** The letters of a run, some at a time. */
  private interface Letters {

    /** Those that lie in these places, each on its own. */
    List<OneLetter> of(List<Lying> some);
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
      write(run, names, ".docx", some -> filled(run, template, some), out);
      return;
    }
    Path whole = Files.createTempFile("jemble-print", ".pdf");
    try {
      try (OutputStream file = Files.newOutputStream(whole)) {
        files.copy(run.id(), file);
      }
      try (PDDocument all =
          Loader.loadPDF(whole.toFile(), IOUtils.createTempFileOnlyStreamCache())) {
        write(run, names, ".pdf", some -> pages(all, some), out);
      }
    } finally {
      Files.deleteIfExists(whole);
    }
  }

  /** They lie one after another, as what they were filled with does. */
  private List<OneLetter> filled(PrintRun run, DocumentTemplate template, List<Lying> some) {
    return items.fillings(run.id(), some.get(0).firstPage(), some.size()).stream()
        .map(filling -> (OneLetter) out -> out.write(DocumentFile.pack(template.fill(filling))))
        .toList();
  }

  private static List<OneLetter> pages(PDDocument all, List<Lying> some) {
    return some.stream().map(letter -> (OneLetter) out -> pages(all, letter, out)).toList();
  }

  private static void pages(PDDocument all, Lying letter, OutputStream out) throws IOException {
    try (PDDocument one = new PDDocument()) {
      for (int page = 0; page < letter.pages(); page++) {
        one.importPage(all.getPage(letter.firstPage() + page));
      }
      one.save(out);
    }
  }

  private void write(PrintRun run, Template names, String ending, Letters letters, OutputStream out)
      throws IOException {
    LetterNames called = new LetterNames(ending);
    ZipOutputStream zip = new ZipOutputStream(out);
    int done = 0;
    List<Lying> some = items.lying(run.id(), done, CHUNK);
    while (!some.isEmpty()) {
      Map<PersonId, String> wanted = naming.of(names, some.stream().map(Lying::personId).toList());
      List<OneLetter> each = letters.of(some);
      for (int i = 0; i < some.size(); i++) {
        String name = called.next(wanted.getOrDefault(some.get(i).personId(), ""));
        zip.putNextEntry(new ZipEntry(name));
        each.get(i).write(new KeptOpen(zip));
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
