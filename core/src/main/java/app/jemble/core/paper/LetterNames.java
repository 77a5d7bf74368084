package app.jemble.core.paper;

import java.util.HashSet;
import java.util.Locale;
import java.util.Set;

/**
 * What the files of single letters are called: names that every system can keep (no path, no sign
 * that any of them reads as one, nothing that begins or ends with a dot; common practice), none
 * twice.
 */
public final class LetterNames {

  private static final int LONGEST = 100;
  private static final String UNNAMED = "letter";

  private final String ending;
  private final Set<String> taken = new HashSet<>();

  /**
   * @param ending with its dot
   */
  public LetterNames(String ending) {
    this.ending = ending;
  }

  /** A name like the wanted one; one that is taken gets a number. */
  public String next(String wanted) {
    String safe = safe(wanted);
    String name = safe;
    for (int i = 2; !taken.add(name.toLowerCase(Locale.ROOT)); i++) {
      name = safe + " " + i;
    }
    return name + ending;
  }

  private static String safe(String wanted) {
    String plain =
        wanted
            .replaceAll("[\\p{Cntrl}\\p{Cf}/\\\\:*?\"<>|]+", " ")
            .replaceAll("\\s+", " ")
            .replaceAll("^[. ]+|[. ]+$", "");
    int end = Math.min(plain.length(), LONGEST);
    if (end < plain.length() && Character.isHighSurrogate(plain.charAt(end - 1))) {
      end--;
    }
    String cut = plain.substring(0, end).replaceAll("[. ]+$", "");
    boolean reserved = cut.matches("(?i)con|prn|aux|nul|(com|lpt)[0-9]");
    return cut.isEmpty() ? UNNAMED : reserved ? cut + " " + UNNAMED : cut;
  }
}
