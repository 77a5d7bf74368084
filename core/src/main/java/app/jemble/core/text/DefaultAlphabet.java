package app.jemble.core.text;

import java.util.OptionalInt;

/**
 * The alphabet that every phone knows (3GPP TS 23.038, sections 6.2.1 and 6.2.1.1): 128 characters
 * of one unit each, and ten more that follow an escape and so take two.
 */
public final class DefaultAlphabet {

  /** The code that one of the second table follows. */
  public static final int ESCAPE = 0x1B;

  /** By code; the escape stands for nothing by itself. */
  private static final String FIRST =
      "@£$¥èéùìòÇ\nØø\rÅåΔ_ΦΓΛΩΠΨΣΘΞ\u001BÆæßÉ !\"#¤%&'()*+,-./0123456789:;<=>?"
          + "¡ABCDEFGHIJKLMNOPQRSTUVWXYZÄÖÑÜ§¿abcdefghijklmnopqrstuvwxyzäöñüà";

  private static final String SECOND = "\f^{}\\[~]|€";
  private static final int[] SECOND_CODES = {
    0x0A, 0x14, 0x28, 0x29, 0x2F, 0x3C, 0x3D, 0x3E, 0x40, 0x65
  };

  private DefaultAlphabet() {}

  /** How many units a character takes: 1 or 2; none when the alphabet has no such character. */
  public static OptionalInt units(int codePoint) {
    if (codePoint == ESCAPE) {
      return OptionalInt.empty();
    }
    if (FIRST.indexOf(codePoint) >= 0) {
      return OptionalInt.of(1);
    }
    return SECOND.indexOf(codePoint) >= 0 ? OptionalInt.of(2) : OptionalInt.empty();
  }

  public static boolean has(int codePoint) {
    return units(codePoint).isPresent();
  }

  /**
   * A text in this alphabet, an octet a unit, as message centres take it with data coding 0.
   *
   * @throws IllegalArgumentException when it has a character that the alphabet lacks
   */
  public static byte[] octets(String text) {
    byte[] octets = new byte[text.codePoints().map(c -> units(c).orElse(0)).sum()];
    int at = 0;
    for (int c : text.codePoints().toArray()) {
      int second = SECOND.indexOf(c);
      if (!has(c)) {
        throw new IllegalArgumentException("not in the default alphabet: " + Character.getName(c));
      }
      if (second >= 0) {
        octets[at++] = ESCAPE;
        octets[at++] = (byte) SECOND_CODES[second];
      } else {
        octets[at++] = (byte) FIRST.indexOf(c);
      }
    }
    return octets;
  }

  /** Reads what {@link #octets} wrote; an escape before what stands in no table is a blank. */
  public static String text(byte[] octets) {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < octets.length; i++) {
      int code = octets[i] & 0x7F;
      if (code == ESCAPE && i + 1 < octets.length) {
        text.append(second(octets[++i] & 0x7F));
      } else if (code == ESCAPE) {
        text.append(' ');
      } else {
        text.append(FIRST.charAt(code));
      }
    }
    return text.toString();
  }

  /** TS 23.038, 6.2.1.1: a phone that does not know the code shows that of the first table. */
  private static char second(int code) {
    for (int i = 0; i < SECOND_CODES.length; i++) {
      if (SECOND_CODES[i] == code) {
        return SECOND.charAt(i);
      }
    }
    return code == ESCAPE ? ' ' : FIRST.charAt(code);
  }
}
