package app.jemble.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.jemble.core.paper.Align;
import app.jemble.core.paper.Box;
import app.jemble.core.paper.LabelDesign;
import app.jemble.core.paper.LabelDesign.Face;
import app.jemble.core.paper.LabelRun;
import app.jemble.core.paper.LabelSetting;
import app.jemble.core.paper.LabelSetting.SetLabel;
import app.jemble.core.paper.PrintOrder;
import app.jemble.core.paper.ShapedLine;
import app.jemble.core.paper.ShapedLine.Cluster;
import app.jemble.core.paper.Shaper;
import app.jemble.core.paper.SheetLayout;
import app.jemble.core.paper.ShippedSheets;
import app.jemble.paper.PaperFonts;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Files of labels, as readers that are not ours find them. */
public class LabelsFileTest {

  private static final double TENTH = 0.1;

  /** Of each of three looks: more than a thousand in all. */
  private static final int LABELS = 340;

  private final PaperFonts fonts = new PaperFonts();

  private static LabelDesign design(SheetLayout sheet, Face face, Align align) {
    return new LabelDesign(sheet, "", face, 10, align, 2, PrintOrder.NAME);
  }

  private SetLabel set(LabelDesign design, List<String> lines) {
    Shaper shaper = fonts.shaper(design.face());
    return LabelSetting.of(design, lines.stream().map(shaper::shape).toList());
  }

  private Path file(LabelDesign design, LabelRun run, List<List<String>> labels)
      throws IOException {
    Path path = Files.createTempFile("labels", ".pdf");
    path.toFile().deleteOnExit();
    try (LabelsFile file = new LabelsFile(design, run, "Yearbook", Locale.UK);
        OutputStream out = Files.newOutputStream(path)) {
      for (int i = 0; i < labels.size(); i++) {
        file.add(i, set(design, labels.get(i)));
      }
      file.save(out);
    }
    return path;
  }

  @DataProvider
  public Object[][] runs() {
    return new Object[][] {
      {ShippedSheets.ALL.get(0), 0, 1, 0.0, 0.0},
      {ShippedSheets.ALL.get(4), 4, 2, 1.3, -0.7},
      {ShippedSheets.ALL.get(6), 11, 1, -0.8, 0.4}
    };
  }

  /**
   * Where a reader that is not ours finds the first letter of each label: at the left margin of the
   * label that {@code references.md} gives (the same numbers as Debian's glabels-data).
   */
  @Test(dataProvider = "runs")
  public void eachLabelLiesWhereItsSheetSays(
      SheetLayout sheet, int start, int copies, double across, double down) throws IOException {
    LabelRun run = new LabelRun(sheet, start, copies, across, down);
    LabelDesign design = design(sheet, Face.SANS, Align.START);
    int people = 40;
    List<List<String>> labels = new ArrayList<>();
    for (int i = 0; i < people; i++) {
      labels.add(List.of("H" + i));
    }
    Path path = file(design, run, labels);
    List<OtherReader.Word> words = OtherReader.words(path);
    assertThat(words).hasSize(people * copies);
    for (int i = 0; i < words.size(); i++) {
      int place = start + i;
      int label = place % sheet.labels();
      OtherReader.Word word = words.get(i);
      double left =
          sheet.first().left() + label % sheet.across() * sheet.pitchAcross() + across + 2;
      double middle =
          sheet.first().top()
              + label / sheet.across() * sheet.pitchDown()
              + down
              + sheet.first().height() / 2;
      assertThat(word.text()).isEqualTo("H" + i / copies);
      assertThat(word.page()).isEqualTo(place / sheet.labels());
      assertThat(word.left()).as("label %s", label).isCloseTo(left, within(TENTH));
      // The reader's box goes from the font's ascent to its descent: 1.069 and 0.293 (Noto Sans).
      double baseline = word.top() + (word.bottom() - word.top()) * 1.069 / (1.069 + 0.293);
      assertThat(baseline - 0.3 * 10 * 25.4 / 72)
          .as("label %s", label)
          .isCloseTo(middle, within(TENTH));
    }
    OtherReader.Page page = OtherReader.sizes(path).get(0);
    assertThat(page.width()).isCloseTo(sheet.paper().width(), within(TENTH));
    assertThat(page.height()).isCloseTo(sheet.paper().height(), within(TENTH));
  }

  @DataProvider
  public Object[][] looks() {
    return new Object[][] {
      {ShippedSheets.ALL.get(0), Face.SANS, Align.START},
      {ShippedSheets.ALL.get(8), Face.SERIF, Align.CENTRE},
      {ShippedSheets.ALL.get(7), Face.SANS, Align.END}
    };
  }

