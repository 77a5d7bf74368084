package app.jemble.core.record;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;

/** How words are compared. */
public final class Words {

  private static final Pattern COMBINING = Pattern.compile("[\\u0300-\\u036f]");

  /** Nothing longer is a name that somebody mistyped. */
  private static final int LONGEST_NAME = 80;

  private Words() {}

  /**
   * The text without case and accents, for comparing: {@code "Zoë"} gives {@code "zoe"}.
   * Compatibility decomposition (Unicode Standard Annex 15, NFKD), combining marks U+0300 to U+036F
   * dropped, lower case. The database function {@code fold} does the same.
   */
  public static String fold(String text) {
    String decomposed = Normalizer.normalize(text, Normalizer.Form.NFKD);
    return COMBINING.matcher(decomposed).replaceAll("").toLowerCase(Locale.ROOT);
  }

  /** Blanks of every kind, also those that do not break, and marks without a width. */
  private static final String BLANK =
      "[\\s\\u00a0\\u1680\\u2000-\\u200b\\u2028\\u2029\\u202f\\u205f\\u2060\\u3000\\ufeff]";

  private static final Pattern AROUND =
      Pattern.compile("\\A" + BLANK + "++|(?<!" + BLANK + ")" + BLANK + "++\\z");

  /** Control characters but tabs and line ends, and the marks that turn the writing direction. */
  private static final Pattern UNWANTED =
      Pattern.compile(
          "[\\x01-\\x08\\x0b\\x0c\\x0e-\\x1f\\x7f-\\x9f\\u202a-\\u202e\\u2066-\\u2069]++");

  /**
   * What somebody typed or a file held, as it is kept: without blanks around it, without control
   * characters, without what would reorder the text around it (Unicode Standard Annex 9). A NUL
   * stays, for the reader to refuse.
   */
  public static String tidy(String given) {
    return AROUND.matcher(UNWANTED.matcher(given).replaceAll("")).replaceAll("");
  }

  /** Words given one a line: each once, without blanks around, and no empty ones. */
  public static List<String> each(List<String> given) {
    return given == null
        ? List.of()
        : given.stream()
            .filter(Objects::nonNull)
            .map(String::strip)
            .filter(word -> !word.isEmpty())
            .distinct()
            .toList();
  }

  /** The name most like the given one, when one is near enough to be meant. */
  public static Optional<String> nearest(String given, List<String> names) {
    if (given.length() > LONGEST_NAME) {
      return Optional.empty();
    }
    String best = null;
    int bestDistance = Integer.MAX_VALUE;
    for (String name : names) {
      int distance = distance(given, name);
      if (distance < bestDistance) {
        best = name;
        bestDistance = distance;
      }
    }
    int near = Math.max(2, given.length() / 3);
    return bestDistance <= near ? Optional.of(best) : Optional.empty();
  }

  /** Edit distance (Levenshtein 1966): single letters inserted, dropped or changed. */
  public static int distance(String a, String b) {
    int[] row = new int[b.length() + 1];
    for (int j = 0; j <= b.length(); j++) {
      row[j] = j;
    }
    for (int i = 1; i <= a.length(); i++) {
      int diagonal = row[0];
      row[0] = i;
      for (int j = 1; j <= b.length(); j++) {
        int above = row[j];
        int change = diagonal + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
        row[j] = Math.min(change, Math.min(above, row[j - 1]) + 1);
        diagonal = above;
      }
    }
    return row[b.length()];
  }
}
