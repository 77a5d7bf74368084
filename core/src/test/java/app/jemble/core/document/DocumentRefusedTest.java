package app.jemble.core.document;

import static app.jemble.core.document.TestDocument.field;
import static app.jemble.core.document.TestDocument.paragraph;
import static app.jemble.core.document.TestDocument.run;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Files that are not taken, and what is dropped of those that are. */
public class DocumentRefusedTest {

  private static final String TEXT = paragraph(run("Hello"));

  private static TestDocument hello() {
    return TestDocument.of(TEXT);
  }

  private static Map<String, byte[]> without(String part) {
    Map<String, byte[]> parts = new LinkedHashMap<>(hello().parts());
    parts.remove(part);
    return parts;
  }

  private static Map<String, byte[]> retyped(String type) {
    Map<String, byte[]> parts = hello().parts();
    parts.put(
        "[Content_Types].xml",
        TestDocument.text(parts, "[Content_Types].xml")
            .replaceFirst("application/vnd[^\"]*document.main\\+xml", type)
            .getBytes(StandardCharsets.UTF_8));
    return parts;
  }

  @DataProvider
  public Object[][] broken() {
    String deep = "<w:p>".repeat(5_000) + "</w:p>".repeat(5_000);
    String lol =
        "<!DOCTYPE a [<!ENTITY x \"xxxxxxxxxx\">]><w:document xmlns:w=\""
            + Markup.WORDS
            + "\"><w:body>&x;</w:body></w:document>";
    return new Object[][] {
      {"nothing", Map.of(), "no .docx document"},
      {"no text", without("word/document.xml"), "no .docx document"},
      {"no types", without("[Content_Types].xml"), "no .docx document"},
      {"deep", TestDocument.of(deep).parts(), "is broken"},
      {"entities", hello().part("word/document.xml", lol).parts(), "is broken"},
      {"not XML", hello().part("word/document.xml", "<w:document").parts(), "is broken"},
    };
  }

  @DataProvider
  public Object[][] others() {
    return new Object[][] {
      {
        "macros",
        hello().related("rId9", "vbaProject", "vbaProject.bin", "x").parts(),
        "carries macros"
      },
      {
        "macros by type",
        retyped("application/vnd.ms-word.document.macroEnabled.main+xml"),
        "carries macros"
      },
      {"a sheet", retyped("application/vnd.openxmlformats.sheet.main+xml"), "no .docx document"},
      {
        "a template",
        retyped("application/vnd.openxmlformats-officedocument.wordprocessingml.template.main+xml"),
        "to begin documents from"
      },
    };
  }

  @DataProvider
  public Object[][] reachingOut() {
    return new Object[][] {
      {
        "a picture from elsewhere",
        hello().outside("rId9", "image", "https://far.test/x.png").parts(),
        "loads something from elsewhere (https://far.test/x.png)"
      },
      {
        "a link that runs",
        hello().outside("rId9", "hyperlink", "javascript:alert(1)").parts(),
        "from elsewhere"
      },
      {"an object", hello().related("rId9", "oleObject", "x.bin", "x").parts(), "embedded"},
      {
        "text from elsewhere",
        TestDocument.of(paragraph(field(" INCLUDETEXT \"c:\\\\x.docx\" ", ""))).parts(),
        "INCLUDETEXT"
      },
      {
        "a start of a program, in pieces and open",
        TestDocument.of(
                paragraph(
                    TestDocument.mark("begin")
                        + TestDocument.code(" DDE")
                        + TestDocument.code("AUTO x ")))
            .parts(),
        "DDEAUTO"
      },
      {
        "a strict one",
        hello()
            .part(
                "word/document.xml",
                "<document xmlns=\"http://purl.oclc.org/ooxml/wordprocessingml/main\"/>")
            .parts(),
        "strict form"
      },
    };
  }

  @Test(dataProvider = "broken", timeOut = 60_000)
  public void whatIsBrokenIsRefused(String what, Map<String, byte[]> parts, String sentence) {
    refused(what, parts, sentence);
  }

  @Test(dataProvider = "others", timeOut = 60_000)
  public void whatIsSomethingElseIsRefused(
      String what, Map<String, byte[]> parts, String sentence) {
    refused(what, parts, sentence);
  }

  @Test(dataProvider = "reachingOut", timeOut = 60_000)
  public void whatReachesOutIsRefused(String what, Map<String, byte[]> parts, String sentence) {
    refused(what, parts, sentence);
  }

  private static void refused(String what, Map<String, byte[]> parts, String sentence) {
    assertThatThrownBy(() -> DocumentTemplate.read(parts))
        .as(what)
        .isInstanceOf(DocumentRefused.class)
        .hasMessageContaining(sentence);
  }

  /** Written by whoever merged before: the list and the template of theirs are not asked for. */
  @Test
  public void theListOfAnotherIsDropped() {
    String settings =
        "<w:mailMerge><w:dataSource r:id=\"rId1\"/></w:mailMerge><w:attachedTemplate r:id=\"rId2\"/>"
            + "<w:zoom w:percent=\"90\"/>";
    Map<String, byte[]> parts =
        hello()
            .related("rId3", "settings", "settings.xml", TestDocument.words("settings", settings))
            .part(
                "word/_rels/settings.xml.rels",
                TestDocument.relations(
                    TestDocument.relation("rId1", "mailMergeSource", "file:///C:/people.csv", true)
                        + TestDocument.relation(
                            "rId2", "attachedTemplate", "file:///C:/our.dotx", true)))
            .outside("rId4", "hyperlink", "https://lowen.example/join")
            .parts();
    Map<String, byte[]> kept = DocumentTemplate.read(parts).parts();
    assertThat(TestDocument.text(kept, "word/settings.xml"))
        .contains("w:zoom")
        .doesNotContain("mailMerge")
        .doesNotContain("attachedTemplate");
    assertThat(TestDocument.text(kept, "word/_rels/settings.xml.rels"))
        .doesNotContain("people.csv")
        .doesNotContain("our.dotx");
    assertThat(TestDocument.text(kept, "word/_rels/document.xml.rels")).contains("lowen.example");
    assertThat(DocumentTemplate.read(kept).parts()).isEqualTo(kept);
  }
}
