package app.jemble.page;

import app.jemble.core.signup.ReaderLanguage;
import java.util.Map;

/** The words that ship for readers, in each of their languages. */
public final class PageWords {

  private PageWords() {}

  /** By name, such as {@code send}. */
  public static Map<String, String> of(ReaderLanguage language) {
    return ShippedWords.of("pages.words", language);
  }
}
