package app.jemble.core.text;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Characters that make a text message take the larger alphabet, less than half as long a part, and
 * their likeness in the default one where there is one.
 */
public final class LargerAlphabet {

  /**
   * Punctuation that word processors put in (common practice); letters lose their marks by rule.
   */
  private static final Map<Integer, String> LIKENESS = likeness();

  private LargerAlphabet() {}

  /**
   * A character that alone forces the larger alphabet.
   *
   * @param character one code point
   * @param likeness what it can be mended with; null where there is nothing like it
   */
  public record Forcing(String character, String likeness) {}

  /** Those of a text, each once, in order. */
  public static List<Forcing> in(String text) {
    List<Forcing> forcing = new ArrayList<>();
    text.codePoints()
        .filter(c -> !DefaultAlphabet.has(c))
        .distinct()
        .forEach(c -> forcing.add(new Forcing(Character.toString(c), likeness(c).orElse(null))));
    return forcing;
  }

  /** A text with the likeness of each character that has one; what has none stays. */
  public static String mended(String text) {
    StringBuilder mended = new StringBuilder();
    Normalizer.normalize(text, Normalizer.Form.NFC)
        .codePoints()
        .forEach(
            c -> {
              if (DefaultAlphabet.has(c)) {
                mended.appendCodePoint(c);
              } else {
                likeness(c).ifPresentOrElse(mended::append, () -> mended.appendCodePoint(c));
              }
            });
    return mended.toString();
  }

  private static Optional<String> likeness(int c) {
    String known = LIKENESS.get(c);
    if (known != null) {
      return Optional.of(known);
    }
    String apart = Normalizer.normalize(Character.toString(c), Normalizer.Form.NFKD);
    StringBuilder without = new StringBuilder();
    apart
        .codePoints()
        .filter(p -> Character.getType(p) != Character.NON_SPACING_MARK)
        .forEach(without::appendCodePoint);
    String plain = without.toString();
    boolean changed = !plain.equals(Character.toString(c));
    return changed && plain.codePoints().allMatch(DefaultAlphabet::has)
        ? Optional.of(plain)
        : Optional.empty();
  }

  private static Map<Integer, String> likeness() {
    Map<Integer, String> known = new LinkedHashMap<>();
    put(known, "‘’‚‛′´`ʼ", "'");
    put(known, "“”„‟″«»", "\"");
    put(known, "‐‑‒–—―−", "-");
    put(known, "…", "...");
    put(known, "•·", "*");
    put(known, "\u00A0\u2002\u2003\u2007\u2008\u2009\u200A\u202F\t", " ");
    put(known, "\u200B\u200C\u200D\u2060\uFEFF\u00AD", "");
    put(known, "łŁ", "l", "L");
    put(known, "đĐ", "d", "D");
    put(known, "ıœŒ", "i", "oe", "OE");
    put(known, "þÞðÐ", "th", "Th", "d", "D");
    return Map.copyOf(known);
  }

  /** Each character with its own likeness, or all with one. */
  private static void put(Map<Integer, String> known, String characters, String... likeness) {
    int[] each = characters.codePoints().toArray();
    for (int i = 0; i < each.length; i++) {
      known.put(each[i], likeness[Math.min(i, likeness.length - 1)]);
    }
  }
}
