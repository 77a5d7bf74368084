package app.jemble.core.record;

import java.util.Arrays;
import java.util.Locale;
import java.util.Set;

/**
 * A name given in one piece, taken apart: "Okonjo, Bea" at its comma, "Bea Okonjo" before its last
 * word (common practice; small words such as "van" stay with what follows them).
 *
 * @param first the first name, or empty
 * @param last the last name, or empty
 */
public record FullName(String first, String last) {

  private static final Set<String> SMALL =
      Set.of(
          "van", "von", "de", "da", "di", "der", "den", "del", "la", "le", "al", "bin", "af", "av");

  /** Never null; a single word is a first name. */
  public static FullName of(String text) {
    String name = text.strip().replaceAll("\\s+", " ");
    int comma = name.indexOf(',');
    if (comma >= 0) {
      return new FullName(name.substring(comma + 1).strip(), name.substring(0, comma).strip());
    }
    String[] words = name.split(" ");
    int last = words.length - 1;
    while (last > 1 && SMALL.contains(words[last - 1].toLowerCase(Locale.ROOT))) {
      last--;
    }
    if (last < 1) {
      return new FullName(name, "");
    }
    return new FullName(join(words, 0, last), join(words, last, words.length));
  }

  private static String join(String[] words, int from, int to) {
    return String.join(" ", Arrays.copyOfRange(words, from, to));
  }
}
