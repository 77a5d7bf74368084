package app.jemble.paper;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * Which letters the signs of a font are, so that a text can be searched and read aloud (ISO
 * 32000-1, section 9.10.3). A sign that is several things, or only a part of a letter, cannot be
 * told by its number.
 */
final class PdfLetters {

  private static final HexFormat HEX = HexFormat.of().withUpperCase();

  /** The format allows no more in one block. */
  private static final int BLOCK = 100;

  /** Widths are in thousandths (ISO 32000-1, section 9.2.4). */
  private static final double PER_SIZE = 1000;

  private final Map<Integer, String> letters = new TreeMap<>();
  private final Map<Integer, Double> widths = new HashMap<>();
  private final Set<Integer> signs = new TreeSet<>();

  /**
   * Whether a sign is read right by its number alone; from then on it is.
   *
   * @param text what it stands for; empty for a part of a letter
   */
  boolean reads(int sign, String text) {
    signs.add(sign);
    return !text.isEmpty() && text.equals(letters.computeIfAbsent(sign, id -> text));
  }

  /** How far a sign of a font reaches, in sizes of the text. */
  double width(PDType0Font font, int sign) {
    return widths.computeIfAbsent(sign, id -> measured(font, id));
  }

  private static double measured(PDType0Font font, int sign) {
    try {
      return font.getWidth(sign) / PER_SIZE;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** All that are used. */
  Set<Integer> signs() {
    return Collections.unmodifiableSet(signs);
  }

  static String hex(String text) {
    return HEX.formatHex(text.getBytes(StandardCharsets.UTF_16BE));
  }

  static String hex(char sign) {
    return HEX.toHexDigits(sign);
  }

  /** The table as a PDF has it (Adobe Technical Note 5411). */
  PDStream stream(PDDocument document) throws IOException {
    StringBuilder table =
        new StringBuilder(
            """
            /CIDInit /ProcSet findresource begin
            12 dict begin
            begincmap
            /CIDSystemInfo << /Registry (Adobe) /Ordering (UCS) /Supplement 0 >> def
            /CMapName /Adobe-Identity-UCS def
            /CMapType 2 def
            1 begincodespacerange
            <0000> <FFFF>
            endcodespacerange
            """);
    int left = letters.size();
    int inBlock = 0;
    for (Map.Entry<Integer, String> letter : letters.entrySet()) {
      if (inBlock == 0) {
        inBlock = Math.min(left, BLOCK);
        table.append(inBlock).append(" beginbfchar\n");
      }
      table.append('<').append(hex((char) (int) letter.getKey())).append("> <");
      table.append(hex(letter.getValue())).append(">\n");
      left--;
      if (--inBlock == 0) {
        table.append("endbfchar\n");
      }
    }
    table.append("endcmap\nCMapName currentdict /CMap defineresource pop\nend\nend\n");
    byte[] octets = table.toString().getBytes(StandardCharsets.US_ASCII);
    return new PDStream(document, new ByteArrayInputStream(octets), COSName.FLATE_DECODE);
  }
}
