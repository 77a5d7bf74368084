package app.jemble.core.record;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A name given in one piece, taken apart: "Okonjo, Bea" at its comma, "Bea Okonjo" before its last
 * word (common practice; small words such as "van" stay with what follows them, and a suffix such
 * as "Jr." with what it follows).
 *
 * @param first the first name, or empty
 * @param last the last name, or empty
 */
public record FullName(String first, String last) {

  /** Words that lead a family name, in the languages of Western Europe and in Arabic. */
  private static final Set<String> SMALL =
      Set.of(
          "van", "von", "vom", "zu", "zum", "zur", "ter", "ten", "te", "den", "der", "het", "'t",
          "op", "de", "du", "des", "d'", "da", "das", "do", "dos", "di", "del", "della", "dello",
          "dei", "degli", "dal", "la", "las", "le", "les", "lo", "los", "el", "al", "af", "av",
          "bin", "ibn", "ben", "bint", "abu", "y", "e", "i", "san");

  private static final Set<String> SUFFIX =
      Set.of("jr", "sr", "jnr", "snr", "ii", "iii", "iv", "phd", "md", "esq", "obe", "mbe", "cbe");

  private static final Pattern BLANKS = Pattern.compile("[\\s\\u00a0]++");

  /** Never null; a single word is a first name. */
  public static FullName of(String text) {
    return of(text, Locale.ROOT);
  }

  /**
   * The same for whoever speaks a language: in Spanish three words or more end in two family names.
   */
  public static FullName of(String text, Locale language) {
    String name = BLANKS.matcher(text).replaceAll(" ").strip();
    List<String> parts =
        new ArrayList<>(
            Arrays.stream(name.split(",")).map(String::strip).filter(p -> !p.isEmpty()).toList());
    String suffix = "";
    if (parts.size() > 1 && isSuffix(parts.get(parts.size() - 1))) {
      suffix = " " + parts.remove(parts.size() - 1);
    }
    if (parts.isEmpty()) {
      return new FullName(name.replace(",", "").strip(), "");
    }
    if (parts.size() > 1) {
      String first = String.join(" ", parts.subList(1, parts.size()));
      return new FullName(first, parts.get(0) + suffix);
    }
    return parted(parts.get(0), suffix, language);
  }

  private static FullName parted(String name, String given, Locale language) {
    List<String> words = new ArrayList<>(List.of(name.split(" ")));
    String suffix = given;
    if (words.size() > 2 && isSuffix(words.get(words.size() - 1))) {
      suffix = " " + words.remove(words.size() - 1) + suffix;
    }
    int last = words.size() - 1;
    boolean two = language.getLanguage().equals("es") && words.size() > 2;
    last = leading(words, two ? last - 1 : last);
    // "Ortega y Gasset" is one name.
    while (last > 1 && words.get(last).equalsIgnoreCase("y")) {
      last = leading(words, last - 1);
    }
    if (last < 1) {
      return new FullName(name + suffix, "");
    }
    return new FullName(
        String.join(" ", words.subList(0, last)),
        String.join(" ", words.subList(last, words.size())) + suffix);
  }

  /** Where the small words begin that lead a name. */
  private static int leading(List<String> words, int name) {
    int from = name;
    while (from > 1 && SMALL.contains(words.get(from - 1).toLowerCase(Locale.ROOT))) {
      from--;
    }
    return from;
  }

  private static boolean isSuffix(String word) {
    return SUFFIX.contains(word.toLowerCase(Locale.ROOT).replace(".", ""));
  }
}
