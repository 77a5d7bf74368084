package app.jemble.carrier.mail;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * The header of a message, line by line (RFC 5322 section 2.2). What a part of it may not hold,
 * wherever it came from, is refused here: a line end would begin another header, or the body.
 */
final class HeaderLines {

  /** RFC 5322 section 2.1.1: this should not be passed where a line can be folded. */
  private static final int FOLD_AT = 76;

  /** No line may be longer, folded or not (RFC 5322 section 2.1.1), with some to spare. */
  private static final int LONGEST = 900;

  private final List<String> lines = new ArrayList<>();

  /**
   * Adds a header.
   *
   * @param name as it is written
   * @param words its value in pieces between which the line may be folded at a blank
   * @throws IllegalArgumentException when a piece holds a line end or a NUL, or cannot be folded
   */
  void add(String name, List<String> words) {
    StringBuilder line = new StringBuilder(name).append(':');
    int begun = line.length();
    for (String word : words) {
      if (line.length() > begun && line.length() + 1 + word.length() > FOLD_AT) {
        lines.add(sound(name, line.toString()));
        line.setLength(0);
        begun = 0;
      }
      line.append(' ').append(word);
    }
    lines.add(sound(name, line.toString()));
  }

  /** Adds a header whose value stands as it is. */
  void add(String name, String value) {
    add(name, List.of(value));
  }

  List<String> lines() {
    return lines;
  }

  private static String sound(String name, String line) {
    for (int i = 0; i < line.length(); i++) {
      char c = line.charAt(i);
      if (c == '\r' || c == '\n' || c == '\0') {
        throw new IllegalArgumentException("a line end or a NUL stands in the header " + name);
      }
    }
    if (line.getBytes(StandardCharsets.UTF_8).length > LONGEST) {
      throw new IllegalArgumentException("the header " + name + " holds a word that is too long");
    }
    return line;
  }
}
