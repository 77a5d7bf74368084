package app.jemble.core.record;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
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
