package app.jemble.core.access;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * What may be a password (OWASP ASVS 5, V6.2): long, none of the commonest, and not made of words
 * that anybody knows of its owner. Which kinds of characters it has does not matter.
 */
public final class PasswordRule {

  /** Characters. */
  public static final int SHORTEST = 12;

  /** Characters; more than anybody types, and little enough to be read. */
  public static final int LONGEST = 200;

  /** Shorter words of a name stand in many others. */
  private static final int SHORTEST_WORD = 3;

  /** So much must be left of it without the words that anybody knows. */
  private static final int LEAST_LEFT = 8;

  private static final int FEWEST_DIFFERENT = 5;

  private PasswordRule() {}

  /**
   * Why it may not be one, and what would do; empty when it may.
   *
   * @param commonest whether a word in small letters is among the commonest passwords
   * @param known login, name, house and the like
   */
  public static Optional<String> refusal(
      String password, Predicate<String> commonest, List<String> known) {
    long length = password.codePoints().count();
    if (length < SHORTEST) {
      return Optional.of(
          "Take at least "
              + SHORTEST
              + " characters: a few words that do not belong together are easy to keep.");
    }
    if (length > LONGEST) {
      return Optional.of("Take at most " + LONGEST + " characters.");
    }
    if (password.codePoints().distinct().count() < FEWEST_DIFFERENT) {
      return Optional.of("It repeats a few characters; take words that do not belong together.");
    }
    String small = password.toLowerCase(Locale.ROOT);
    if (commonest.test(small) || commonest.test(bare(small))) {
      return Optional.of("That is among the commonest passwords, which are tried first.");
    }
    if (left(small, known).length() < LEAST_LEFT) {
      return Optional.of("It is made of your name, your login or the house's name; take others.");
    }
    return Optional.empty();
  }

  /** Without the digits and marks that people put around a word. */
  private static String bare(String password) {
    return password.replaceAll("^[^\\p{L}]+|[^\\p{L}]+$", "");
  }

  /** The letters that are left without the words that anybody knows. */
  private static String left(String password, List<String> known) {
    String left = password;
    for (String words : known) {
      for (String word : words.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+")) {
        left = word.length() < SHORTEST_WORD ? left : left.replace(word, "");
      }
    }
    return left;
  }
}
