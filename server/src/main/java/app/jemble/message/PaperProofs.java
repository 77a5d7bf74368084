package app.jemble.message;

import app.jemble.audience.AudienceService.Reader;
import app.jemble.core.document.Filling;
import app.jemble.core.message.OutgoingSheet;
import app.jemble.core.message.PaperLetter;
import app.jemble.core.message.Pictures;
import app.jemble.core.reach.Channel;
import app.jemble.document.DocumentFile;
import app.jemble.paper.LettersPdf;
import app.jemble.paper.PaperFonts;
import app.jemble.people.PersonRecord;
import app.jemble.problem.Problem;
import app.jemble.workspace.WorkspaceService;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.springframework.stereotype.Component;

/** One person's letter on paper as it will be printed, to look at. */
@Component
class PaperProofs {

  /** Sharp enough to read, on a screen with fine points. */
  private static final float DOTS_PER_INCH = 144;

  private final Samples samples;
  private final PaperFonts fonts;
  private final Pictures pictures;
  private final WorkspaceService workspace;
  private final Clock clock;

  PaperProofs(
      Samples samples,
      PaperFonts fonts,
      Pictures pictures,
      WorkspaceService workspace,
      Clock clock) {
    this.samples = samples;
    this.fonts = fonts;
    this.pictures = pictures;
    this.workspace = workspace;
    this.clock = clock;
  }

  ProofService.Proof proof(Letter letter, Reader reader) {
    PersonRecord person = reader.person();
    PaperLetter.Composed composed = composed(letter, reader);
    OutgoingSheet sheet = composed.message();
    return new ProofService.Proof(
        person.id(),
        reader.about().id(),
        person.name(),
        String.join(", ", sheet.address().subList(1, sheet.address().size())),
        "",
        sheet.senderLine(),
        null,
        sheet.subject(),
        "",
        sheet.text(),
        List.of(),
        0,
        List.of(),
        composed.missing(),
        samples.of(reader.values(), sheet.language()),
        letter.hasOwnWords(person.id(), Channel.POST),
        letter.hasOldWords(person.id(), Channel.POST),
        reader.way().channel(),
        TextProofs.before(reader),
        null,
        null,
        shown(sheet));
  }

  private ProofService.PaperProof shown(OutgoingSheet sheet) {
    if (sheet.filling().isPresent()) {
      return new ProofService.PaperProof(sheet.address(), 0, true, "", true);
    }
    try (LettersPdf pdf = LettersPdf.ofOne(fonts, pictures, sheet)) {
      LettersPdf.Laid laid = pdf.add(List.of(sheet), false).get(0);
      return new ProofService.PaperProof(
          sheet.address(), laid.pages(), laid.addressFits(), pdf.lacking(sheet), false);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private PaperLetter.Composed composed(Letter letter, Reader reader) {
    PersonRecord person = reader.person();
    LocalDate today = LocalDate.ofInstant(clock.instant(), workspace.current().zoneId());
    return reader
        .onPaper(today)
        .map(own -> letter.paper(person.id(), own))
        .orElseThrow(
            () -> Problem.conflict(person.name() + " gets nothing: there is no postal address."));
  }

  /** Somebody's letter that is made of a document (.docx); a problem when it is not. */
  byte[] document(Letter letter, Reader reader) {
    OutgoingSheet sheet = composed(letter, reader).message();
    Filling filling =
        sheet.filling().orElseThrow(() -> Problem.notFound("It is not made of a document."));
    return DocumentFile.pack(letter.document().orElseThrow().template().fill(filling));
  }

  byte[] pdf(Letter letter, Reader reader) {
    OutgoingSheet sheet = composed(letter, reader).message();
    if (sheet.filling().isPresent()) {
      throw Problem.notFound("It is made of a document; open that.");
    }
    try (LettersPdf pdf = LettersPdf.ofOne(fonts, pictures, sheet);
        ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      pdf.add(List.of(sheet), false);
      pdf.save(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * A page of a file as a picture (PNG).
   *
   * @param page from 1
   */
  static byte[] picture(byte[] pdf, int page) {
    try (PDDocument document = Loader.loadPDF(pdf);
        ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      if (page < 1 || page > document.getNumberOfPages()) {
        throw Problem.notFound("It has pages 1 to " + document.getNumberOfPages() + ".");
      }
      BufferedImage picture =
          new PDFRenderer(document).renderImageWithDPI(page - 1, DOTS_PER_INCH, ImageType.RGB);
      ImageIO.write(picture, "png", out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
