package app.jemble.core.document;

import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.FieldValue;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Documents of two other writers (docx4j; LibreOffice, Debian's libreoffice-writer-nogui), filled
 * for fifty people and read back by Apache POI and, laid on pages, by LibreOffice and poppler.
 */
public class ForeignDocumentsTest {

  private static final int PEOPLE = 50;
  private static final List<String> NAMES =
      List.of("Zoë O'Hara", "Łukasz & Ewa", "Ann <b>", "Ólafur", "李小龍", "Μαρία", "Ivan \"x\"");

  private Path folder;

  @BeforeClass
  public void begin() throws IOException {
    folder = Files.createTempDirectory("documents");
  }

  @AfterClass(alwaysRun = true)
  public void end() throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      all.sorted(Comparator.reverseOrder()).forEach(path -> path.toFile().delete());
    }
  }

  private static String name(int person) {
    return NAMES.get(person % NAMES.size()) + " " + person;
  }

  private static String plan(int person) {
    return person % 3 == 0 ? "family" : "single";
  }

  private static String town(int person) {
    return person % 4 == 0 ? "" : "Lowen" + person;
  }

  private static Filling filling(int person) {
    return new Filling(
        Map.of(
            "Name", DocumentValue.words(name(person)),
            "Town", DocumentValue.words(town(person)),
            "Plan", DocumentValue.words(plan(person)),
            "Number", DocumentValue.words("M-" + person),
            "Dues",
                DocumentValue.of(
                    FieldValue.money(new BigDecimal(person + ".5"), "GBP"),
                    "£" + person + ".50",
                    ZoneOffset.UTC),
            "Until",
                DocumentValue.of(
                    FieldValue.day(LocalDate.of(2027, 1, 1).plusDays(person)),
                    "day " + person,
                    ZoneOffset.UTC)),
        Locale.UK);
  }

  private static String until(int person) {
    LocalDate day = LocalDate.of(2027, 1, 1).plusDays(person);
    String month = day.getMonthValue() == 1 ? "January" : "February";
    return day.getDayOfMonth() + " " + month + " 2027";
  }

  private static List<String> ofLibrary(int person) {
    String town = town(person).isEmpty() ? "" : "of " + town(person) + "!";
    return List.of(
        "Renewal of your membership",
        name(person).toUpperCase(Locale.UK) + ", " + town,
        plan(person).equals("family") ? "All of you are welcome." : "You are welcome.",
        until(person),
        "");
  }

  private static List<String> ofOffice(int person) {
    return List.of(
        "Renewal",
        "Dear " + name(person) + " of " + town(person) + ",",
        "Plan: " + plan(person),
        "Until day " + person + ".");
  }

  @DataProvider
  public Object[][] writers() {
    return new Object[][] {
      {"docx4j", ForeignWriters.docx4j()}, {"LibreOffice", ForeignWriters.libreOffice(folder)}
    };
  }

  private static List<String> expected(String writer, int person) {
    return writer.equals("docx4j") ? ofLibrary(person) : ofOffice(person);
  }

  private static String dues(String writer, int person) {
    return writer.equals("docx4j") ? person + ".50" : "£" + person + ".50";
  }

  @Test(dataProvider = "writers")
  public void everyValueIsInItsPlace(String writer, byte[] file) throws IOException {
    DocumentTemplate template = DocumentTemplate.read(TestDocument.parts(file));
    assertThat(template.remarks()).isEmpty();
    Map<String, byte[]> before = template.parts();
    List<String> styles = styles(file);
    for (int person = 0; person < PEOPLE; person++) {
      Map<String, byte[]> after = template.fill(filling(person));
      byte[] filled = TestDocument.file(after);
      assertThat(after.keySet()).isEqualTo(before.keySet());
      before.forEach(
          (name, content) -> {
            if (!name.equals("word/document.xml") && !name.contains("header")) {
              assertThat(after.get(name)).as(name).isEqualTo(content);
            }
          });
      try (XWPFDocument read = new XWPFDocument(new ByteArrayInputStream(filled))) {
        assertThat(texts(read)).isEqualTo(expected(writer, person));
        assertThat(read.getTables().get(0).getRow(0).getCell(1).getText())
            .isEqualTo(dues(writer, person));
        assertThat(styles(filled)).isEqualTo(styles);
        if (writer.equals("docx4j")) {
          assertThat(read.getHeaderList().get(0).getText().strip()).isEqualTo("No. M-" + person);
          assertThat(read.getAllPictures()).hasSize(1);
        }
      }
      assertThat(template.words(filling(person)).lines().map(String::strip))
          .contains(expected(writer, person).get(1).strip());
    }
  }

  private static List<String> texts(XWPFDocument read) {
    return read.getParagraphs().stream().map(XWPFParagraph::getText).toList();
  }

  private static List<String> styles(byte[] file) throws IOException {
    List<String> styles = new ArrayList<>();
    try (XWPFDocument read = new XWPFDocument(new ByteArrayInputStream(file))) {
      read.getParagraphs().forEach(p -> styles.add(p.getStyle() + " " + p.getNumID()));
    }
    return styles;
  }

  @Test(dataProvider = "writers")
  public void allInOneFileAreLaidOnPagesOfTheirOwn(String writer, byte[] file) throws IOException {
    DocumentTemplate template = DocumentTemplate.read(TestDocument.parts(file));
    Path joined = folder.resolve(writer + "-joined.docx");
    List<Filling> people = IntStream.range(0, PEOPLE).mapToObj(i -> filling(i)).toList();
    Files.write(joined, TestDocument.file(JoinedDocumentsTest.joined(template, false, people)));
    ForeignWriters.convert(joined, "pdf", folder);
    Path text = folder.resolve(writer + ".txt");
    new ProcessBuilder(
            "pdftotext", "-layout", folder.resolve(writer + "-joined.pdf").toString(), text + "")
        .inheritIO()
        .start()
        .onExit()
        .join();
    String[] pages = Files.readString(text, StandardCharsets.UTF_8).split("\f", -1);
    assertThat(pages).as("and nothing behind the last").hasSize(PEOPLE + 1);
    for (int person = 0; person < PEOPLE; person++) {
      String page = pages[person].replaceAll("\\s+", " ");
      for (String line : expected(writer, person)) {
        assertThat(page).as("page of " + person).contains(line.replaceAll("\\s+", " ").strip());
      }
      assertThat(page).contains(dues(writer, person));
      if (writer.equals("docx4j")) {
        assertThat(page).contains("No. M-" + person + " ");
      }
    }
  }
}
