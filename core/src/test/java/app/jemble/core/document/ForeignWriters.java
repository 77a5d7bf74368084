package app.jemble.core.document;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import org.docx4j.XmlUtils;
import org.docx4j.dml.wordprocessingDrawing.Inline;
import org.docx4j.jaxb.Context;
import org.docx4j.openpackaging.exceptions.Docx4JException;
import org.docx4j.openpackaging.packages.WordprocessingMLPackage;
import org.docx4j.openpackaging.parts.WordprocessingML.BinaryPartAbstractImage;
import org.docx4j.openpackaging.parts.WordprocessingML.HeaderPart;
import org.docx4j.openpackaging.parts.WordprocessingML.MainDocumentPart;
import org.docx4j.relationships.Relationship;
import org.docx4j.wml.Drawing;
import org.docx4j.wml.Hdr;
import org.docx4j.wml.HdrFtrRef;
import org.docx4j.wml.HeaderReference;
import org.docx4j.wml.ObjectFactory;
import org.docx4j.wml.P;
import org.docx4j.wml.R;
import org.docx4j.wml.SectPr;

/** Documents that others write: docx4j, and LibreOffice from Debian. */
final class ForeignWriters {

  private static final ObjectFactory MAKE = new ObjectFactory();

  private ForeignWriters() {}

  private static final String MARKUP = " xmlns:w=\"" + Markup.WORDS + "\"";

  private static Object read(String xml) {
    try {
      return XmlUtils.unmarshalString(xml, Context.jc);
    } catch (jakarta.xml.bind.JAXBException e) {
      throw new IllegalStateException(e);
    }
  }

  private static P paragraph(String inside) {
    return (P) read("<w:p" + MARKUP + ">" + inside + "</w:p>");
  }

  /** With styles, a table, a header, a picture, switches and an IF field. */
  static byte[] docx4j() {
    try {
      WordprocessingMLPackage file = WordprocessingMLPackage.createPackage();
      MainDocumentPart text = file.getMainDocumentPart();
      text.addStyledParagraphOfText("Title", "Renewal of your membership");
      text.addObject(
          paragraph(
              TestDocument.merge("Name \\* Upper")
                  + TestDocument.run(", ")
                  + TestDocument.merge("Town \\b \"of \" \\f \"!\"")));
      text.addObject(
          paragraph(
              TestDocument.choice(
                  "IF ",
                  TestDocument.merge("Plan"),
                  " = \"family\" \"All of you are welcome.\" \"You are welcome.\" ")));
      text.addObject(
          read(
              "<w:tbl"
                  + MARKUP
                  + "><w:tblPr><w:tblStyle w:val=\"TableGrid\"/></w:tblPr><w:tblGrid/><w:tr><w:tc>"
                  + TestDocument.paragraph(TestDocument.run("Dues"))
                  + "</w:tc><w:tc>"
                  + TestDocument.paragraph(TestDocument.merge("Dues \\# \"0.00\""))
                  + "</w:tc></w:tr></w:tbl>"));
      text.addObject(paragraph(TestDocument.merge("Until \\@ \"d MMMM yyyy\"")));
      text.addObject(picture(file));
      addHeader(file);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      file.save(out);
      return out.toByteArray();
    } catch (Docx4JException e) {
      throw new IllegalStateException(e);
    }
  }

  private static P picture(WordprocessingMLPackage file) {
    try {
      ByteArrayOutputStream png = new ByteArrayOutputStream();
      ImageIO.write(new BufferedImage(40, 20, BufferedImage.TYPE_INT_RGB), "png", png);
      Inline inline =
          BinaryPartAbstractImage.createImagePart(file, png.toByteArray())
              .createImageInline("logo", "The house's sign", 7, 8, false);
      Drawing drawing = MAKE.createDrawing();
      drawing.getAnchorOrInline().add(inline);
      R run = MAKE.createR();
      run.getContent().add(drawing);
      P paragraph = MAKE.createP();
      paragraph.getContent().add(run);
      return paragraph;
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  private static void addHeader(WordprocessingMLPackage file) throws Docx4JException {
    HeaderPart header = new HeaderPart();
    Relationship relation = file.getMainDocumentPart().addTargetPart(header);
    Hdr content = MAKE.createHdr();
    content.getContent().add(paragraph(TestDocument.run("No. ") + TestDocument.merge("Number")));
    header.setJaxbElement(content);
    SectPr section = file.getDocumentModel().getSections().get(0).getSectPr();
    HeaderReference reference = MAKE.createHeaderReference();
    reference.setId(relation.getId());
    reference.setType(HdrFtrRef.DEFAULT);
    section.getEGHdrFtrReferences().add(reference);
  }

  /** With a table, a heading, a list and fields; written by LibreOffice out of a flat ODF text. */
  static byte[] libreOffice(Path folder) {
    try {
      Path source = folder.resolve("letter.fodt");
      Files.writeString(source, flatText());
      convert(source, "docx", folder);
      return Files.readAllBytes(folder.resolve("letter.docx"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String shown(String field) {
    return "<text:database-display text:table-name=\"people\" text:table-type=\"table\""
        + " text:column-name=\""
        + field
        + "\" text:database-name=\"house\">&lt;"
        + field
        + "&gt;</text:database-display>";
  }

  private static String flatText() {
    return "<?xml version=\"1.0\" encoding=\"UTF-8\"?><office:document"
        + " xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
        + " xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\""
        + " xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\""
        + " office:version=\"1.2\" office:mimetype=\"application/vnd.oasis.opendocument.text\">"
        + "<office:body><office:text><text:h text:outline-level=\"1\">Renewal</text:h><text:p>Dear "
        + shown("Name")
        + " of "
        + shown("Town")
        + ",</text:p><table:table><table:table-column/><table:table-column/><table:table-row>"
        + "<table:table-cell><text:p>Dues</text:p></table:table-cell><table:table-cell><text:p>"
        + shown("Dues")
        + "</text:p></table:table-cell></table:table-row></table:table>"
        + "<text:list><text:list-item><text:p>Plan: "
        + shown("Plan")
        + "</text:p></text:list-item></text:list><text:p>Until "
        + shown("Until")
        + ".</text:p></office:text></office:body></office:document>";
  }

  /** By LibreOffice, with settings of its own. */
  static void convert(Path file, String to, Path folder) throws IOException {
    Process process =
        new ProcessBuilder(
                "soffice",
                "-env:UserInstallation=" + folder.resolve("office").toUri(),
                "--headless",
                "--convert-to",
                to,
                "--outdir",
                folder.toString(),
                file.toString())
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve("soffice.log").toFile())
            .start();
    try {
      if (!process.waitFor(120, TimeUnit.SECONDS) || process.exitValue() != 0) {
        process.destroyForcibly();
        throw new IllegalStateException(Files.readString(folder.resolve("soffice.log")));
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }
}
