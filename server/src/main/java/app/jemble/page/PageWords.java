package app.jemble.page;

import app.jemble.core.signup.ReaderLanguage;
import java.util.Collections;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;

/** The words that ship for readers, in each of their languages. */
public final class PageWords {

  private PageWords() {}

  /** By name, such as {@code send}. */
  public static Map<String, String> of(ReaderLanguage language) {
    ResourceBundle bundle =
        ResourceBundle.getBundle(
            "pages.words",
            Locale.forLanguageTag(language.tag()),
            ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES));
    Map<String, String> words = new HashMap<>();
    bundle.keySet().forEach(key -> words.put(key, bundle.getString(key)));
    return Collections.unmodifiableMap(words);
  }
}
