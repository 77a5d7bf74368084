package app.jemble.paper;

import app.jemble.core.message.InlinePicture;
import app.jemble.core.message.OutgoingSheet;
import app.jemble.core.message.PaperDocument;
import app.jemble.core.message.PaperDocument.Page;
import app.jemble.core.message.Pictures;
import app.jemble.core.paper.LabelDesign.Face;
import app.jemble.core.paper.LabelFit;
import app.jemble.core.paper.Shaper;
import app.jemble.core.record.FieldValue;
import com.openhtmltopdf.extend.FSStream;
import com.openhtmltopdf.pdfboxout.PagePosition;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.render.Box;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.Reader;
import java.io.StringReader;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;

/**
 * Letters on their sheets, as PDF: laid out some at a time, all in one file whose pages are kept on
 * disk until it is saved.
 *
 * <p>A single letter is tagged for readers of screens (PDF/UA-1, as far as openhtmltopdf goes). A
 * file for a printer is not: the tags of thousands of letters would have to be held until the end.
 */
public final class LettersPdf implements AutoCloseable {

  private static final Pattern LETTER = Pattern.compile("letter-[0-9]+");
  private static final String PICTURE = "picture";

  static {
    // What it finds odd in a style sheet is not for the log of a house.
    XRLog.setLoggingEnabled(false);
  }

  private final PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache());
  private final LetterFonts fonts = new LetterFonts(document);
  private final Shaper shaper;
  private final Pictures pictures;
  private final String title;
  private final Locale language;
  private final boolean tagged;

  /**
   * Where a letter lies.
   *
   * @param page its first, from 0
   * @param pages how many it has, without a blank one
   * @param addressFits whether its address fits the window
   */
  public record Laid(int page, int pages, boolean addressFits) {}

  private LettersPdf(
      PaperFonts fonts, Pictures pictures, String title, Locale language, boolean tagged) {
    this.shaper = fonts.shaper(Face.SANS);
    this.pictures = pictures;
    this.title = title;
    this.language = language;
    this.tagged = tagged;
  }

  /** A file for a printer. */
  public static LettersPdf forPrinter(
      PaperFonts fonts, Pictures pictures, String title, Locale language) {
    return new LettersPdf(fonts, pictures, title, language, false);
  }

  /** A file of one letter. */
  public static LettersPdf ofOne(PaperFonts fonts, Pictures pictures, OutgoingSheet sheet) {
    String title = sheet.subject().isEmpty() ? sheet.address().get(0) : sheet.subject();
    return new LettersPdf(fonts, pictures, title, sheet.language(), true);
  }

  /**
   * Adds letters of one form.
   *
   * @param duplex whether each begins on a sheet of its own when both sides are printed
   * @return where they lie, in their order
   */
  public List<Laid> add(List<OutgoingSheet> sheets, boolean duplex) throws IOException {
    int before = document.getNumberOfPages();
    List<LabelFit.Fit> addresses = sheets.stream().map(this::fit).toList();
    List<Page> pages = new ArrayList<>();
    for (int i = 0; i < sheets.size(); i++) {
      pages.add(new Page(sheets.get(i), addresses.get(i).points()));
    }
    int[] first = layOut(PaperDocument.of(pages, title, language, LetterFonts.families()), sheets);
    int end = document.getNumberOfPages() - before;
    List<Laid> laid = new ArrayList<>();
    int blanks = 0;
    for (int i = 0; i < first.length; i++) {
      int its = (i + 1 < first.length ? first[i + 1] : end) - first[i];
      laid.add(new Laid(before + first[i] + blanks, its, addresses.get(i).fits()));
      if (duplex && its % 2 == 1) {
        addBlank(before + first[i] + blanks + its);
        blanks++;
      }
    }
    return laid;
  }

  /** Within the box of the address, in the size in which it fits. */
  private LabelFit.Fit fit(OutgoingSheet sheet) {
    double widest =
        sheet.address().stream().mapToDouble(line -> shaper.shape(line).width()).max().orElse(0);
    return LabelFit.of(
        widest, sheet.address().size(), sheet.form().address(), PaperDocument.ADDRESS_POINTS);
  }

  /** The characters of a letter that no font can print. */
  public String lacking(OutgoingSheet sheet) {
    return shaper.lacking(sheet.text() + String.join("", sheet.address()));
  }

  private void addBlank(int place) {
    PDPage like = document.getPage(place - 1);
    PDPage blank = new PDPage(like.getMediaBox());
    document.getPages().insertAfter(blank, like);
  }

  /** The page of each letter among those that were added. */
  private int[] layOut(String html, List<OutgoingSheet> sheets) throws IOException {
    PdfRendererBuilder builder =
        new PdfRendererBuilder()
            .useFastMode()
            .usePdfUaAccessibility(tagged)
            .withProducer("Jemble")
            .useUnicodeBidiSplitter(BidiLines::new)
            .useUnicodeBidiReorderer(new BidiLines.Reordering())
            .useUriResolver((base, address) -> resolved(address))
            .useProtocolsStreamImplementation(this::picture, PICTURE)
            .usePDDocument(document)
            .withHtmlContent(html, null);
    fonts.offer(builder);
    int[] first = new int[sheets.size()];
    try (PdfBoxRenderer renderer = builder.buildPdfRenderer()) {
      renderer.createPDFWithoutClosing();
      for (PagePosition<Box> place : renderer.findPagePositionsByID(LETTER)) {
        int letter = Integer.parseInt(place.getId().substring("letter-".length()));
        if (first[letter] == 0 || place.getPageNo() < first[letter]) {
          first[letter] = place.getPageNo();
        }
      }
    }
    return first;
  }

  /** Nothing but a picture of the house is ever looked for. */
  private static String resolved(String address) {
    return address != null && address.startsWith(FieldValue.Picture.PATH)
        ? PICTURE + ":" + address.substring(FieldValue.Picture.PATH.length())
        : null;
  }

  private FSStream picture(String address) {
    byte[] octets =
        pictures
            .find(URI.create(address).getSchemeSpecificPart())
            .map(InlinePicture.Stored::octets)
            .orElse(new byte[0]);
    return new FSStream() {
      @Override
      public InputStream getStream() {
        return new ByteArrayInputStream(octets);
      }

      @Override
      public Reader getReader() {
        return octets.length == 0
            ? new StringReader("")
            : new InputStreamReader(getStream(), StandardCharsets.UTF_8);
      }
    };
  }

  public int pages() {
    return document.getNumberOfPages();
  }

  public void save(OutputStream out) throws IOException {
    document.getDocumentInformation().setTitle(title);
    document.getDocumentCatalog().setLanguage(language.toLanguageTag());
    PDViewerPreferences shown = new PDViewerPreferences(new COSDictionary());
    shown.setDisplayDocTitle(true);
    document.getDocumentCatalog().setViewerPreferences(shown);
    document.save(out);
  }

  @Override
  public void close() throws IOException {
    document.close();
  }
}
