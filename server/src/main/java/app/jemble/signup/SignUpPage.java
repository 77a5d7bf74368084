package app.jemble.signup;

import app.jemble.core.signup.ReaderLanguage;
import java.util.List;
import java.util.Optional;

/**
 * A sign-up page on record.
 *
 * @param madeBy the colleague who made it
 */
public record SignUpPage(long id, int consentVersion, long madeBy, SignUpPageBody body) {

  /** The languages the house has written, the main one first. */
  public List<ReaderLanguage> languages() {
    return body.words().stream().map(SignUpPageBody.WrittenWords::language).toList();
  }

  /**
   * What the house says in a language; in its main one where it has not written that, else nothing.
   */
  public SignUpPageBody.WrittenWords written(ReaderLanguage language) {
    Optional<SignUpPageBody.WrittenWords> own =
        body.words().stream().filter(w -> w.language() == language).findFirst();
    return own.or(() -> body.words().stream().findFirst())
        .orElse(new SignUpPageBody.WrittenWords(language, SignUpWords.NONE));
  }
}
