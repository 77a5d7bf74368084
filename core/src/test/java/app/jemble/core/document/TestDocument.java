package app.jemble.core.document;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** The smallest document there can be, written by hand, and what a trial puts into it. */
public final class TestDocument {

  private static final String RELATION =
      "http://schemas.openxmlformats.org/officeDocument/2006/relationships/";
  private static final String TYPE =
      "application/vnd.openxmlformats-officedocument.wordprocessingml.";

  private final Map<String, byte[]> parts = new LinkedHashMap<>();
  private final StringBuilder relations = new StringBuilder();
  private final StringBuilder types = new StringBuilder();

  /** With these paragraphs as its text. */
  public static TestDocument of(String paragraphs) {
    return new TestDocument()
        .type("/word/document.xml", TYPE + "document.main+xml")
        .part(
            "_rels/.rels",
            relations(relation("rId1", "officeDocument", "word/document.xml", false)))
        .part("word/document.xml", words("document", "<w:body>" + paragraphs + "</w:body>"));
  }

  public static String words(String root, String inside) {
    return "<?xml version=\"1.0\" encoding=\"UTF-8\"?><w:"
        + root
        + " xmlns:w=\""
        + Markup.WORDS
        + "\" xmlns:r=\""
        + Markup.RELATIONS
        + "\" xmlns:mc=\"http://schemas.openxmlformats.org/markup-compatibility/2006\">"
        + inside
        + "</w:"
        + root
        + ">";
  }

  public static String relation(String id, String kind, String target, boolean outside) {
    return "<Relationship Id=\""
        + id
        + "\" Type=\""
        + RELATION
        + kind
        + "\" Target=\""
        + target
        + (outside ? "\" TargetMode=\"External\"/>" : "\"/>");
  }

  public static String relations(String all) {
    return "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">"
        + all
        + "</Relationships>";
  }

  public TestDocument part(String name, String content) {
    return part(name, content.getBytes(StandardCharsets.UTF_8));
  }

  public TestDocument part(String name, byte[] content) {
    parts.put(name, content);
    return this;
  }

  public TestDocument type(String part, String type) {
    types.append("<Override PartName=\"").append(part);
    types.append("\" ContentType=\"").append(type).append("\"/>");
    return this;
  }

  /** Another part that the text leads to. */
  public TestDocument related(String id, String kind, String name, String content) {
    relations.append(relation(id, kind, name, false));
    type("/word/" + name, TYPE + kind + "+xml");
    return part("word/" + name, content);
  }

  public TestDocument outside(String id, String kind, String target) {
    relations.append(relation(id, kind, target, true));
    return this;
  }

  public Map<String, byte[]> parts() {
    Map<String, byte[]> all = new LinkedHashMap<>();
    String head = "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\">";
    all.put(
        "[Content_Types].xml",
        (head
                + "<Default Extension=\"rels\" ContentType=\""
                + "application/vnd.openxmlformats-package.relationships+xml\"/>"
                + "<Default Extension=\"xml\" ContentType=\"application/xml\"/>"
                + types
                + "</Types>")
            .getBytes(StandardCharsets.UTF_8));
    all.putAll(parts);
    all.put(
        "word/_rels/document.xml.rels",
        relations(relations.toString()).getBytes(StandardCharsets.UTF_8));
    return all;
  }

  public static byte[] file(Map<String, byte[]> parts) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> each : parts.entrySet()) {
        zip.putNextEntry(new ZipEntry(each.getKey()));
        zip.write(each.getValue());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  public static Map<String, byte[]> parts(byte[] file) {
    Map<String, byte[]> parts = new LinkedHashMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        parts.put(e.getName(), zip.readAllBytes());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return parts;
  }

  public static String text(Map<String, byte[]> parts, String part) {
    return new String(parts.get(part), StandardCharsets.UTF_8);
  }

  public static String paragraph(String inside) {
    return "<w:p>" + inside + "</w:p>";
  }

  public static String run(String words) {
    return "<w:r><w:t xml:space=\"preserve\">" + words + "</w:t></w:r>";
  }

  public static String mark(String kind) {
    return "<w:r><w:fldChar w:fldCharType=\"" + kind + "\"/></w:r>";
  }

  public static String code(String instruction) {
    return "<w:r><w:instrText xml:space=\"preserve\">" + instruction + "</w:instrText></w:r>";
  }

  /** A field with what it shows until it is filled. */
  public static String field(String instruction, String shown) {
    return mark("begin") + code(instruction) + mark("separate") + run(shown) + mark("end");
  }

  /** A merge field. */
  public static String merge(String instruction) {
    return field(" MERGEFIELD " + instruction + " ", "«x»");
  }

  /** Of an IF field: a field in its instruction, and words around it. */
  public static String choice(String before, String field, String after) {
    return mark("begin")
        + code(before)
        + field
        + code(after)
        + mark("separate")
        + run("shown")
        + mark("end");
  }
}
