package app.jemble.core.check;

import java.util.Optional;
import java.util.regex.Pattern;

/** Names that likely read wrong in a greeting. */
public final class NameCheck {

  private static final Pattern NOT_OF_A_NAME = Pattern.compile("[0-9@<>{}\\[\\]|\\p{Cntrl}]");

  /** Words that stand in names of organisations and hardly in first names (common practice). */
  private static final Pattern ORGANISATION =
      Pattern.compile(
          "(?iu)(?<![\\p{L}])(ltd|limited|inc|llc|llp|plc|gmbh|ag|sarl|bv|nv|oy|ab|aps|society|club|"
              + "company|association|institute|university|school|council|trust|foundation|office|"
              + "team|reception|accounts|verein|stiftung|&\\s*(co|sons?|partners?))(?![\\p{L}])");

  private NameCheck() {}

  /** What looks wrong with a name; empty when nothing does, or there is no name. */
  public static Optional<Finding.Code> look(String name) {
    if (name == null || name.isBlank()) {
      return Optional.empty();
    }
    if (NOT_OF_A_NAME.matcher(name).find()) {
      return Optional.of(Finding.Code.NAME_ODD);
    }
    if (ORGANISATION.matcher(name).find()) {
      return Optional.of(Finding.Code.NAME_OF_ORGANISATION);
    }
    long letters = name.chars().filter(Character::isLetter).count();
    if (letters >= 3 && name.chars().noneMatch(Character::isLowerCase) && hasCase(name)) {
      return Optional.of(Finding.Code.NAME_CAPITALS);
    }
    if (letters >= 2 && name.chars().noneMatch(Character::isUpperCase) && hasCase(name)) {
      return Optional.of(Finding.Code.NAME_LOWER_CASE);
    }
    return Optional.empty();
  }

  /**
   * The name with each of its parts beginning with a capital and going on in small letters: "DOV
   * O'NEIL" gives "Dov O'Neil". Names with capitals of their own inside (van Dyk, McKay) are for a
   * person to look at, which is why this is only ever proposed.
   */
  public static String corrected(String name) {
    StringBuilder out = new StringBuilder(name.length());
    boolean begins = true;
    for (int at = 0; at < name.length(); ) {
      int c = name.codePointAt(at);
      boolean letter = Character.isLetter(c) || Character.getType(c) == Character.NON_SPACING_MARK;
      if (begins && letter) {
        out.appendCodePoint(Character.toTitleCase(c));
      } else {
        out.appendCodePoint(Character.toLowerCase(c));
      }
      begins = !letter;
      at += Character.charCount(c);
    }
    return out.toString();
  }

  /** Writing without capitals and small letters (Japanese, Arabic, ...) is never odd for it. */
  private static boolean hasCase(String name) {
    return name.chars().anyMatch(c -> Character.isUpperCase(c) || Character.isLowerCase(c));
  }
}
