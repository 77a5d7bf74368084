package app.jemble.standins.text;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;

/**
 * What a phone shows of the octets it gets (3GPP TS 23.038), written apart from what sends them.
 */
final class PhoneWords {

  private static final String[] ROWS = {
    "@£$¥èéùìòÇ\nØø\rÅå",
    "Δ_ΦΓΛΩΠΨΣΘΞ\u001bÆæßÉ",
    " !\"#¤%&'()*+,-./",
    "0123456789:;<=>?",
    "¡ABCDEFGHIJKLMNO",
    "PQRSTUVWXYZÄÖÑÜ§",
    "¿abcdefghijklmno",
    "pqrstuvwxyzäöñüà"
  };
  private static final Map<Integer, Character> AFTER_ESCAPE = afterEscape();
  private static final int ESCAPE = 0x1b;
  private static final int UCS2 = 8;

  private PhoneWords() {}

  private static Map<Integer, Character> afterEscape() {
    Map<Integer, Character> known = new HashMap<>();
    known.put(0x0a, '\f');
    known.put(0x14, '^');
    known.put(0x28, '{');
    known.put(0x29, '}');
    known.put(0x2f, '\\');
    known.put(0x3c, '[');
    known.put(0x3d, '~');
    known.put(0x3e, ']');
    known.put(0x40, '|');
    known.put(0x65, '€');
    return known;
  }

  static String of(byte[] octets, int coding) {
    return (coding & 0x0f) == UCS2
        ? new String(octets, StandardCharsets.UTF_16BE)
        : septets(octets);
  }

  private static String septets(byte[] octets) {
    StringBuilder words = new StringBuilder();
    boolean escaped = false;
    for (byte octet : octets) {
      if (escaped) {
        words.append(AFTER_ESCAPE.getOrDefault((int) octet, '?'));
        escaped = false;
      } else if (octet == ESCAPE) {
        escaped = true;
      } else {
        words.append(ROWS[octet >> 4].charAt(octet & 0x0f));
      }
    }
    return words.toString();
  }
}
