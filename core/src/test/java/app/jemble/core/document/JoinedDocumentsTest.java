package app.jemble.core.document;

import static app.jemble.core.document.TestDocument.field;
import static app.jemble.core.document.TestDocument.merge;
import static app.jemble.core.document.TestDocument.paragraph;
import static app.jemble.core.document.TestDocument.run;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.testng.annotations.Test;

/** Letters in one file. Read back by Apache POI, which writes none of it. */
public class JoinedDocumentsTest {

  private static final String LIST =
      "<w:abstractNum w:abstractNumId=\"4\"><w:lvl w:ilvl=\"0\"><w:start w:val=\"1\"/>"
          + "<w:numFmt w:val=\"decimal\"/><w:lvlText w:val=\"%1.\"/></w:lvl></w:abstractNum>"
          + "<w:abstractNum w:abstractNumId=\"5\"><w:lvl w:ilvl=\"0\">"
          + "<w:numFmt w:val=\"bullet\"/></w:lvl></w:abstractNum>"
          + "<w:num w:numId=\"1\"><w:abstractNumId w:val=\"4\"/></w:num>"
          + "<w:num w:numId=\"2\"><w:abstractNumId w:val=\"5\"/></w:num>";

  private static String item(String list, String words) {
    return "<w:p><w:pPr><w:numPr><w:ilvl w:val=\"0\"/><w:numId w:val=\""
        + list
        + "\"/></w:numPr></w:pPr>"
        + run(words)
        + "</w:p>";
  }

  private static TestDocument document(String last) {
    String section =
        "<w:sectPr><w:headerReference w:type=\"default\" r:id=\"rId5\"/>"
            + "<w:footerReference w:type=\"default\" r:id=\"rId6\"/>"
            + "<w:type w:val=\"continuous\"/><w:pgSz w:w=\"11906\" w:h=\"16838\"/></w:sectPr>";
    return TestDocument.of(
            paragraph(run("Dear ") + merge("A"))
                + item("1", "one")
                + item("1", "two")
                + item("2", "dot")
                + last
                + section)
        .related("rId5", "header", "header1.xml", TestDocument.words("hdr", paragraph(merge("A"))))
        .related(
            "rId6",
            "footer",
            "footer1.xml",
            TestDocument.words(
                "ftr", paragraph(field(" PAGE ", "1") + run(" of ") + field(" NUMPAGES ", "1"))))
        .related("rId7", "numbering", "numbering.xml", TestDocument.words("numbering", LIST));
  }

  private static Map<String, byte[]> joined(
      TestDocument document, boolean sheets, String... names) {
    List<Filling> people = new ArrayList<>();
    for (String name : names) {
      people.add(new Filling(Map.of("A", DocumentValue.words(name)), Locale.UK));
    }
    return joined(DocumentTemplate.read(document.parts()), sheets, people);
  }

  static Map<String, byte[]> joined(
      DocumentTemplate template, boolean sheets, List<Filling> people) {
    JoinedDocuments joined = new JoinedDocuments(template, sheets);
    StringBuilder main = new StringBuilder(joined.begin());
    Map<String, byte[]> parts = new LinkedHashMap<>();
    for (int i = 0; i < people.size(); i++) {
      JoinedDocuments.Letter letter = joined.letter(people.get(i), i + 1 < people.size());
      main.append(letter.text());
      parts.putAll(letter.parts());
    }
    main.append(joined.end());
    parts.putAll(joined.shared());
    parts.put(joined.mainName(), main.toString().getBytes(StandardCharsets.UTF_8));
    return parts;
  }

  @Test
  public void eachLetterHasSectionsHeadersAndListsOfItsOwn() throws IOException {
    Map<String, byte[]> file =
        joined(document(paragraph(run("Yours"))), false, "Ann", "Bea", "Cal");
    try (XWPFDocument read = new XWPFDocument(new ByteArrayInputStream(TestDocument.file(file)))) {
      List<String> texts = read.getParagraphs().stream().map(XWPFParagraph::getText).toList();
      assertThat(texts)
          .containsExactly(
              "Dear Ann",
              "one",
              "two",
              "dot",
              "Yours",
              "Dear Bea",
              "one",
              "two",
              "dot",
              "Yours",
              "Dear Cal",
              "one",
              "two",
              "dot",
              "Yours");
      assertThat(read.getHeaderList().stream().map(h -> h.getText().strip()))
          .containsExactlyInAnyOrder("Ann", "Bea", "Cal");
      List<XWPFParagraph> all = read.getParagraphs();
      assertThat(List.of(1, 2, 6, 7, 11, 12).stream().map(i -> all.get(i).getNumID().intValue()))
          .containsExactly(1, 1, 3, 3, 4, 4);
      assertThat(all.get(8).getNumID().intValue()).as("nothing is counted here").isEqualTo(2);
      assertThat(read.getNumbering().numExist(all.get(6).getNumID())).isTrue();
      assertThat(all.get(4).getCTP().getPPr().getSectPr().getPgNumType().getStart().intValue())
          .isEqualTo(1);
      assertThat(all.get(4).getCTP().getPPr().getSectPr().getType().getVal().toString())
          .isEqualTo("nextPage");
      assertThat(all.get(14).getCTP().getPPr().isSetSectPr()).as("it ends the file").isFalse();
      assertThat(read.getDocument().getBody().getSectPr().getType().getVal().toString())
          .isEqualTo("nextPage");
    }
    assertThat(TestDocument.text(file, "word/footer1.xml")).contains(" SECTIONPAGES ");
    assertThat(TestDocument.text(file, "word/numbering.xml").split("startOverride", -1)).hasSize(3);
  }

  @Test
  public void eachBeginsOnASheetWhereBothSidesArePrinted() throws IOException {
    Map<String, byte[]> file = joined(document(paragraph(run("Yours"))), true, "Ann", "Bea");
    assertThat(TestDocument.text(file, "word/document.xml").split("oddPage", -1)).hasSize(3);
  }

  @Test
  public void oneAloneIsOne() throws IOException {
    Map<String, byte[]> file = joined(document(paragraph(run("Yours"))), false, "Ann");
    try (XWPFDocument read = new XWPFDocument(new ByteArrayInputStream(TestDocument.file(file)))) {
      assertThat(read.getParagraphs()).hasSize(5);
      assertThat(read.getHeaderList().get(0).getText().strip()).isEqualTo("Ann");
    }
  }

  @Test
  public void aLetterMayEndWithATable() throws IOException {
    String table =
        "<w:tbl><w:tblPr/><w:tblGrid/><w:tr><w:tc>"
            + paragraph(merge("A"))
            + "</w:tc></w:tr></w:tbl>";
    Map<String, byte[]> file = joined(document(table), false, "Ann", "Bea");
    try (XWPFDocument read = new XWPFDocument(new ByteArrayInputStream(TestDocument.file(file)))) {
      assertThat(read.getTables()).hasSize(2);
      assertThat(read.getTables().get(1).getText().strip()).isEqualTo("Bea");
    }
  }
}
