package app.jemble.paper;

import app.jemble.core.paper.Box;
import app.jemble.core.paper.PaperSize;
import app.jemble.core.paper.ShapedLine;
import app.jemble.core.paper.ShapedLine.Cluster;
import app.jemble.core.paper.ShapedLine.Run;
import app.jemble.core.paper.ShapedLine.Sign;
import app.jemble.font.ShippedFonts;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;

/**
 * A PDF (ISO 32000-1) written page by page, its pages kept on disk until it is saved. Lengths are
 * in millimetres from the upper left corner of the page. Fonts are embedded with the signs that are
 * used; what a reader could not read sign by sign has its text beside it (section 14.9.4).
 */
public final class PaperPdf implements AutoCloseable {

  private static final double POINTS = 72 / 25.4;

  /** Less than can be seen, in sizes of the text: a thousandth is what a font's widths are in. */
  private static final double CLOSE = 0.001;

  private static final double HAIRLINE_POINTS = 0.5;

  private final PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache());
  private final PDResources resources = new PDResources();
  private final List<String> fontNames;
  private final Map<Integer, Embedded> fonts = new HashMap<>();
  private PDPage page;
  private StringBuilder content;

  /** A font of this document, and which letters its signs are. */
  private record Embedded(PDType0Font font, COSName name, PdfLetters letters) {}

  /**
   * @param fontNames in the order in which lines were shaped with them
   */
  public PaperPdf(String title, Locale language, List<String> fontNames) {
    this.fontNames = fontNames;
    document.getDocumentInformation().setTitle(title);
    document.getDocumentInformation().setProducer("Jemble");
    document.getDocumentCatalog().setLanguage(language.toLanguageTag());
    PDViewerPreferences shown = new PDViewerPreferences(new COSDictionary());
    shown.setDisplayDocTitle(true);
    document.getDocumentCatalog().setViewerPreferences(shown);
  }

  public void begin(PaperSize paper) {
    end();
    float width = (float) (paper.width() * POINTS);
    float height = (float) (paper.height() * POINTS);
    page = new PDPage(new PDRectangle(width, height));
    page.setResources(resources);
    content = new StringBuilder();
  }

  public int pages() {
    return document.getNumberOfPages() + (page == null ? 0 : 1);
  }

  /** Draws the outline of a box. */
  public void outline(Box box) {
    add(HAIRLINE_POINTS).append("w ");
    add(across(box.left()));
    add(up(box.bottom()));
    add(box.width() * POINTS);
    add(box.height() * POINTS).append("re S\n");
  }

  public void stroke(double left, double top, double right, double bottom) {
    add(HAIRLINE_POINTS).append("w ");
    add(across(left));
    add(up(top)).append("m ");
    add(across(right));
    add(up(bottom)).append("l S\n");
  }

  public void line(ShapedLine line, double left, double baseline, double points) {
    content.append("BT\n");
    for (Run run : line.runs()) {
      Embedded font = fonts.computeIfAbsent(run.font(), this::embed);
      content.append('/').append(font.name().getName()).append(' ');
      add(points).append("Tf\n");
      new Writing(font, across(left), up(baseline), points).write(run);
    }
    content.append("ET\n");
  }

  /**
   * Writes signs of one font. Those that follow one another as the font spaces them go together;
   * any other is put in its place.
   */
  private final class Writing {
    private final Embedded font;
    private final double left;
    private final double baseline;
    private final double points;
    private boolean open;

    /** Where the next sign would stand by itself, in sizes of the text. */
    private double next;

    Writing(Embedded font, double left, double baseline, double points) {
      this.font = font;
      this.left = left;
      this.baseline = baseline;
      this.points = points;
    }

    /** The first sign of a cluster is read as the whole; the marks at it are read as nothing. */
    void write(Run run) {
      for (Cluster cluster : run.clusters()) {
        String text = cluster.text();
        for (Sign sign : cluster.signs()) {
          if (font.letters().reads(sign.id(), text)) {
            write(sign);
          } else {
            writeAs(sign, text);
          }
          text = "";
        }
      }
      close();
    }

    private void write(Sign sign) {
      boolean follows = open && sign.y() == 0 && Math.abs(sign.x() - next) < CLOSE;
      if (!follows) {
        close();
        place(sign);
        content.append('<');
        open = true;
      }
      content.append(PdfLetters.hex((char) sign.id()));
      next = sign.x() + font.letters().width(font.font(), sign.id());
    }

    private void writeAs(Sign sign, String text) {
      close();
      content.append("/Span <</ActualText <FEFF").append(PdfLetters.hex(text)).append(">>> BDC\n");
      place(sign);
      content.append('<').append(PdfLetters.hex((char) sign.id())).append("> Tj\nEMC\n");
    }

    private void place(Sign sign) {
      content.append("1 0 0 1 ");
      add(left + sign.x() * points);
      add(baseline + sign.y() * points).append("Tm ");
      next = Double.NaN;
    }

    private void close() {
      if (open) {
        content.append("> Tj\n");
        open = false;
      }
    }
  }

  private Embedded embed(int font) {
    try (InputStream file = ShippedFonts.open(fontNames.get(font))) {
      PDType0Font embedded = PDType0Font.load(document, file, true);
      return new Embedded(embedded, resources.add(embedded), new PdfLetters());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private double across(double millimetres) {
    return millimetres * POINTS;
  }

  private double up(double millimetres) {
    return page.getMediaBox().getHeight() - millimetres * POINTS;
  }

  /** A number as PDF writes it (section 7.3.3), to a thousandth of a point. */
  private StringBuilder add(double number) {
    long thousandths = Math.round(number * 1000);
    if (thousandths < 0) {
      content.append('-');
    }
    long size = Math.abs(thousandths);
    content.append(size / 1000).append('.');
    content.append((char) ('0' + size / 100 % 10));
    content.append((char) ('0' + size / 10 % 10));
    return content.append((char) ('0' + size % 10)).append(' ');
  }

  private void end() {
    if (page == null) {
      return;
    }
    byte[] octets = content.toString().getBytes(StandardCharsets.US_ASCII);
    try {
      page.setContents(
          new PDStream(document, new ByteArrayInputStream(octets), COSName.FLATE_DECODE));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    document.addPage(page);
    page = null;
  }

  public void save(OutputStream out) throws IOException {
    end();
    for (Embedded font : fonts.values()) {
      font.font().addGlyphsToSubset(font.letters().signs());
      font.font().subset();
      font.font().getCOSObject().setItem(COSName.TO_UNICODE, font.letters().stream(document));
    }
    document.save(out);
  }

  @Override
  public void close() throws IOException {
    document.close();
  }
}
