package app.jemble.paper;

import app.jemble.font.ShippedFonts;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PDFontSupplier;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * The fonts of one document of letters. All letters share them; each is read when its first sign is
 * needed, and embedded with the signs that are used.
 */
final class LetterFonts {

  private static final int BOLD = 700;
  private static final int PLAIN = 400;

  /** A family, and what it is made of; null where a script has no such letters. */
  private record Family(String name, String plain, String bold, String italic, String boldItalic) {}

  private static final List<Family> FAMILIES =
      List.of(
          new Family(
              "Noto Sans",
              "NotoSans_400Regular",
              "NotoSans_600SemiBold",
              "NotoSans_400Regular_Italic",
              "NotoSans_600SemiBold_Italic"),
          script("Arabic", true),
          script("Hebrew", true),
          script("Thai", true),
          script("JP", true),
          script("SC", false),
          script("KR", false));

  private final PDDocument document;
  private final List<Supplier> suppliers = new ArrayList<>();

  LetterFonts(PDDocument document) {
    this.document = document;
    for (Family family : FAMILIES) {
      add(family.plain(), family.name(), PLAIN, FontStyle.NORMAL);
      add(family.bold(), family.name(), BOLD, FontStyle.NORMAL);
      add(family.italic(), family.name(), PLAIN, FontStyle.ITALIC);
      add(family.boldItalic(), family.name(), BOLD, FontStyle.ITALIC);
    }
  }

  private static Family script(String script, boolean hasBold) {
    String font = "NotoSans" + script;
    return new Family(
        "Noto Sans " + script,
        font + "_400Regular",
        hasBold ? font + "_600SemiBold" : null,
        null,
        null);
  }

  /** The families, in the order in which letters are looked for. */
  static List<String> families() {
    return FAMILIES.stream().map(Family::name).toList();
  }

  private void add(String file, String family, int weight, FontStyle style) {
    if (file != null) {
      suppliers.add(new Supplier(file, family, weight, style));
    }
  }

  void offer(PdfRendererBuilder builder) {
    suppliers.forEach(s -> builder.useFont(s, s.family, s.weight, s.style, true));
  }

  private final class Supplier extends PDFontSupplier {
    private final String file;
    private final String family;
    private final int weight;
    private final FontStyle style;
    private PDFont read;

    Supplier(String file, String family, int weight, FontStyle style) {
      super(null);
      this.file = file;
      this.family = family;
      this.weight = weight;
      this.style = style;
    }

    @Override
    public PDFont supply() {
      if (read == null) {
        read = read();
      }
      return read;
    }

    private PDFont read() {
      try (InputStream octets = ShippedFonts.open(file)) {
        TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(octets));
        // What it would do for one script it tries at each line of all others.
        font.setEnableGsub(false);
        return PDType0Font.load(document, font, true);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }
}
