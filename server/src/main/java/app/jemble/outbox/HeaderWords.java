package app.jemble.outbox;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;

/** Words of a header as encoded-words (RFC 2047), where they need it. */
final class HeaderWords {

  /** 45 octets are 60 letters in base64; with what stands around them under the 75 allowed. */
  private static final int MOST_OCTETS = 45;

  private HeaderWords() {}

  /** Plain words that a reader would take for an encoded-word, {@code =?utf-8?q?x?=}. */
  static boolean looksEncoded(String words) {
    return words.contains("=?");
  }

  /** Whether words can stand in a header only as encoded-words. */
  static boolean mustBeEncoded(String words) {
    return looksEncoded(words) || words.chars().anyMatch(c -> c >= 127);
  }

  /** ASCII stays as it is, unless a reader would decode it; the rest is encoded and folded. */
  static String encode(String words) {
    return mustBeEncoded(words) ? String.join("\r\n ", encodedWords(words)) : words;
  }

  /** A character never spans two encoded-words (RFC 2047 section 5). */
  private static List<String> encodedWords(String words) {
    List<String> encoded = new ArrayList<>();
    StringBuilder piece = new StringBuilder();
    int octets = 0;
    for (int at = 0; at < words.length(); ) {
      String character = Character.toString(words.codePointAt(at));
      int more = character.getBytes(StandardCharsets.UTF_8).length;
      if (octets + more > MOST_OCTETS) {
        encoded.add(encodedWord(piece.toString()));
        piece.setLength(0);
        octets = 0;
      }
      piece.append(character);
      octets += more;
      at += character.length();
    }
    encoded.add(encodedWord(piece.toString()));
    return encoded;
  }

  private static String encodedWord(String piece) {
    byte[] octets = piece.getBytes(StandardCharsets.UTF_8);
    return "=?UTF-8?B?" + Base64.getEncoder().encodeToString(octets) + "?=";
  }
}
