package app.jemble.core.response;

import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What a return means for an address: code (RFC 3463) and words decide together, in a report as in
 * the dialogue of a hand-over. What nobody can tell is for now.
 *
 * @param code the code that was given, or the one that the words mean; empty when neither says any
 * @param forGood whether the address will never work
 */
public record ReturnMeaning(String code, boolean forGood) {

  /**
   * RFC 3463 section 3.2 and 3.3, RFC 7505: the mailbox, its system or its syntax is wrong, it has
   * moved, it takes no mail at all, or it is disabled. 5.1.7 and 5.1.8 are about the sender.
   */
  private static final Set<String> OF_THE_ADDRESS =
      Set.of("5.1.0", "5.1.1", "5.1.2", "5.1.3", "5.1.4", "5.1.6", "5.1.10", "5.2.1");

  /** What the words mean when they say that nobody is there. */
  private static final Set<String> GONE = Set.of("5.1.1", "5.1.2", "5.2.1");

  /** A full mailbox and a message that is too large, whatever else is said (RFC 3463). */
  private static final Set<String> FULL = Set.of("5.2.2", "5.2.3", "5.3.4");

  private static final String POLICY = "5.7.1";

  /** Words about the message or who sent it, not about the address. */
  private static final Pattern NOT_THE_ADDRESS =
      Pattern.compile(
          "\\bspam\\b|black ?list|block ?list|polic(y|ies)|virus|reputation|dmarc|\\bdkim\\b|\\bspf\\b"
              + "|relay|sender (address|domain|verif)|mail from|envelope from|\\bhelo\\b|your (ip|domain|server)",
          Pattern.CASE_INSENSITIVE);

  /**
   * Reads a code and words together.
   *
   * @param given an enhanced status code, or empty
   * @param words what the mail server said
   */
  public static ReturnMeaning of(String given, String words) {
    Optional<String> meant = ReturnWords.meant(words);
    boolean general = given.isEmpty() || given.endsWith(".0.0");
    String code = general ? meant.orElse(given) : given;
    return new ReturnMeaning(code, isForGood(given, general, meant.orElse(""), words));
  }

  /** Reads what a mail server said in one piece, its codes among its words. */
  public static ReturnMeaning inWords(String said) {
    return of(ReturnWords.enhanced(said).orElse(""), said);
  }

  /**
   * Whether a return that is not for good speaks against the address all the same: several such
   * give it up. What is wrong with the message, or with whoever sent it, does not.
   */
  public boolean speaksAgainstTheAddress() {
    return !code.startsWith("5.7.") && !code.equals("5.3.4") && !code.equals("5.2.3");
  }

  private static boolean isForGood(String given, boolean general, String meant, String words) {
    if (given.startsWith("4") || FULL.contains(given) || NOT_THE_ADDRESS.matcher(words).find()) {
      return false;
    }
    if (GONE.contains(meant)) {
      return true;
    }
    boolean wordsDecide = !meant.isEmpty() && !meant.equals(POLICY);
    return !general && !wordsDecide && OF_THE_ADDRESS.contains(given);
  }
}
