package app.jemble.print;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.message.OutgoingSheet;
import app.jemble.core.message.Pictures;
import app.jemble.core.paper.Box;
import app.jemble.core.paper.LetterForm;
import app.jemble.core.reach.Address;
import app.jemble.paper.LettersPdf;
import app.jemble.paper.PaperFonts;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;

/** Letters in a PDF, read by readers that are not ours (poppler-utils, qpdf). */
public class LettersPdfTest {

  private static final int LETTERS = 1_000;
  private static final int PART = 100;
  private static final long SEED = 19;

  /** All words of addresses begin with it. */
  private static final String MARK = "Zq";

  private final PaperFonts fonts = new PaperFonts();

  private static OutgoingSheet sheet(LetterForm form, List<String> address, String body) {
    return new OutgoingSheet(
        "",
        new Address.Postal("\nx\n\ny"),
        address,
        "Quay House, 1 Quay Road, Lowen Quay",
        "29 November 2026",
        "The quay is closed",
        "",
        body,
        "",
        Optional.empty(),
        form,
        Locale.UK,
        Optional.empty());
  }

  private static List<String> address(Random random) {
    List<String> lines = new ArrayList<>();
    int count = 2 + random.nextInt(8);
    for (int i = 0; i < count; i++) {
      StringBuilder line = new StringBuilder();
      int words = 1 + random.nextInt(4);
      for (int w = 0; w < words; w++) {
        line.append(w == 0 ? "" : " ").append(MARK).append("x".repeat(random.nextInt(9)));
      }
      lines.add(line.toString());
    }
    return lines;
  }

  private Path print(LetterForm form, List<OutgoingSheet> sheets, boolean duplex) throws Exception {
    Path file = Files.createTempFile("letters", ".pdf");
    file.toFile().deleteOnExit();
    try (LettersPdf pdf = LettersPdf.forPrinter(fonts, Pictures.NONE, form.words(), Locale.UK);
        OutputStream out = Files.newOutputStream(file)) {
      for (int i = 0; i < sheets.size(); i += PART) {
        List<OutgoingSheet> part = sheets.subList(i, Math.min(i + PART, sheets.size()));
        assertThat(pdf.add(part, duplex)).allMatch(LettersPdf.Laid::addressFits);
      }
      pdf.save(out);
    }
    return file;
  }

  @Test
  public void aThousandAddressesLieInTheirWindows() throws Exception {
    Random random = new Random(SEED);
    for (LetterForm form : LetterForm.values()) {
      List<OutgoingSheet> sheets = new ArrayList<>();
      for (int i = 0; i < LETTERS / 3 + 1; i++) {
        sheets.add(sheet(form, address(random), "<p>Hello.</p>"));
      }
      Path pdf = print(form, sheets, false);
      List<OtherReader.Word> words =
          OtherReader.words(pdf).stream().filter(w -> w.text().startsWith(MARK)).toList();
      assertThat(words.stream().map(OtherReader.Word::page).distinct()).hasSize(sheets.size());
      assertThat(words).allMatch(w -> box(w).isWithin(form.field()), "in the window");
      assertThat(OtherReader.sizes(pdf))
          .allMatch(
              page ->
                  Math.abs(page.width() - form.paper().width()) < 0.1
                      && Math.abs(page.height() - form.paper().height()) < 0.1);
      assertThat(OtherReader.run("qpdf", "--check", pdf.toString())).contains("No syntax");
    }
  }

  private static Box box(OtherReader.Word word) {
    return new Box(word.left(), word.top(), word.right() - word.left(), word.bottom() - word.top());
  }

  /** The pages of each letter are counted for itself; a blank back goes after an odd one. */
  @Test
  public void longLettersGoOnAndCountTheirOwnPages() throws Exception {
    String paragraph = "<p>" + "The quay is closed and so is the slip. ".repeat(20) + "</p>";
    List<String> address = List.of("Bo Post", "4 Quay Lane");
    List<OutgoingSheet> sheets =
        List.of(
            sheet(LetterForm.DIN_B, address, "<p>One page.</p>"),
            sheet(LetterForm.DIN_B, address, paragraph.repeat(8)),
            sheet(LetterForm.DIN_B, address, "<p>The last.</p>"));
    try (LettersPdf pdf = LettersPdf.forPrinter(fonts, Pictures.NONE, "Three", Locale.UK)) {
      List<LettersPdf.Laid> laid = pdf.add(sheets, true);
      assertThat(laid.get(0).pages()).isEqualTo(1);
      assertThat(laid.get(1).page()).isEqualTo(2);
      assertThat(laid.get(1).pages()).isGreaterThan(1);
      assertThat(laid.get(2).page()).isEven().isEqualTo(pdf.pages() - 2);
    }
    Path file = print(LetterForm.DIN_B, sheets, true);
    assertThat(OtherReader.run("pdftotext", "-f", "1", "-l", "1", file.toString(), "-"))
        .contains("One page.", "1/1");
    assertThat(OtherReader.run("pdftotext", "-f", "3", "-l", "3", file.toString(), "-"))
        .contains("1/")
        .doesNotContain("1/1");
    assertThat(OtherReader.run("pdftotext", "-f", "2", "-l", "2", file.toString(), "-").strip())
        .as("a blank back")
        .isEmpty();
  }

  @Test
  public void lettersOfOtherScriptsAreReadAsTheyWereWritten() throws Exception {
    String body = "<p>Žluťoučký kůň</p><p>Ελλάδα</p><p>東京タワー</p><p>서울</p>";
    Path file =
        print(LetterForm.DIN_B, List.of(sheet(LetterForm.DIN_B, List.of("Bo"), body)), false);
    assertThat(OtherReader.text(file)).contains("Žluťoučký kůň", "Ελλάδα", "東京タワー", "서울");
    assertThat(OtherReader.run("pdffonts", file.toString())).doesNotContain(" no  no ");
  }
}
