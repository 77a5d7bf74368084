package app.jemble.account;

import com.nulabinc.zxcvbn.StandardDictionaries;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;

/** The 30,000 commonest passwords, as zxcvbn (MIT licence) lists them; read when first asked. */
final class CommonPasswords {

  private static Map<String, Integer> ranks = Map.of();

  private CommonPasswords() {}

  /**
   * @param word in small letters
   */
  static synchronized boolean has(String word) {
    if (ranks.isEmpty()) {
      try {
        ranks = StandardDictionaries.PASSWORDS_LOADER.load().getRankedDictionary();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return ranks.containsKey(word);
  }
}
