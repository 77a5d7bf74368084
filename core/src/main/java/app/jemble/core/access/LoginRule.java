package app.jemble.core.access;

import java.util.Optional;
import java.util.regex.Pattern;

/** What may be the name under which a colleague signs in. */
public final class LoginRule {

  private static final Pattern LOGIN = Pattern.compile("[A-Za-z][A-Za-z0-9._-]{0,39}");

  private LoginRule() {}

  /** Why it may not be one; empty when it may. */
  public static Optional<String> refusal(String login) {
    return LOGIN.matcher(login.strip()).matches()
        ? Optional.empty()
        : Optional.of(
            "A login has up to 40 letters, digits, full stops and hyphens, a letter first.");
  }
}
