package app.jemble.core.document;

import static app.jemble.core.document.TestDocument.choice;
import static app.jemble.core.document.TestDocument.code;
import static app.jemble.core.document.TestDocument.field;
import static app.jemble.core.document.TestDocument.mark;
import static app.jemble.core.document.TestDocument.merge;
import static app.jemble.core.document.TestDocument.paragraph;
import static app.jemble.core.document.TestDocument.run;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.core.record.FieldValue;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.testng.annotations.Test;

/** What becomes of a document's fields. */
public class DocumentTemplateTest {

  private static DocumentTemplate template(String paragraphs) {
    return DocumentTemplate.read(TestDocument.of(paragraphs).parts());
  }

  private static Filling filling(String... pairs) {
    Map<String, DocumentValue> values = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      values.put(pairs[i], DocumentValue.words(pairs[i + 1]));
    }
    return new Filling(values, Locale.UK);
  }

  private static String text(DocumentTemplate template, Filling filling) {
    return TestDocument.text(template.fill(filling), "word/document.xml");
  }

  @Test
  public void aFieldIsFilledHoweverItIsParted() {
    String parted =
        mark("begin")
            + code(" MERGE")
            + "<w:proofErr w:type=\"spellStart\"/>"
            + code("FIELD  Fir")
            + code("st ")
            + mark("separate")
            + "<w:r><w:rPr><w:b/></w:rPr><w:t>«Fi</w:t></w:r>"
            + run("rst»")
            + mark("end");
    String inOneRun =
        "<w:r><w:fldChar w:fldCharType=\"begin\"/><w:instrText> MERGEFIELD Last </w:instrText>"
            + "<w:fldChar w:fldCharType=\"separate\"/><w:t>x</w:t>"
            + "<w:fldChar w:fldCharType=\"end\"/></w:r>";
    String simple =
        "<w:fldSimple w:instr=\" MERGEFIELD first \\* Upper \">" + run("y") + "</w:fldSimple>";
    DocumentTemplate template =
        template(paragraph(run("Dear ") + parted + run(" ") + inOneRun + run(", ") + simple));
    assertThat(template.fields()).containsExactly("First", "Last");
    String text = text(template, filling("First", "Zoë <&> 𝒵", "Last", "O'Hara"));
    assertThat(text)
        .contains("<w:rPr><w:b/></w:rPr><w:t xml:space=\"preserve\">Zoë &lt;&amp;&gt; 𝒵</w:t>")
        .contains("ZOË")
        .doesNotContain("instrText")
        .doesNotContain("fldChar")
        .doesNotContain("«");
    assertThat(template.words(filling("First", "Zoë", "Last", "O'Hara")))
        .isEqualTo("Dear Zoë O'Hara, ZOË");
  }

  @Test
  public void switchesAreApplied() {
    DocumentTemplate template =
        template(
            paragraph(
                merge("A \\* Upper")
                    + run("|")
                    + merge("A \\* Caps")
                    + run("|")
                    + merge("A \\* FirstCap")
                    + run("|")
                    + merge("A \\b \"(\" \\f \")\"")
                    + merge("None \\b \"(\" \\f \")\"")
                    + run("|")
                    + merge("Day \\@ \"d MMM yyyy\"")
                    + run("|")
                    + merge("Dues \\# \"#,##0.00\"")));
    Map<String, DocumentValue> values =
        Map.of(
            "A",
            DocumentValue.words("éva and ben"),
            "Day",
            DocumentValue.of(
                FieldValue.day(LocalDate.of(2027, 4, 1)), "1 April 2027", ZoneOffset.UTC),
            "Dues",
            DocumentValue.of(
                FieldValue.money(new BigDecimal("1234.5"), "GBP"), "£1,234.50", ZoneOffset.UTC));
    assertThat(template.words(new Filling(values, Locale.UK)))
        .isEqualTo("ÉVA AND BEN|Éva And Ben|Éva and ben|(éva and ben)|1 Apr 2027|1,234.50");
    assertThat(template.remarks()).isEmpty();
    assertThat(template.missing(new Filling(values, Locale.UK))).isEmpty();
  }

  @Test
  public void anIfIsDecided() {
    String inner = choice(" IF ", merge("Dues"), " &gt;= 100 \"much\" \"little\" ");
    DocumentTemplate template =
        template(
            paragraph(
                choice(" IF ", merge("Kind"), " = \"mem*\" \"A member\" \"Nobody\" ")
                    + run("; ")
                    + mark("begin")
                    + code(" IF ")
                    + merge("Kind")
                    + code(" &lt;&gt; \"\" \"owes ")
                    + inner
                    + code(": ")
                    + merge("Dues")
                    + code("\" \"\" ")
                    + mark("end")));
    assertThat(template.remarks()).isEmpty();
    assertThat(template.fields()).containsExactly("Kind", "Dues");
    assertThat(template.words(filling("Kind", "member", "Dues", "99.50")))
        .isEqualTo("A member; owes little: 99.50");
    assertThat(template.words(filling("Kind", "member", "Dues", "100")))
        .isEqualTo("A member; owes much: 100");
    assertThat(template.words(filling("Kind", "lead", "Dues", "1000")))
        .isEqualTo("Nobody; owes much: 1000");
    assertThat(template.words(filling())).isEqualTo("Nobody;");
    assertThat(template.missing(filling("Kind", "lead"))).containsExactly("Dues");
    assertThat(template.missing(filling())).isEmpty();
  }

  @Test
  public void linesOfFieldsCloseUp() {
    DocumentTemplate template =
        template(
            paragraph(merge("Street"))
                + paragraph(merge("Extra"))
                + paragraph(merge("Postcode") + run(" ") + merge("Place"))
                + paragraph("")
                + paragraph(merge("Close")));
    Filling filling = filling("Street", "1 Quay", "Place", "Lowen");
    assertThat(template.words(filling)).isEqualTo("1 Quay\n Lowen");
    assertThat(text(template, filling).split("</w:p>|<w:p/>", -1)).hasSize(5);
    assertThat(template.missing(filling)).containsExactly("Postcode", "Close");
    assertThat(template.words(filling("Street", "1 Quay\n2nd floor")))
        .isEqualTo("1 Quay\n2nd floor");
    assertThat(text(template, filling("Street", "1 Quay\n2nd\tfloor")))
        .contains("1 Quay</w:t><w:br/><w:t xml:space=\"preserve\">2nd</w:t><w:tab/>");
  }

  @Test
  public void whatDoesNotWorkIsNamed() {
    DocumentTemplate template =
        template(
            paragraph(
                    field(" NEXT ", "")
                        + merge("A \\* Roman")
                        + choice(" = ", merge("B"), " * 2 ")
                        + choice(" IF ", merge("C"), " like \"x\" \"y\" "))
                + paragraph(mark("begin") + code(" IF 1 = 1 \"a"))
                + paragraph(code(" b\" ") + mark("end"))
                + paragraph(field(" PAGE ", "1") + field(" DATE ", "today")));
    assertThat(template.remarks()).hasSize(5);
    assertThat(template.remarks().toString())
        .contains("“NEXT” has no meaning here")
        .contains("without “\\* Roman”")
        .contains("asks for other fields")
        .contains("cannot be read")
        .contains("several paragraphs");
    assertThat(template.fields()).containsExactly("A");
    assertThat(text(template, filling("A", "x"))).contains(" PAGE ").contains(" DATE ");
  }

  @Test
  public void everyPartButTheFilledStaysAsItWas() {
    byte[] picture = {(byte) 0x89, 'P', 'N', 'G', 1, 2, 3};
    TestDocument document =
        TestDocument.of(paragraph(merge("A")))
            .related(
                "rId5",
                "header",
                "header1.xml",
                TestDocument.words("hdr", paragraph(run("To ") + merge("A"))))
            .related("rId6", "styles", "styles.xml", TestDocument.words("styles", ""))
            .part("word/media/image1.png", picture);
    DocumentTemplate template = DocumentTemplate.read(document.parts());
    Map<String, byte[]> before = new LinkedHashMap<>(document.parts());
    Map<String, byte[]> after = template.fill(filling("A", "Ann"));
    assertThat(after.keySet()).containsExactlyElementsOf(before.keySet());
    before.remove("word/document.xml");
    before.remove("word/header1.xml");
    before.forEach((name, content) -> assertThat(after.get(name)).as(name).isEqualTo(content));
    assertThat(TestDocument.text(after, "word/header1.xml")).contains("To ").contains("Ann");
  }

  @Test
  public void aFieldInAHeaderAndTwiceForOlderReadersIsFilled() {
    String box = "<w:p>" + merge("A") + "</w:p>";
    String twice =
        "<w:p><w:r><mc:AlternateContent><mc:Choice Requires=\"wps\"><w:txbxContent>"
            + box
            + "</w:txbxContent></mc:Choice><mc:Fallback><w:txbxContent>"
            + box
            + "</w:txbxContent></mc:Fallback></mc:AlternateContent></w:r></w:p>";
    DocumentTemplate template = template(twice);
    assertThat(template.words(filling("A", "Ann"))).isEqualTo("Ann");
    assertThat(text(template, filling("A", "Ann")).split("Ann", -1)).hasSize(3);
  }

  @Test
  public void marksOfOursInADocumentMeanNothing() {
    DocumentTemplate template =
        template(
            "<?jemble 0?><!-- <?jemble 0?> --><w:p><w:r><w:t><![CDATA[<?jemble 0?>]]></w:t></w:r>"
                + merge("A")
                + "</w:p>");
    assertThat(template.words(filling("A", "Ann"))).isEqualTo("<?jemble 0?>Ann");
    assertThat(text(template, filling("A", "<?jemble 0?>"))).contains("&lt;?jemble 0?&gt;");
  }
}
