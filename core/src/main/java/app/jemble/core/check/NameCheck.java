package app.jemble.core.check;

import java.util.Optional;
import java.util.regex.Pattern;

/** Names that likely read wrong in a greeting. */
public final class NameCheck {

  private static final Pattern NOT_OF_A_NAME = Pattern.compile("[0-9@<>{}\\[\\]|\\p{Cntrl}]");

  private NameCheck() {}

  /** What looks wrong with a name; empty when nothing does, or there is no name. */
  public static Optional<Finding.Code> look(String name) {
    if (name == null || name.isBlank()) {
      return Optional.empty();
    }
    if (NOT_OF_A_NAME.matcher(name).find()) {
      return Optional.of(Finding.Code.NAME_ODD);
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

  /** Writing without capitals and small letters (Japanese, Arabic, ...) is never odd for it. */
  private static boolean hasCase(String name) {
    return name.chars().anyMatch(c -> Character.isUpperCase(c) || Character.isLowerCase(c));
  }
}