  /** Ink, seen point by point: what fits by our sums leaves nothing outside its label. */
  @Test(dataProvider = "looks")
  public void nothingIsPrintedOutsideItsLabel(SheetLayout sheet, Face face, Align align)
      throws IOException {
    LabelDesign design = design(sheet, face, align);
    OddAddresses addresses = new OddAddresses(sheet.labels());
    List<List<String>> labels = new ArrayList<>();
    int shrunk = 0;
    while (labels.size() < LABELS) {
      List<String> lines = addresses.next();
      SetLabel set = set(design, lines);
      shrunk += set.fit().shrunk() ? 1 : 0;
      if (set.fit().fits()) {
        labels.add(lines);
      }
    }
    assertThat(shrunk).isGreaterThan(30);
    LabelRun run = new LabelRun(sheet, 0, 1, 0, 0);
    try (PDDocument document = Loader.loadPDF(file(design, run, labels).toFile())) {
      assertThat(document.getNumberOfPages()).isEqualTo(run.pages(LABELS));
      PDFRenderer renderer = new PDFRenderer(document);
      for (int page = 0; page < document.getNumberOfPages(); page++) {
        assertInkIsInside(renderer.renderImage(page, SCALE), sheet, page);
      }
    }
  }

  /** Points of the picture in a point of the page. */
  private static final float SCALE = 1.5f;

  private static void assertInkIsInside(BufferedImage page, SheetLayout sheet, int number) {
    double points = SCALE * 72 / 25.4;
    int ink = 0;
    for (int y = 0; y < page.getHeight(); y++) {
      for (int x = 0; x < page.getWidth(); x++) {
        if ((page.getRGB(x, y) & 0xff) < 0x80) {
          ink++;
          Box point = new Box(x / points, y / points, 1 / points, 1 / points);
          assertThat(isInside(point, sheet))
              .as("page %s, %s mm, %s mm", number, point.left(), point.top())
              .isTrue();
        }
      }
    }
    assertThat(ink).isGreaterThan(100);
  }

  private static boolean isInside(Box point, SheetLayout sheet) {
    for (int label = 0; label < sheet.labels(); label++) {
      if (point.isWithin(sheet.label(label))) {
        return true;
      }
    }
    return false;
  }

  /** What is read again is what was written, in the order in which people read it. */
  @Test
  public void everyScriptIsReadAsItWasWritten() throws IOException {
    SheetLayout sheet = ShippedSheets.ALL.get(4);
    LabelDesign design = design(sheet, Face.SERIF, Align.START);
    List<List<String>> labels = new ArrayList<>();
    OddAddresses.SCRIPTS.forEach(script -> labels.add(List.of(String.join(" ", script))));
    List<String> words = OddAddresses.SCRIPTS.stream().flatMap(List::stream).toList();
    Path path = file(design, new LabelRun(sheet, 0, 1, 0, 0), labels);
    // The marks of direction that the reader puts around what runs from the right.
    String read = OtherReader.text(path).replaceAll("[\u200e\u200f\u202a-\u202e\u2066-\u2069]", "");
    assertThat(read.split("\\s+")).containsAll(words);
    try (PDDocument document = Loader.loadPDF(path.toFile())) {
      assertThat(document.getDocumentInformation().getTitle()).isEqualTo("Yearbook");
      assertThat(document.getDocumentCatalog().getLanguage()).isEqualTo("en-GB");
    }
    assertThat(OtherReader.run("pdffonts", path.toString()).lines().skip(2))
        .hasSize(8)
        .allMatch(font -> font.matches(".*CID TrueType +Identity-H +yes yes yes.*"));
  }

  /** Joined Arabic letters are other signs than single ones, and the first stands on the right. */
  @Test
  public void arabicIsJoinedAndRunsFromTheRight() {
    Shaper shaper = fonts.shaper(Face.SANS);
    ShapedLine joined = shaper.shape("عمر");
    List<Cluster> clusters = joined.runs().get(0).clusters();
    assertThat(joined.rightToLeft()).isTrue();
    assertThat(clusters).extracting(Cluster::text).containsExactly("ر", "م", "ع");
    Cluster alone = shaper.shape("ع").runs().get(0).clusters().get(0);
    assertThat(clusters.get(2).signs().get(0).id()).isNotEqualTo(alone.signs().get(0).id());
    assertThat(clusters.get(2).signs().get(0).x())
        .isGreaterThan(clusters.get(0).signs().get(0).x());
    ShapedLine mixed = shaper.shape("שרה Bea 12");
    assertThat(mixed.runs()).hasSize(2);
    assertThat(mixed.rightToLeft()).isTrue();
    assertThat(shaper.shape("Bea 12").rightToLeft()).isFalse();
  }

  @Test
  public void whatNoFontHasIsSaid() {
    assertThat(fonts.shaper(Face.SANS).lacking("Bea ᚠ 𐎀")).isEqualTo("ᚠ𐎀");
    assertThat(fonts.shaper(Face.SERIF).lacking("Bea Nguyễn 한국")).isEmpty();
  }
}
