package app.jemble.carrier.mail;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;

/** Words of a header as encoded-words (RFC 2047), where they need it. */
final class HeaderWords {

  /**
   * 39 octets are 52 letters in base64; with what stands around them 64, so that a line that begins
   * with the longest name of a header stays within 76 (RFC 2047 section 2).
   */
  private static final int MOST_OCTETS = 39;

  /** Longer words cannot be folded, and would make a line too long. */
  private static final int LONGEST_WORD = 200;

  private HeaderWords() {}

  /** Plain words that a reader would take for an encoded-word, {@code =?utf-8?q?x?=}. */
  static boolean looksEncoded(String words) {
    return words.contains("=?");
  }

  /** Whether words can stand in a header only as encoded-words. */
  static boolean mustBeEncoded(String words) {
    if (looksEncoded(words)) {
      return true;
    }
    int unbroken = 0;
    for (int i = 0; i < words.length(); i++) {
      char c = words.charAt(i);
      unbroken = c == ' ' ? 0 : unbroken + 1;
      if (c >= 127 || c < ' ' || unbroken > LONGEST_WORD) {
        return true;
      }
    }
    return false;
  }

  /**
   * The pieces between which a line may be folded. ASCII stays as it is, unless a reader would
   * decode it; a blank within it belongs to the piece before, where there is more than one.
   */
  static List<String> pieces(String words) {
    return mustBeEncoded(words) ? encodedWords(words) : plain(words);
  }

  private static List<String> plain(String words) {
    List<String> pieces = new ArrayList<>();
    int from = 0;
    for (int i = 1; i < words.length(); i++) {
      // One blank is the one at which a line is folded; others stay with what follows.
      if (words.charAt(i) == ' ' && words.charAt(i - 1) != ' ') {
        pieces.add(words.substring(from, i));
        from = i + 1;
      }
    }
    pieces.add(words.substring(from));
    return pieces;
  }

  /** A character never spans two encoded-words (RFC 2047 section 5). */
  static List<String> encodedWords(String words) {
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
