package app.jemble.page;

import app.jemble.core.signup.ReaderLanguage;
import java.util.Collections;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;

/** Words that ship in each of the languages. */
public final class ShippedWords {

  private ShippedWords() {}

  /**
   * By name, such as {@code send}.
   *
   * @param bundle where they stand, such as {@code pages.words}
   */
  public static Map<String, String> of(String bundle, ReaderLanguage language) {
    ResourceBundle words =
        ResourceBundle.getBundle(
            bundle,
            Locale.forLanguageTag(language.tag()),
            ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES));
    Map<String, String> byName = new HashMap<>();
    words.keySet().forEach(key -> byName.put(key, words.getString(key)));
    return Collections.unmodifiableMap(byName);
  }
}
