package app.jemble.paper;

import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;

/** A page of words as PDF, in the fonts that ship with the house; it asks for nothing outside. */
public final class PlainPdf {

  private PlainPdf() {}

  /**
   * @param xhtml a whole document, with a title and a language
   */
  public static byte[] of(String xhtml) throws IOException {
    try (PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache())) {
      PdfRendererBuilder builder =
          new PdfRendererBuilder()
              .useFastMode()
              .usePdfUaAccessibility(true)
              .withProducer("Jemble")
              .useUnicodeBidiSplitter(BidiLines::new)
              .useUnicodeBidiReorderer(new BidiLines.Reordering())
              .useUriResolver((base, address) -> null)
              .usePDDocument(document)
              .withHtmlContent(xhtml, null);
      new LetterFonts(document).offer(builder);
      try (PdfBoxRenderer renderer = builder.buildPdfRenderer()) {
        renderer.createPDFWithoutClosing();
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    }
  }

  /** The families of its fonts, for its style sheet. */
  public static String families() {
    return "'" + String.join("', '", LetterFonts.families()) + "'";
  }
}
